import type { StitchPlace, VehicleState } from '../vehicle';
import { nextState, stateAt, stateId } from '../vehicle';
import type { Posterior } from './posterior';
import { HYPOTHESES, UNKNOWN_LEVELS } from './signatures';

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
  /** Must drop at key-off although no door opens. */
  readonly dropsWithoutDoor?: boolean;
}

/** What a need asks of one state. */
export interface Requirement {
  /** The state's id, see `stateId`. */
  readonly id: string;
  readonly state: VehicleState;
  readonly want: 'live' | 'dead';
}

const RUN_WITH_LAMPS = nextState(stateAt('run'), { kind: 'lamps', to: true });

const ROLE_REQUIREMENTS: Record<NeedRole, readonly Requirement[]> = {
  constant: [live('off'), live('asleep'), live('acc'), live('run'), live('crank'), live('engine')],
  switched: [live('run'), live('engine'), dead('off'), dead('asleep')],
  illumination: [requirement(RUN_WITH_LAMPS, 'live'), dead('run'), dead('off')],
};

/** What a need asks, state by state. */
export function requirementsOf(need: Need): readonly Requirement[] {
  const requirements = [...ROLE_REQUIREMENTS[need.role]];
  if (need.holdsCranking === true && need.role === 'switched') requirements.push(live('crank'));
  if (need.liveInAcc === true) requirements.push(live('acc'));
  if (need.dropsWithoutDoor === true) requirements.push(dead('justOff'));
  return requirements;
}

/**
 * How probable it is that a source meets a need: the weight of the hypotheses that do, plus "none of these" as far as
 * its readings reach.
 */
export function meetsProbability(need: Need, given: Posterior): number {
  const meeting = meetingHypotheses(need);
  const known = given.hypotheses.reduce(
    (sum, weight, index) => sum + (meeting[index] === true ? weight : 0),
    0,
  );
  return known + given.functions.none * unknownMeets(need, given);
}

/** Which entries of `HYPOTHESES` meet a need. */
export function meetingHypotheses(need: Need): readonly boolean[] {
  const requirements = requirementsOf(need);
  return HYPOTHESES.map((hypothesis) =>
    requirements.every(({ state, want }) => hypothesis.live(state) === (want === 'live')),
  );
}

function unknownMeets(need: Need, given: Posterior): number {
  return requirementsOf(need).reduce((product, { id, want }) => {
    const seen = given.evidence.find((one) => one.id === id)?.levels;
    const levels = seen ?? { battery: 1, ground: 1, open: 1, part: 1 };
    const isLive = UNKNOWN_LEVELS.battery * levels.battery;
    const isNot =
      UNKNOWN_LEVELS.ground * levels.ground +
      UNKNOWN_LEVELS.open * levels.open +
      UNKNOWN_LEVELS.part * levels.part;
    const wanted = want === 'live' ? isLive : isNot;
    return (product * wanted) / (isLive + isNot);
  }, 1);
}

function live(place: StitchPlace): Requirement {
  return requirement(stateAt(place), 'live');
}

function dead(place: StitchPlace): Requirement {
  return requirement(stateAt(place), 'dead');
}

function requirement(state: VehicleState, want: Requirement['want']): Requirement {
  return { id: stateId(state), state, want };
}
