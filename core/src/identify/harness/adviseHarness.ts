import type { VehicleState } from '../../vehicle';
import { newBeliefCache } from '../belief/beliefCache';
import { assertReadingValue } from '../reading/reading';
import type { Assignment } from './assignments';
import { bestAssignments } from './assignments';
import type { WireBelief } from './beliefs';
import { beliefsOf } from './beliefs';
import type { LivelessHelp } from './nothingLive';
import { nothingLive } from './nothingLive';
import type { WireRole } from './roles';
import { SETTLED, WIRE_ROLES } from './roles';
import type { HarnessSession } from './session';
import { isByLamp } from './session';
import type { PairToTry } from './pairToTry';
import { lastWord } from './lastWord';
import { doubtfulOf, unprovedOf } from './leftToProve';
import { pairToTry, untoldOf } from './pairToTry';
import { popSafety } from './popSafety';
import { sayPair } from './pairWords';
import type { SpeakerPair } from './speakerPairs';
import { shownPairs } from './speakerPairs';
import { describeVisit } from './words';
import type { WireVisit } from './wireTests';
import { wireVisits } from './wireTests';

/** What to do next with a bunch of wires. */
export type HarnessAction =
  | {
      readonly kind: 'probe';
      readonly state: VehicleState;
      readonly instrument: 'meter' | 'ohmmeter' | 'lamp';
      readonly clip: 'ground' | 'constant';
      readonly wireIds: readonly string[];
      readonly seconds: number;
      readonly instruction: string;
      readonly because: string;
      readonly caution: string | undefined;
    }
  | {
      readonly kind: 'pop';
      readonly plusId: string;
      readonly minusId: string;
      readonly seconds: number;
      readonly instruction: string;
      readonly because: string;
      readonly caution: string;
    }
  | {
      readonly kind: 'pairOhms';
      readonly oneId: string;
      readonly otherId: string;
      readonly seconds: number;
      readonly instruction: string;
      readonly because: string;
      readonly caution: string;
    }
  | { readonly kind: 'help'; readonly help: LivelessHelp; readonly instruction: string }
  | { readonly kind: 'done'; readonly instruction: string };

/** What one wire is taken for. */
export interface WireVerdict {
  readonly wireId: string;
  /** The likeliest role so far. */
  readonly role: WireRole;
  /** Probability of the role, 0 to 1. */
  readonly certainty: number;
  /** Sure enough to connect or to cap. */
  readonly told: boolean;
  /** Roles with more than a trace of probability, likeliest first. */
  readonly ranked: readonly { readonly role: WireRole; readonly probability: number }[];
  /** Whether a 9 V source may touch it, and if not, why. */
  readonly popSafe: true | string;
}

/** What the identification says about a bunch. */
export interface HarnessAdvice {
  /** One verdict per wire, in the order of the wires. */
  readonly wires: readonly WireVerdict[];
  /** Leads that belong to one speaker. */
  readonly pairs: readonly SpeakerPair[];
  /** The likeliest assignments of the wires that are not told, and by which wires they differ. */
  readonly assignments: readonly (Assignment & { readonly differsAt: readonly string[] })[];
  /** What to do now. */
  readonly next: HarnessAction;
  /** Wires that may be a speaker's lead or a data line, and that what is at hand can't tell. */
  readonly untold: readonly string[];
  /** Wires that are left over, with the states in which they were proved dead still missing. */
  readonly unproved: readonly string[];
}

/** Assignments are worked out over so many wires at most, the most doubtful ones. */
const MOST_DOUBTFUL = 8;
/** So many assignments are worked out. */
const BEST = 3;

/**
 * Everything the identification has to say about a bunch of cut wires: what each is, which belong together, and what to
 * do next.
 *
 * @throws RangeError for a reading at an unknown wire, or one that cannot occur; TypeError for volts that are no number.
 */
