import { LIVE_AT } from '../visit/visitState';
import type { StitchPlace } from '../../vehicle';
import { placeOf } from '../../vehicle';
import { LEVELS } from '../circuit/levels';
import type { PreparedNeed } from './needs';
import { sureOf } from './needs';
import { shareAsWanted } from './serving';
import { HYPOTHESES, UNKNOWN_LEVELS } from '../circuit/hypotheses';
import type { Verdict } from '../verdict/verdict';

/** A place tells something only where sources that serve agree this far. */
const AGREED = 0.7;
/** How many times worse a safety-critical circuit is than a plain failure. */
const CRITICAL_WEIGHT = 4;

const BATTERY = LEVELS.indexOf('battery');
const UNKNOWN_LIVE = UNKNOWN_LEVELS[BATTERY] ?? 0;

/** Doubts by hypothesis, "none of these" last; taken away as places are supposed to be read as expected. */
export interface Doubt {
  /** Weight of what would not serve, with the legend, 0 to 1. */
  readonly believed: number[];
  /** The same by the readings alone, 0 to 1. */
  readonly byReadings: number[];
  /** Weight of what would be safety-critical, 0 to 1. */
  readonly critical: number[];
  /** Chance that "none of these" is live where the source was read already. */
  readonly noneLiveAt: ReadonlyMap<StitchPlace, number>;
  /** Hypotheses that any doubt hangs on: on a slot, most have none. */
  readonly among: readonly number[];
  /** Chance that each hypothesis serves, were it the circuit's. */
  readonly servingBy: Float64Array;
  /** How sure the need wants to be. */
  readonly sure: ReturnType<typeof sureOf>;
  /** Weight of what serves, by the legend and by the readings alone. */
  readonly serving: { readonly believed: number; readonly byReadings: number };
}

/** What speaks against each source as it stands, by need. */
const UNTOUCHED = new WeakMap<PreparedNeed, WeakMap<Verdict, Doubt>>();

/** What still speaks against a source serving a need. */
export function doubtOf(wanted: PreparedNeed, verdict: Verdict): Doubt {
  const known = UNTOUCHED.get(wanted) ?? new WeakMap<Verdict, Doubt>();
  UNTOUCHED.set(wanted, known);
  const doubt = known.get(verdict) ?? allDoubt(wanted, verdict);
  known.set(verdict, doubt);
  const { believed, byReadings, critical } = doubt;
  return {
    ...doubt,
    believed: [...believed],
    byReadings: [...byReadings],
    critical: [...critical],
  };
}

function allDoubt(wanted: PreparedNeed, verdict: Verdict): Doubt {
  const { hypotheses, byReadings, functions, criticalBy } = verdict.posterior;
  const serving = wanted.serving(verdict.posterior);
  const unless = (weights: readonly number[], none: number): number[] => [
    ...weights
      .slice(0, HYPOTHESES.length)
      .map((weight, index) => weight * (1 - (serving[index] ?? 0))),
    none,
  ];
  const believed = unless(hypotheses, functions.none);
  const readAlone = unless(byReadings, byReadings[HYPOTHESES.length] ?? 0);
  return {
    believed,
    byReadings: readAlone,
    critical: [...criticalBy],
    among: INDICES.filter(
      (index) => believed[index] !== 0 || readAlone[index] !== 0 || criticalBy[index] !== 0,
    ),
    noneLiveAt: new Map(
      verdict.posterior.evidence.map(({ state, levels }) => [
        placeOf(state),
        shareAsWanted(UNKNOWN_LEVELS, levels, 'live'),
      ]),
    ),
    servingBy: serving,
    sure: sureOf(wanted.need),
    serving: {
      believed: servingWeight(serving, hypotheses),
      byReadings: servingWeight(serving, byReadings),
    },
  };
}

const INDICES = HYPOTHESES.map((_, index) => index);

function servingWeight(serving: Float64Array, weights: readonly number[]): number {
  let total = 0;
  for (let index = 0; index < HYPOTHESES.length; index += 1)
    total += (weights[index] ?? 0) * (serving[index] ?? 0);
  return total;
}

/** Whether doubt is left beside what serves. */
export function isOpen(doubt: Doubt): boolean {
  const [believed, byReadings] = [sum(doubt.believed), sum(doubt.byReadings)];
  return (
    believed > (1 - doubt.sure.believed) * (believed + doubt.serving.believed) ||
    byReadings > (1 - doubt.sure.byReadings) * (byReadings + doubt.serving.byReadings)
  );
}

