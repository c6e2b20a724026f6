import type { StitchPlace, VehicleState } from '../vehicle';
import { nextState, placeOf, stateAt } from '../vehicle';
import { LEVELS } from './levels';
import type { Posterior } from './posterior';
import { HYPOTHESES, UNKNOWN_LEVELS, isLive } from './signatures';

/** Roles of a supply that a fuse slot can fill. */
export const NEED_ROLES = ['constant', 'switched', 'illumination'] as const;
/** One role. */
export type NeedRole = (typeof NEED_ROLES)[number];

/** What a device's feed asks of its source. Options left out ask nothing. */
export interface Need {
  readonly id: string;
  readonly role: NeedRole;
  /** Must stay live while cranking. */
  readonly holdsCranking?: boolean;
  /** Must be live with the key at accessory. */
  readonly liveInAcc?: boolean;
  /** Must drop within seconds of key-off although no door opens. */
  readonly dropsWithoutDoor?: boolean;
  /** A switched feed that may stay live while the car is awake, as long as it drops before sleep. */
  readonly mayStayLiveAwake?: boolean;
  /** Sources that can't serve it whatever their function, such as a slot too small for the load. */
  readonly excluded?: readonly string[];
}

/** What a need asks of one state. */
export interface Requirement {
  readonly place: StitchPlace;
  readonly state: VehicleState;
  readonly want: 'live' | 'dead';
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

function roleRequirements(need: Need): Requirement[] {
  switch (need.role) {
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
    case 'illumination':
      return [{ place: 'lamps', state: RUN_WITH_LAMPS, want: 'live' }, dead('run'), dead('off')];
  }
}

/**
 * Places where a source must have been read before it serves a need, whatever its other readings make likely: the
 * ones in which people take a look-alike for it. A constant that is live asleep needs no look at key off.
 */
export function mustSeeOf(need: Need): readonly StitchPlace[] {
  const places: StitchPlace[] = [MUST_SEE[need.role]];
  if (need.role === 'switched' && need.mayStayLiveAwake === true) places[0] = 'asleep';
  if (need.role === 'switched' && need.holdsCranking === true) places.push('crank');
  if (need.liveInAcc === true) places.push('acc');
  if (need.dropsWithoutDoor === true) places.push('justOff');
  return places;
}

const MUST_SEE: Record<NeedRole, StitchPlace> = {
  constant: 'asleep',
  switched: 'off',
  illumination: 'lamps',
};

/** Whether a source meets a need, hypothesis by hypothesis; prepared once per need. */
export interface Meeting {
  readonly need: Need;
  readonly requirements: readonly Requirement[];
  /** See `mustSeeOf`. */
  readonly mustSee: readonly StitchPlace[];
  /** By entry of `HYPOTHESES`. */
  readonly meets: readonly boolean[];
}

/** Works out which hypotheses meet a need. */
export function meetingOf(need: Need): Meeting {
  const requirements = requirementsOf(need);
  const meets = HYPOTHESES.map((hypothesis) =>
    requirements.every(({ state, want }) => isLive(hypothesis, state) === (want === 'live')),
  );
  return { need, requirements, mustSee: mustSeeOf(need), meets };
}

/**
 * How probable it is that a source meets a need: the weight of the hypotheses that do, plus "none of these" as far as
 * its readings reach.
 */
export function meetsProbability(need: Need | Meeting, given: Posterior): number {
  const meeting = 'meets' in need ? need : meetingOf(need);
  const known = sumMeeting(meeting, given.hypotheses);
  const none = given.functions.none;
  return none < NEGLIGIBLE ? known : known + none * unknownMeets(meeting, given);
}

/** The same from the readings alone, whatever is printed: a label is never a finding. */
export function meetsByReadings(meeting: Meeting, given: Posterior): number {
  const none = given.byReadings[HYPOTHESES.length] ?? 0;
  const known = sumMeeting(meeting, given.byReadings);
  return none < NEGLIGIBLE ? known : known + none * unknownMeets(meeting, given);
}

/** "None of these" below this is not worth working out. */
const NEGLIGIBLE = 1e-6;

function sumMeeting(meeting: Meeting, weights: readonly number[]): number {
  let sum = 0;
  for (let index = 0; index < meeting.meets.length; index += 1)
    if (meeting.meets[index] === true) sum += weights[index] ?? 0;
  return sum;
}

const BATTERY = LEVELS.indexOf('battery');
const UNREAD = LEVELS.map(() => 1);

function unknownMeets(meeting: Meeting, given: Posterior): number {
  return meeting.requirements.reduce((product, { place, want }) => {
    const seen = given.evidence.find((one) => placeOf(one.state) === place)?.levels ?? UNREAD;
    let isLiveThere = 0;
    let whole = 0;
    UNKNOWN_LEVELS.forEach((chance, level) => {
      const weight = chance * (seen[level] ?? 1);
      whole += weight;
      if (level === BATTERY) isLiveThere = weight;
    });
    return (product * (want === 'live' ? isLiveThere : whole - isLiveThere)) / whole;
  }, 1);
}

function live(place: StitchPlace): Requirement {
  return { place, state: stateAt(place), want: 'live' };
}

function dead(place: StitchPlace): Requirement {
  return { place, state: stateAt(place), want: 'dead' };
}
