import type { BunchSignal, GeneratedBunch } from '../bench';
import { bunchBench } from './bunchBench';
import { endOf } from './byPlan';
import type { FindAdvice, Need, ProbeSource, Until, Visit } from '../identify';
import {
  WORK_SECONDS,
  changeSeconds,
  newAdviser,
  placesOfTrigger,
  isTrigger,
  soughtBy,
} from '../identify';
import type { CircuitFunction, StitchPlace, VehicleState } from '../vehicle';
import { PARKED, stateAt } from '../vehicle';

/** The signals that a job asks for, each as a need of its own name. */
export function needsFor(signals: readonly BunchSignal[]): Need[] {
  return signals.map((signal) => ({ id: signal, ...ASKED[signal] }));
}

const ASKED: Record<BunchSignal, Omit<Need, 'id'>> = {
  constant: { role: 'constant' },
  ignition: { role: 'switched', holdsCranking: true },
  accessory: { role: 'switched', liveInAcc: true },
  starter: { role: 'starter' },
  parkingLamps: { role: 'parkingLamps' },
  brake: { role: 'brake' },
  reverse: { role: 'reverse' },
  door: { role: 'door' },
  hood: { role: 'hood' },
  parkingBrake: { role: 'parkingBrake' },
  lock: { role: 'lock' },
  unlock: { role: 'unlock' },
  turnLeft: { role: 'turnLeft' },
  turnRight: { role: 'turnRight' },
  horn: { role: 'horn' },
  wiper: { role: 'wiper' },
  speed: { role: 'speed' },
  tach: { role: 'tach' },
  retained: { role: 'retained' },
  dimmer: { role: 'dimmer' },
  lowBeam: { role: 'lowBeam' },
  highBeam: { role: 'highBeam' },
  ampTurnOn: { role: 'ampTurnOn' },
  antennaTurnOn: { role: 'antennaTurnOn' },
};

/** What a search came to. */
export interface BunchSearch {
  readonly advice: FindAdvice;
  /** Attended work, s; a wait counts as the touch that ends it. */
  readonly seconds: number;
  /** One for every touch. */
  readonly visits: readonly Visit[];
}

/** More touches than any search needs; reaching it is a fault of the plan. */
const MOST_TOUCHES = 2000;

/**
 * Follows the plan through a bunch, one touch per step; what it came to is the last answer. As in the app, the plan is asked
 * anew after every reading: of the wires that a visit names, only the first is touched.
 *
 * @throws Error when it does not end.
 */
export function* searchSteps(
  bunch: GeneratedBunch,
  needs: readonly Need[],
  given: { readonly seed: number; readonly alone?: boolean; readonly until?: Until },
): Generator<BunchSearch, BunchSearch, void> {
  const bench = bunchBench(bunch, given.seed);
  const sought = soughtBy(needs);
  const sources = bunch.wires.map(({ id }): ProbeSource => ({
    ...{ kind: 'wire', id, name: id, legend: undefined },
    ...{ fitted: true, tappable: true, logged: undefined, sought },
  }));
  const visits: Visit[] = [];
  let seconds = 0;
  const adviseOn = newAdviser();
  for (let count = 0; count < MOST_TOUCHES; count += 1) {
    const advice = adviseOn({
      ...{ sources, readings: bench.readings, state: bench.state(), needs, clip: bench.clip() },
      alone: given.alone === true,
      lamp: true,
      on: bench.readings.at(-1)?.sourceId,
      until: given.until ?? 'role',
    });
    if (advice.next.kind !== 'visit') return { advice, seconds, visits };
    const { visit } = advice.next;
    const [sourceId = ''] = visit.sourceIds;
    visits.push({ ...visit, sourceIds: [sourceId], seconds: visit.firstSeconds });
    // By the plan's own seconds: it knows that a probe reads on where it sits.
    seconds +=
      visit.state.asleep && !bench.state().asleep
        ? visit.firstSeconds - WORK_SECONDS.sleep
        : visit.firstSeconds;
    bench.go(visit.state);
    bench.clipTo(visit.clip ?? 'ground');
    bench.probe(sourceId, visit.instrument);
    yield { advice, seconds, visits };
  }
  throw new Error(`The search has not ended after ${MOST_TOUCHES} touches`);
}

