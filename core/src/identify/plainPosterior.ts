import { CIRCUIT_FUNCTIONS, stateId } from '../vehicle';
import { LEVELS, likelihoods } from './levels';
import type { Reading } from './reading';
import type { FunctionPrior } from './readLabel';
import { HYPOTHESES, UNKNOWN_LEVELS, expectedLevels } from './signatures';
import type { Belief } from './sourcePrior';

/**
 * Bayes' rule written down as it stands in a textbook, every number worked out where it is used. Far slower than
 * `posterior`, which is held against it in tests and benchmarks.
 */
export function plainPosterior(prior: Belief, readings: readonly Reading[]): FunctionPrior {
  const told = readings.filter(
    ({ contact, value, otherId }) =>
      contact === undefined && value.kind !== 'pop' && otherId === undefined,
  );
  const states = [...new Set(told.map(({ state }) => stateId(state)))];
  const inState = (id: string): Reading[] => told.filter(({ state }) => stateId(state) === id);
  const weights = Object.fromEntries(CIRCUIT_FUNCTIONS.map((name) => [name, 0])) as Record<
    keyof FunctionPrior,
    number
  >;
  for (const hypothesis of HYPOTHESES)
    weights[hypothesis.function] += states.reduce((weight, id) => {
      const [first] = inState(id);
      return first === undefined
        ? weight
        : weight * chanceOf(expectedLevels(hypothesis, first.state), inState(id));
    }, prior.functions[hypothesis.function] * hypothesis.share);
  weights.none = states.reduce(
    (weight, id) => weight * chanceOf(UNKNOWN_LEVELS, inState(id)),
    prior.functions.none,
  );
  const total = Object.values(weights).reduce((sum, weight) => sum + weight, 0);
  for (const name of CIRCUIT_FUNCTIONS) weights[name] /= total;
  return weights;
}

/** Chance of what was read in one state: over all levels, how likely the level is times how likely it shows so. */
function chanceOf(expected: readonly number[], readings: readonly Reading[]): number {
  return LEVELS.reduce((sum, _, level) => {
    const shown = readings.reduce(
      (product, reading) => product * (likelihoods(reading)[level] ?? 0),
      1,
    );
    return sum + (expected[level] ?? 0) * shown;
  }, 0);
}
