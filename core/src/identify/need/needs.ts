import type { CircuitFunction, SpeakerPlace, StitchPlace } from '../../vehicle';
import { nextState, stateAt } from '../../vehicle';
import type { Posterior } from '../belief/posterior';
import { visitsFor } from '../visit/workCosts';
import type { Requirement } from './serving';
import { servingOf } from './serving';
import { isSpeakerLead, servingLead } from './speakerLead';
import type { TriggerRole } from './triggers';
import { TRIGGERS, TRIGGER_ROLES, givenBy, isGivenBySwitch, isTrigger } from './triggers';
import {
  SURE,
  SURE_BY_READINGS,
  SURE_SIGNAL,
  SURE_SIGNAL_BY_READINGS,
  SURE_TRIGGER,
} from './thresholds';
import { HYPOTHESES, isLive } from '../circuit/hypotheses';

export { isSpeakerLead } from './speakerLead';

/** Roles of a supply that a fuse slot can fill, and of signals: live with what the car does, or given by a switch. */
export const NEED_ROLES = [
  'constant',
  'switched',
  'retained',
  'illumination',
  'reverse',
  'brake',
  'starter',
  ...TRIGGER_ROLES,
] as const;
/** One role. */
export type NeedRole = (typeof NEED_ROLES)[number];

/** What a device's feed asks of its source. Options left out ask nothing. */
export interface Need {
  readonly id: string;
  /** What kind of feed it is. */
  readonly role: NeedRole;
  /** Must stay live while cranking. */
  readonly holdsCranking?: boolean;
  /** Must be live with the key at accessory. */
  readonly liveInAcc?: boolean;
  /** Must drop within seconds of key-off although no door opens. */
  readonly dropsWithoutDoor?: boolean;
  /** A switched or retained feed that may stay live while the car is awake, as long as it drops before sleep. */
  readonly mayStayLiveAwake?: boolean;
  /** Of a speaker's lead: which speaker it drives. */
  readonly speaker?: SpeakerPlace;
  /** Sources that can't serve it whatever their function, such as a slot too small for the load. */
  readonly excluded?: readonly string[];
}

const RUN_WITH_LAMPS = nextState(stateAt('run'), { kind: 'lamps', to: true });

/** What a need asks, state by state. */
export function requirementsOf(need: Need): readonly Requirement[] {
  const requirements = roleRequirements(need);
  if (need.holdsCranking === true && need.role === 'switched') requirements.push(live('crank'));
  if (need.liveInAcc === true) requirements.push(live('acc'));
  if (need.dropsWithoutDoor === true) requirements.push(dead('justOff'));
  return requirements;
}

function roleRequirements({ role, ...need }: Need): Requirement[] {
  if (isTrigger(role)) return [];
  switch (role) {
    case 'constant':
      return [
        live('off'),
        live('asleep'),
        live('acc'),
        live('run'),
        live('crank'),
        live('engine'),
        live('waited'),
      ];
    case 'switched':
      return need.mayStayLiveAwake === true
        ? [live('run'), live('engine'), dead('asleep')]
        : [live('run'), live('engine'), dead('off'), dead('asleep')];
    case 'retained':
      return [
        ...[live('run'), live('engine'), live('justOff')],
        ...(need.mayStayLiveAwake === true ? [] : [dead('off')]),
        dead('asleep'),
      ];
    case 'illumination':
      return [{ place: 'lamps', state: RUN_WITH_LAMPS, want: 'live' }, dead('run'), dead('off')];
    case 'reverse':
      return [live('reverse'), dead('run'), dead('off')];
    case 'brake':
      return [live('brake'), dead('off'), dead('run')];
    case 'starter':
      return [live('crank'), dead('run'), dead('acc'), dead('off')];
  }
}

/**
 * Places where a source must have been read before it serves a need, whatever its other readings make likely: the
 * ones in which people take a look-alike for it. A constant that is live asleep needs no look at key off.
 */
export function mustSeeOf(need: Need): readonly StitchPlace[] {
  const { role } = need;
  if (isTrigger(role)) return TRIGGERS[role].mustSee;
  const places: StitchPlace[] = [MUST_SEE[role]];
  if (need.role === 'switched' && need.mayStayLiveAwake === true) places[0] = 'asleep';
  if (need.role === 'switched' && need.holdsCranking === true) places.push('crank');
  if (need.role === 'retained') places.push(need.mayStayLiveAwake === true ? 'asleep' : 'off');
  if (isSignal(need)) places.push(SIGNAL_REST[need.role as SignalRole]);
  if (need.liveInAcc === true) places.push('acc');
  if (need.dropsWithoutDoor === true) places.push('justOff');
  return places;
}

/** Roles of signals. */
export type SignalRole = 'reverse' | 'brake' | 'starter';

/** Where a signal must be seen at rest: what is live there as well is a supply that people take for it. */
const SIGNAL_REST: Record<SignalRole, StitchPlace> = {
  reverse: 'run',
  brake: 'run',
  starter: 'run',
};

