import type { CircuitFunction } from '../../vehicle';
import { CIRCUIT_FUNCTIONS } from '../../vehicle';
import type { StateEvidence } from './stateEvidence';
import { gatherEvidence } from './stateEvidence';
import { lockSteps } from './lockSteps';
import { noneAtWire } from './noneAtWire';
import type { Popped } from './pairEvidence';
import { pairFit } from './pairEvidence';
import type { PerLevel } from '../circuit/levels';
import { LEVELS } from '../circuit/levels';
import type { Reading } from '../reading/reading';
import type { FunctionPrior } from '../legend/readLabel';
import type { Hypothesis } from '../circuit/hypotheses';
import { HYPOTHESES, ROW_WHEN, UNFED, UNKNOWN_LEVELS, unfedShare } from '../circuit/hypotheses';
import type { Belief } from './sourcePrior';
import type { BeliefCache } from './beliefCache';
import { newBeliefCache } from './beliefCache';

/** How probable each function of a source is, given everything known. */
export interface Posterior {
  /** By function; sums to 1. */
  readonly functions: FunctionPrior;
  /** By entry of `HYPOTHESES`, in its order; together with `functions.none` sums to 1. */
  readonly hypotheses: readonly number[];
  /** The same from the readings alone, all hypotheses alike beforehand; the last entry is "none of these". */
  readonly byReadings: readonly number[];
  /** Chance that the circuit is safety-critical although nothing printed says so, 0 to 1. */
  readonly critical: number;
  /** The same by entry of `HYPOTHESES`; sums to `critical`. */
  readonly criticalBy: readonly number[];
  /** What was read, by state. */
  readonly evidence: readonly StateEvidence[];
  /** Whether it is of a wire: what nobody knows rests there at one level with the key off and one with it on. */
  readonly atWire: boolean;
  /** Which speaker's lead it is, by a pop; left out: nobody knows. */
  readonly popped?: Popped | undefined;
  /**
   * Of a wire, for each entry of `UNFED`: the share of each hypothesis in which its circuit does that where it is not fed. Of a
   * slot nobody asks.
   */
  readonly unfed?: readonly Float64Array[];
}

/** "None of these" against one hypothesis, when nothing but readings counts. */
export const NONE_SHARE = 0.25;

/**
 * How probable each function is after the readings of one source (Bayes' rule).
 *
 * Readings in one state share one unknown level, so that contradicting readings are explained by a slip and not by a
 * level in between, and their order does not matter.
 */
export function posterior(
  prior: Belief,
  readings: readonly Reading[],
  cache: BeliefCache = newBeliefCache(),
): Posterior {
  const possible = possibleFor(prior);
  const evidence = gatherEvidence(readings, cache, possible === ON_SLOTS);
  const wire = possible === ON_SLOTS ? undefined : fitsOfWire(possible, evidence);
  const fit = wire?.fit ?? fitsOfSlot(evidence);
  const noneFit = wire === undefined ? noneAtSlot(evidence) : noneAtWire(evidence);
  pairFit(readings)?.forEach((weight, index) => (fit[index] = (fit[index] ?? 0) * weight));
  return {
    ...weigh(prior, { possible, fit, noneFit, evidence }),
    atWire: wire !== undefined,
    ...(wire === undefined ? {} : { unfed: wire.unfed }),
  };
}

const COUNT = HYPOTHESES.length;
const INDICES = HYPOTHESES.map((_, index) => index);
const ON_SLOTS = INDICES.filter((index) => HYPOTHESES[index]?.onSlots === true);

/** How well each hypothesis fits what was read at a slot. */
function fitsOfSlot(evidence: readonly StateEvidence[]): Float64Array {
  const fit = new Float64Array(COUNT).fill(1);
  for (const { rowOf, agreements } of evidence)
    for (const index of ON_SLOTS)
      fit[index] = (fit[index] as number) * (agreements[rowOf[index] as number] as number);
  return fit;
}

