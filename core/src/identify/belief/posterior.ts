import type { CircuitFunction } from '../../vehicle';
import { CIRCUIT_FUNCTIONS } from '../../vehicle';
import type { StateEvidence } from './stateEvidence';
import { gatherEvidence } from './stateEvidence';
import type { PerLevel } from '../circuit/levels';
import { LEVELS } from '../circuit/levels';
import type { Reading } from '../reading/reading';
import type { FunctionPrior } from '../legend/readLabel';
import type { Hypothesis } from '../circuit/hypotheses';
import { HYPOTHESES, UNKNOWN_LEVELS } from '../circuit/hypotheses';
import type { Belief } from './sourcePrior';
import type { Workings } from './workings';
import { newWorkings } from './workings';

/** How probable each function of a source is, given everything known. */
export interface Posterior {
  /** By function; sums to 1. */
  readonly functions: FunctionPrior;
  /** By entry of `HYPOTHESES`, in its order; together with `functions.none` sums to 1. */
  readonly hypotheses: readonly number[];
  /** The same from the readings alone, all hypotheses alike beforehand; the last entry is "none of these". */
  readonly byReadings: readonly number[];
  /** Chance that the circuit is safety-critical although nothing printed says so. */
  readonly critical: number;
  /** The same by entry of `HYPOTHESES`; sums to `critical`. */
  readonly criticalBy: readonly number[];
  /** What was read, by state. */
  readonly evidence: readonly StateEvidence[];
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
  workings: Workings = newWorkings(),
): Posterior {
  const possible = possibleFor(prior);
  const evidence = gatherEvidence(readings, workings);
  const fit = new Float64Array(COUNT).fill(1);
  let noneFit = 1;
  for (const { rowOf, agreements, levels } of evidence) {
    for (let at = 0; at < possible.length; at += 1) {
      const index = possible[at] as number;
      fit[index] = (fit[index] as number) * (agreements[rowOf[index] as number] as number);
    }
    noneFit *= agreement(UNKNOWN_LEVELS, levels);
  }
  return weigh(prior, { possible, fit, noneFit, evidence });
}

const COUNT = HYPOTHESES.length;
const INDICES = HYPOTHESES.map((_, index) => index);
const ON_SLOTS = INDICES.filter((index) => HYPOTHESES[index]?.onSlots === true);

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
): Posterior {
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
