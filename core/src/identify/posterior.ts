import type { CircuitFunction, VehicleState } from '../vehicle';
import { CIRCUIT_FUNCTIONS, stateId } from '../vehicle';
import type { PerLevel } from './levels';
import { LEVELS, likelihoods } from './levels';
import type { Reading } from './reading';
import type { FunctionPrior } from './readLabel';
import { HYPOTHESES, UNKNOWN_LEVELS, expectedLevels } from './signatures';

/** What the readings of one source in one state say about its level there. */
export interface StateEvidence {
  /** The state's id, see `stateId`. */
  readonly id: string;
  readonly state: VehicleState;
  readonly readings: readonly Reading[];
  /** Relative likelihood of each level; the largest is 1. */
  readonly levels: PerLevel;
}

/** How probable each function of a source is, given everything known. */
export interface Posterior {
  /** By function; sums to 1. */
  readonly functions: FunctionPrior;
  /** By entry of `HYPOTHESES`, in its order; together with `functions.none` sums to 1. */
  readonly hypotheses: readonly number[];
  readonly evidence: readonly StateEvidence[];
}

/**
 * How probable each function is after the readings of one source (Bayes' rule).
 *
 * Readings in one state share one unknown level, so that contradicting readings are explained by a slip and not by a
 * level in between, and their order does not matter. Readings at a contact of an empty slot are left out: one of
 * the two contacts is dead by design, whatever the function.
 */
export function posterior(prior: FunctionPrior, readings: readonly Reading[]): Posterior {
  const evidence = gatherEvidence(readings);
  const weights = HYPOTHESES.map(
    (hypothesis) =>
      prior[hypothesis.function] *
      hypothesis.share *
      evidence.reduce(
        (product, one) => product * agreement(expectedLevels(hypothesis, one.state), one.levels),
        1,
      ),
  );
  const none =
    prior.none *
    evidence.reduce((product, one) => product * agreement(UNKNOWN_LEVELS, one.levels), 1);
  const total = weights.reduce((sum, weight) => sum + weight, none);
  const hypotheses = weights.map((weight) => weight / total);
  return { functions: byFunction(hypotheses, none / total), hypotheses, evidence };
}

/** Readings with the fuse in, grouped by state. */
export function gatherEvidence(readings: readonly Reading[]): StateEvidence[] {
  const groups = new Map<string, Reading[]>();
  for (const reading of readings) {
    if (reading.contact !== undefined) continue;
    const id = stateId(reading.state);
    const group = groups.get(id);
    if (group === undefined) groups.set(id, [reading]);
    else group.push(reading);
  }
  return [...groups].map(([id, group]) => {
    const first = group[0] as Reading;
    return { id, state: first.state, readings: group, levels: combined(group) };
  });
}

/** Product of the readings' likelihoods per level, scaled so that the largest is 1 and nothing underflows. */
function combined(readings: readonly Reading[]): PerLevel {
  const logs = LEVELS.map(() => 0);
  for (const reading of readings) {
    const each = likelihoods(reading.value, reading.state);
    LEVELS.forEach((level, index) => (logs[index] = (logs[index] ?? 0) + Math.log(each[level])));
  }
  const top = Math.max(...logs);
  return Object.fromEntries(
    LEVELS.map((level, index) => [level, Math.exp((logs[index] ?? 0) - top)]),
  ) as unknown as PerLevel;
}

function agreement(expected: PerLevel, seen: PerLevel): number {
  return (
    expected.battery * seen.battery +
    expected.ground * seen.ground +
    expected.open * seen.open +
    expected.part * seen.part
  );
}

function byFunction(hypotheses: readonly number[], none: number): FunctionPrior {
  const sums = Object.fromEntries(CIRCUIT_FUNCTIONS.map((name) => [name, 0])) as Record<
    CircuitFunction,
    number
  >;
  HYPOTHESES.forEach((hypothesis, index) => (sums[hypothesis.function] += hypotheses[index] ?? 0));
  return { ...sums, none };
}