/** What a place shows if the source serves; undefined where sources that serve differ. */
export function expectation(
  wanted: PreparedNeed,
  verdict: Verdict,
  place: StitchPlace,
): boolean | undefined {
  const live = LIVE_AT.get(place) ?? [];
  const serving = wanted.serving(verdict.posterior);
  let liveWeight = 0;
  let whole = 0;
  verdict.posterior.hypotheses.forEach((weight, index) => {
    const part = weight * (serving[index] ?? 0);
    whole += part;
    if (live[index] === true) liveWeight += part;
  });
  if (whole <= 0) return undefined;
  const share = liveWeight / whole;
  if (share >= AGREED) return true;
  return share <= 1 - AGREED ? false : undefined;
}

/** How much doubt an expected reading would take away. */
export function doubtTaken(doubt: Doubt, place: StitchPlace, expectLive: boolean): number {
  const live = LIVE_AT.get(place) ?? [];
  let taken = 0;
  for (const index of doubt.among)
    if (live[index] !== expectLive)
      taken +=
        (doubt.believed[index] ?? 0) +
        (doubt.byReadings[index] ?? 0) +
        CRITICAL_WEIGHT * (doubt.critical[index] ?? 0);
  const none =
    (doubt.believed[HYPOTHESES.length] ?? 0) + (doubt.byReadings[HYPOTHESES.length] ?? 0);
  return taken + none * (1 - noneKept(doubt, place, expectLive));
}

/** Takes away what the expected reading speaks against; the answer is how likely it was to come otherwise. */
export function remove(doubt: Doubt, place: StitchPlace, expectLive: boolean): number {
  const live = LIVE_AT.get(place) ?? [];
  const again = doubt.noneLiveAt.has(place);
  let failing = 0;
  for (const index of doubt.among) {
    if (live[index] === expectLive) {
      if (again && (doubt.servingBy[index] ?? 0) > 0) clear(doubt, index);
      continue;
    }
    failing += doubt.believed[index] ?? 0;
    doubt.believed[index] = 0;
    doubt.byReadings[index] = 0;
    doubt.critical[index] = 0;
  }
  const keeps = noneKept(doubt, place, expectLive);
  for (const weights of [doubt.believed, doubt.byReadings])
    weights[HYPOTHESES.length] = (weights[HYPOTHESES.length] ?? 0) * keeps;
  return Math.min(1, failing);
}

/** Share of the doubt about a circuit of the right kind that another touch leaves, where the first one spoke against it. */
const LEFT_BY_ANOTHER_TOUCH = 0.02;

function clear(doubt: Doubt, index: number): void {
  doubt.believed[index] = (doubt.believed[index] ?? 0) * LEFT_BY_ANOTHER_TOUCH;
  doubt.byReadings[index] = (doubt.byReadings[index] ?? 0) * LEFT_BY_ANOTHER_TOUCH;
}

/** Share of "none of these" that an expected reading leaves. */
function noneKept(doubt: Doubt, place: StitchPlace, expectLive: boolean): number {
  const live = doubt.noneLiveAt.get(place) ?? UNKNOWN_LIVE;
  return expectLive ? live : 1 - live;
}

/**
 * The chance that a source comes out as its checks hope at all places of a set, for every set of places (bit masks
 * over `places`). Places without a check, or where nothing in particular is hoped for, pass.
 */
export function passingChances(
  source: {
    readonly verdict: Verdict;
    readonly checks: readonly { readonly place: StitchPlace; readonly expectLive?: boolean }[];
  },
  places: readonly StitchPlace[],
): Float64Array {
  const hopes = places.map(
    (place) => source.checks.find((check) => check.place === place)?.expectLive,
  );
  const { hypotheses, functions } = source.verdict.posterior;
  const passing = new Float64Array(1 << places.length);
  hypotheses.forEach((weight, index) => {
    if (weight < TRACE_WEIGHT) return;
    let failsAt = 0;
    places.forEach((place, bit) => {
      const hope = hopes[bit];
      if (hope !== undefined && LIVE_AT.get(place)?.[index] !== hope) failsAt |= 1 << bit;
    });
    for (let set = 0; set < passing.length; set += 1)
      if ((set & failsAt) === 0) passing[set] = (passing[set] ?? 0) + weight;
  });
  for (let set = 0; set < passing.length; set += 1) {
    let none = functions.none;
    hopes.forEach((hope, bit) => {
      if (hope !== undefined && (set >> bit) % 2 === 1)
        none *= hope ? UNKNOWN_LIVE : 1 - UNKNOWN_LIVE;
    });
    passing[set] = (passing[set] ?? 0) + none;
  }
  return passing;
}

/** Hypotheses below this change no order of visits. */
const TRACE_WEIGHT = 1e-4;

function sum(weights: readonly number[]): number {
  return weights.reduce((total, weight) => total + weight, 0);
}