/**
 * Follows the plan through a bunch until it ends.
 *
 * @throws Error when it does not end.
 */
export function searchSignals(
  bunch: GeneratedBunch,
  needs: readonly Need[],
  given: Parameters<typeof searchSteps>[2],
): BunchSearch {
  return endOf(searchSteps(bunch, needs, given));
}

/** States that a signal is looked for in by hand: with it, and at rest. */
const BY_HAND: Partial<Record<BunchSignal, readonly StitchPlace[]>> = {
  constant: ['off', 'asleep'],
  ignition: ['off', 'run', 'crank'],
  accessory: ['off', 'acc', 'run'],
  retained: ['off', 'run', 'justOff'],
  starter: ['run', 'crank'],
  brake: ['off', 'brake'],
  reverse: ['run', 'reverse'],
};

/** States in which a switch may tie a wire to ground that hangs open otherwise: only a clip at plus shows that. */
const TO_GROUND: readonly StitchPlace[] = [
  ...(['run', 'off', 'lamps', 'parkingBrake', 'hood', 'lock', 'unlock'] as const),
  ...(['horn', 'justOff'] as const),
];

/**
 * Attended seconds of the order by hand: every wire in every state that the signals are looked for in, in the order of the
 * list, waits left out.
 *
 * @param clips `ground`: the meter hangs on ground throughout, which can't find a switch to ground on an open wire; `both`:
 * where a switch may tie to ground, every wire is touched once more with the clip at plus, so that it finds what the plan finds
 */
export function secondsByHand(
  bunch: GeneratedBunch,
  signals: readonly BunchSignal[],
  clips: 'ground' | 'both' = 'ground',
): number {
  const places = new Set(signals.flatMap((signal) => byHandPlaces(signal)));
  const round = bunch.wires.length * WORK_SECONDS.probe;
  let state: VehicleState = PARKED;
  let seconds = 0;
  for (const place of places) {
    const to = stateAt(place);
    seconds += round;
    if (clips === 'both' && TO_GROUND.includes(place)) seconds += WORK_SECONDS.clip + round;
    if (!to.asleep) seconds += changeSeconds(state, to);
    state = to;
  }
  return seconds;
}

function byHandPlaces(signal: BunchSignal): readonly StitchPlace[] {
  const { role } = ASKED[signal];
  if (!isTrigger(role)) return BY_HAND[signal] ?? [];
  const { worked, atRest } = placesOfTrigger(role);
  return [...atRest, ...worked];
}

/** How a search turned out, counted over its needs. */
export interface BunchScore {
  /** Needs counted, 0 or more. */
  readonly needs: number;
  /** Of those, how many got the right wire, or rightly none. */
  readonly right: number;
  /** A wire that carries something else. */
  readonly wrong: number;
  /** A wire that is there and was not found. */
  readonly missed: number;
}

/** Holds a search against the truth. */
export function scoreBunch(
  bunch: GeneratedBunch,
  signals: readonly BunchSignal[],
  { advice }: BunchSearch,
): BunchScore {
  const score = { needs: signals.length, right: 0, wrong: 0, missed: 0 };
  for (const signal of signals) {
    const is = advice.filled[signal];
    const wires = bunch.carries.get(signal) ?? [];
    if (is === undefined) score[wires.length === 0 ? 'right' : 'missed'] += 1;
    else score[wires.includes(is) ? 'right' : 'wrong'] += 1;
  }
  return score;
}

const KIND_OF: Partial<Record<CircuitFunction, GeneratedBunch['lockKind']>> = {
  lockNegative: 'negative',
  lockPositive: 'positive',
  lockReversing: 'reversing',
  lockMultiplex: 'multiplex',
};

/** The kind of locks that a search for both found; data where no wire answers to the switch. */
export function lockKindFound({ advice }: BunchSearch): GeneratedBunch['lockKind'] | 'unclear' {
  const kinds = (['lock', 'unlock'] as const).map((id) => {
    const verdict = advice.verdicts.find(({ sourceId }) => sourceId === advice.filled[id]);
    return verdict === undefined ? 'data' : (KIND_OF[verdict.leading] ?? 'unclear');
  });
  const [first = 'unclear', second] = kinds;
  return first === second ? first : 'unclear';
}