export function adviseHarness(session: HarnessSession): HarnessAdvice {
  assertReadings(session);
  const cache = newBeliefCache();
  const beliefs = beliefsOf(session, cache);
  const judged = beliefs.map((belief) => verdictOf(belief, session));
  const safe = new Set(judged.filter((one) => one.popSafe === true).map((one) => one.wireId));
  const help = nothingLive(session);
  const pairs = shownPairs(session.readings, session.wires);
  const pairedIds = new Set(pairs.flatMap(({ plusId, minusId }) => [plusId, minusId]));
  const visits = wireVisits(session, beliefs, pairedIds);
  const pop = pairToTry(session, beliefs, safe);
  const visit = visits.now ?? (pop === undefined ? visits.late : undefined);
  const doubtful = doubtfulOf(
    judged.map((one) => mateless(one, pairs)),
    pairedIds,
  );
  const untold = pop === undefined ? untoldOf(session, beliefs) : [];
  const unneeded = judged
    .filter((one) => !one.told && !pairedIds.has(one.wireId) && !doubtful.includes(one.wireId))
    .map((one) => one.wireId);
  const next = nextFor({ session, help, visit, pop, doubtful, untold, unneeded });
  return {
    wires: next.kind === 'done' ? judged.map((one) => mateless(one, pairs)) : judged,
    pairs,
    assignments: assignmentsOf(beliefs),
    next,
    untold,
    unproved: unprovedOf(beliefs, session),
  };
}

/** Once no pair is worth a pop any more, a wire that answered on no speaker is left over. */
function mateless(verdict: WireVerdict, pairs: readonly SpeakerPair[]): WireVerdict {
  const isPaired = pairs.some(({ plusId, minusId }) => [plusId, minusId].includes(verdict.wireId));
  return verdict.role === 'speaker' && !isPaired ? { ...verdict, role: 'leftOver' } : verdict;
}

function nextFor(found: {
  readonly session: HarnessSession;
  readonly help: LivelessHelp | undefined;
  readonly visit: WireVisit | undefined;
  readonly pop: PairToTry | undefined;
  /** Wires to be joined that are not sure. */
  readonly doubtful: readonly string[];
  readonly untold: readonly string[];
  /** Wires that nothing here needs, and of which nobody knows what they are. */
  readonly unneeded: readonly string[];
}): HarnessAction {
  const { session, help, visit, pop } = found;
  const nameOf = (id: string): string => session.wires.find((one) => one.id === id)?.name ?? id;
  if (help !== undefined) return { kind: 'help', help, instruction: help.instruction };
  if (visit !== undefined)
    return {
      kind: 'probe',
      state: visit.look.state,
      instrument:
        isByLamp(session) && visit.look.instrument === 'meter' ? 'lamp' : visit.look.instrument,
      clip: visit.look.clip,
      wireIds: visit.wireIds,
      seconds: visit.seconds,
      ...describeVisit(visit, visit.wireIds.map(nameOf), session),
    };
  if (pop !== undefined) {
    const { by, plusId, minusId } = pop;
    const said = sayPair(pop, nameOf);
    return by === 'ohms'
      ? { kind: 'pairOhms', oneId: plusId, otherId: minusId, ...said }
      : { kind: 'pop', plusId, minusId, ...said };
  }
  const doubtful = found.doubtful.filter((id) => !found.untold.includes(id));
  return {
    kind: 'done',
    instruction: lastWord(session, {
      doubtful: doubtful.map(nameOf),
      untold: found.untold.map(nameOf),
      unneeded: found.unneeded.filter((id) => !found.untold.includes(id)).map(nameOf),
    }),
  };
}

function assertReadings(session: HarnessSession): void {
  const ids = new Set(session.wires.map((wire) => wire.id));
  for (const reading of session.readings) {
    for (const id of [reading.sourceId, reading.otherId])
      if (id !== undefined && !ids.has(id))
        throw new RangeError(`Reading ${reading.id} is at ${id}, which is no wire of the bunch`);
    assertReadingValue(reading.value);
  }
}

function verdictOf(belief: WireBelief, session: HarnessSession): WireVerdict {
  const ranked = WIRE_ROLES.map((role, index) => ({
    role,
    probability: belief.together[index] ?? 0,
  }))
    .filter(({ probability }) => probability >= 0.01)
    .sort((left, right) => right.probability - left.probability);
  return {
    wireId: belief.wire.id,
    role: belief.role,
    certainty: belief.certainty,
    told: belief.certainty >= SETTLED,
    ranked,
    popSafe: popSafety(belief, session),
  };
}

function assignmentsOf(beliefs: readonly WireBelief[]): HarnessAdvice['assignments'] {
  const open = beliefs
    .filter((one) => one.certainty < SETTLED)
    .sort((left, right) => left.certainty - right.certainty)
    .slice(0, MOST_DOUBTFUL);
  if (open.length === 0 || open.every((one) => one.given.evidence.length === 0)) return [];
  const best = bestAssignments(
    open.map((one) => one.together),
    BEST,
  );
  const first = best[0];
  return best.map((assignment) => ({
    ...assignment,
    differsAt: open
      .filter((_, index) => assignment.roles[index] !== first?.roles[index])
      .map((one) => one.wire.id),
  }));
}