/** The function that carries each signal. */
const SIGNAL_FUNCTIONS: Record<SignalRole, CircuitFunction> = {
  reverse: 'reverse',
  brake: 'stopLamp',
  starter: 'starter',
};

/** The functions of the signals among some needs; none where supplies alone are looked for. */
export function soughtBy(needs: readonly Pick<Need, 'role'>[]): readonly CircuitFunction[] {
  const sought = needs
    .filter(isSignal)
    .flatMap(({ role }) =>
      isTrigger(role) ? TRIGGERS[role].functions : SIGNAL_FUNCTIONS[role as SignalRole],
    );
  return [...new Set(sought)].sort();
}

/** Whether a need asks for a signal rather than a supply. */
export function isSignal({ role }: Pick<Need, 'role'>): boolean {
  return role in SIGNAL_REST || isTrigger(role);
}

const MUST_SEE: Record<Exclude<NeedRole, TriggerRole>, StitchPlace> = {
  constant: 'asleep',
  switched: 'off',
  retained: 'justOff',
  illumination: 'lamps',
  reverse: 'reverse',
  brake: 'brake',
  starter: 'crank',
};

/** How probable it must be that a source meets a need. */
export function sureOf(need: Pick<Need, 'role'>): {
  readonly believed: number;
  /** By the readings alone. */
  readonly byReadings: number;
} {
  if (isTrigger(need.role)) return { believed: SURE_TRIGGER, byReadings: SURE_SIGNAL_BY_READINGS };
  return isSignal(need)
    ? { believed: SURE_SIGNAL, byReadings: SURE_SIGNAL_BY_READINGS }
    : { believed: SURE, byReadings: SURE_BY_READINGS };
}

/** A need with what is worked out of it once. */
export interface PreparedNeed {
  readonly need: Need;
  /** Every state that the need says something about. */
  readonly requirements: readonly Requirement[];
  /** Places that are worth a visit for it. */
  readonly visits: readonly StitchPlace[];
  /** See `mustSeeOf`. */
  readonly mustSee: readonly StitchPlace[];
  /**
   * Chance that a circuit meets the need, by entry of `HYPOTHESES` and "none of these" last. Where a source was read,
   * what was seen counts: a seat heater that stays live while cranking holds through cranking, whatever it is called.
   */
  readonly serving: (given: Posterior) => Float64Array;
}

/** Kept from one question to the next, by what is asked: of most sources nothing new is read in between. */
const PREPARED = new Map<string, PreparedNeed>();
/** More needs than one job has. */
const MOST_KEPT = 100;

/** Prepares a need. */
export function preparedNeedOf(need: Need): PreparedNeed {
  const key = JSON.stringify(need);
  const known = PREPARED.get(key);
  if (known !== undefined) return known;
  if (PREPARED.size >= MOST_KEPT) PREPARED.clear();
  const prepared = prepare(need);
  PREPARED.set(key, prepared);
  return prepared;
}

function prepare(need: Need): PreparedNeed {
  const requirements = requirementsOf(need);
  return {
    need,
    requirements,
    visits: visitsFor(requirements.map(({ place }) => place)),
    mustSee: mustSeeOf(need),
    serving: servingBy(need, requirements),
  };
}

function servingBy(need: Need, requirements: readonly Requirement[]): PreparedNeed['serving'] {
  const { role } = need;
  if (isSpeakerLead(role)) return servingLead(need);
  if (isTrigger(role)) {
    const given = givenBy(role);
    return () => given;
  }
  const byDesign = requirements.map(({ state, want }) =>
    HYPOTHESES.map(
      (hypothesis) =>
        isLive(hypothesis, state) === (want === 'live') && !isGivenBySwitch(hypothesis.function),
    ),
  );
  const known = new WeakMap<Posterior, Float64Array>();
  return (posterior) => {
    const serving = known.get(posterior) ?? servingOf(requirements, byDesign, posterior);
    known.set(posterior, serving);
    return serving;
  };
}

const NONE = HYPOTHESES.length;

/** How probable it is that a source meets a need, by everything known. */
export function meetsProbability(need: Need | PreparedNeed, given: Posterior): number {
  const wanted = 'serving' in need ? need : preparedNeedOf(need);
  return weighed(wanted.serving(given), given.hypotheses, given.functions.none);
}

/** The same from the readings alone, whatever is printed: a label is never a finding. */
export function meetsByReadings(wanted: PreparedNeed, given: Posterior): number {
  return weighed(wanted.serving(given), given.byReadings, given.byReadings[NONE] ?? 0);
}

function weighed(serving: Float64Array, weights: readonly number[], none: number): number {
  let sum = none * (serving[NONE] ?? 0);
  for (let index = 0; index < NONE; index += 1)
    sum += (weights[index] ?? 0) * (serving[index] ?? 0);
  return sum;
}

function live(place: StitchPlace): Requirement {
  return { place, state: stateAt(place), want: 'live' };
}

function dead(place: StitchPlace): Requirement {
  return { place, state: stateAt(place), want: 'dead' };
}