/** The same at a wire, where most states find most circuits dead: one that floats floats in all of them. */
function fitsOfWire(
  possible: readonly number[],
  evidence: readonly StateEvidence[],
): { readonly fit: Float64Array; readonly unfed: readonly Float64Array[] } {
  const fit = new Float64Array(COUNT);
  const steps = lockSteps(evidence);
  const unfed = UNFED.map((way) => {
    const rows = ROW_WHEN[way];
    const shares = new Float64Array(COUNT);
    for (const index of possible) {
      let fits = unfedShare(HYPOTHESES[index] as Hypothesis, way) * (steps?.[index] ?? 1);
      for (const { rowOf, agreements } of evidence)
        fits *= agreements[rows[rowOf[index] as number] as number] as number;
      shares[index] = fits;
      fit[index] = (fit[index] as number) + fits;
    }
    return shares;
  });
  for (const shares of unfed)
    for (const index of possible)
      if ((fit[index] as number) > 0)
        shares[index] = (shares[index] as number) / (fit[index] as number);
  return { fit, unfed };
}

/** "None of these" at a slot: at any level in any state. */
function noneAtSlot(evidence: readonly StateEvidence[]): number {
  return evidence.reduce((product, { levels }) => product * agreement(UNKNOWN_LEVELS, levels), 1);
}

/** Functions that no fuse slot has. */
const WIRE_ONLY = CIRCUIT_FUNCTIONS.filter((name) =>
  HYPOTHESES.some((hypothesis) => hypothesis.function === name && !hypothesis.onSlots),
);

/** Fuse slots never have what only wires have; wires may have anything. */
function possibleFor(prior: Belief): readonly number[] {
  if (WIRE_ONLY.every((name) => prior.functions[name] === 0)) return ON_SLOTS;
  return INDICES.filter((index) => {
    const hypothesis = HYPOTHESES[index];
    return (
      hypothesis !== undefined && (hypothesis.onSlots || prior.functions[hypothesis.function] > 0)
    );
  });
}

function weigh(
  prior: Belief,
  seen: {
    readonly possible: readonly number[];
    readonly fit: Float64Array;
    readonly noneFit: number;
    readonly evidence: readonly StateEvidence[];
  },
): Omit<Posterior, 'atWire' | 'unfed'> {
  const hypotheses = new Array<number>(COUNT).fill(0);
  const byReadings = new Array<number>(COUNT + 1).fill(0);
  const criticalBy = new Array<number>(COUNT).fill(0);
  const functions: Record<CircuitFunction, number> = { ...NO_WEIGHT };
  const none = prior.functions.none * seen.noneFit;
  const noneByReadings = NONE_SHARE * seen.noneFit;
  let total = none;
  let totalByReadings = noneByReadings;
  for (const index of seen.possible) {
    const hypothesis = HYPOTHESES[index] as Hypothesis;
    const fit = hypothesis.share * (seen.fit[index] ?? 0);
    hypotheses[index] = prior.functions[hypothesis.function] * fit;
    criticalBy[index] = prior.critical[hypothesis.function] * fit;
    byReadings[index] = fit;
    total += hypotheses[index] ?? 0;
    totalByReadings += fit;
  }
  byReadings[COUNT] = noneByReadings / totalByReadings;
  let critical = 0;
  for (const index of seen.possible) {
    const hypothesis = HYPOTHESES[index] as Hypothesis;
    hypotheses[index] = (hypotheses[index] ?? 0) / total;
    criticalBy[index] = (criticalBy[index] ?? 0) / total;
    byReadings[index] = (byReadings[index] ?? 0) / totalByReadings;
    functions[hypothesis.function] += hypotheses[index] ?? 0;
    critical += criticalBy[index] ?? 0;
  }
  functions.none = none / total;
  return { functions, hypotheses, byReadings, critical, criticalBy, evidence: seen.evidence };
}

const NO_WEIGHT = Object.fromEntries(CIRCUIT_FUNCTIONS.map((name) => [name, 0])) as Record<
  CircuitFunction,
  number
>;

/** How well expected levels agree with what was seen. */
function agreement(expected: PerLevel, seen: PerLevel): number {
  let sum = 0;
  for (let index = 0; index < LEVELS.length; index += 1)
    sum += (expected[index] ?? 0) * (seen[index] ?? 0);
  return sum;
}
