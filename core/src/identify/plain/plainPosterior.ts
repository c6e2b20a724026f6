import type { CircuitFunction, VehicleState } from '../../vehicle';
import { CIRCUIT_FUNCTIONS, placeOf, stateId } from '../../vehicle';
import type { StateEvidence } from '../belief/stateEvidence';
import { LEAVES } from '../belief/noneAtWire';
import { pairFit } from '../belief/pairEvidence';
import { lockSteps } from '../belief/lockSteps';
import { saysNothingOfLevel } from '../belief/stateEvidence';
import { LEVELS, likelihoods } from '../circuit/levels';
import type { Posterior } from '../belief/posterior';
import { NONE_SHARE } from '../belief/posterior';
import type { Reading } from '../reading/reading';
import {
  HYPOTHESES,
  LEVEL_ROWS,
  UNFED,
  UNKNOWN_LEVELS,
  expectedLevels,
  levelRowOf,
  unfedShare,
} from '../circuit/hypotheses';
import type { Hypothesis, Unfed } from '../circuit/hypotheses';
import type { Belief } from '../belief/sourcePrior';

/**
 * Bayes' rule written down as it stands in a textbook, every number worked out where it is used. Far slower than
 * `posterior`, which is held against it in tests and benchmarks.
 */
export function plainPosterior(prior: Belief, readings: readonly Reading[]): Posterior {
  const told = readings.filter((one) => one.contact === undefined && !saysNothingOfLevel(one));
  const isSlot = CIRCUIT_FUNCTIONS.every((name) => prior.functions[name] === 0 || isOnSlots(name));
  const sameAs = isSlot ? isOneToSlots : isSame;
  const groups = told.reduce<Reading[][]>((made, reading) => {
    const group = made.find(([first]) => first !== undefined && sameAs(first.state, reading.state));
    return group === undefined
      ? [...made, [reading]]
      : made.map((one) => (one === group ? [...one, reading] : one));
  }, []);
  const evidence = groups.flatMap(evidenceOf);
  const steps = isSlot ? undefined : lockSteps(evidence);
  const paired = pairFit(readings);
  const fits = HYPOTHESES.map(
    (hypothesis, index) =>
      fitOf(hypothesis, { prior, groups, isSlot }) * (steps?.[index] ?? 1) * (paired?.[index] ?? 1),
  );
  const noneFit = isSlot
    ? groups.reduce((fit, group) => fit * chanceOf(UNKNOWN_LEVELS, group), 1)
    : restingFit(groups.filter(isKeyOff)) * restingFit(groups.filter((one) => !isKeyOff(one)));
  const share = (given: Belief['functions']): number[] =>
    HYPOTHESES.map((one, index) => given[one.function] * (fits[index] ?? 0));
  const total = sum(share(prior.functions)) + prior.functions.none * noneFit;
  const hypotheses = share(prior.functions).map((weight) => weight / total);
  const criticalBy = share(prior.critical).map((weight) => weight / total);
  const alike = sum(fits) + NONE_SHARE * noneFit;
  return {
    functions: Object.fromEntries(
      CIRCUIT_FUNCTIONS.map((name) => [
        name,
        name === 'none'
          ? (prior.functions.none * noneFit) / total
          : sum(hypotheses.filter((_, index) => HYPOTHESES[index]?.function === name)),
      ]),
    ) as Posterior['functions'],
    hypotheses,
    byReadings: [...fits, NONE_SHARE * noneFit].map((weight) => weight / alike),
    critical: sum(criticalBy),
    criticalBy,
    evidence,
    atWire: !isSlot,
  };
}

function isSame(one: VehicleState, other: VehicleState): boolean {
  return stateId(one) === stateId(other);
}

/** Whether no circuit of a slot tells two states of one place apart. */
function isOneToSlots(one: VehicleState, other: VehicleState): boolean {
  return (
    placeOf(one) === placeOf(other) &&
    HYPOTHESES.every(
      (hypothesis) =>
        !hypothesis.onSlots || levelRowOf(hypothesis, one) === levelRowOf(hypothesis, other),
    )
  );
}

/** Share of a variant times how well it agrees with what was read; what no slot can have fits only where it may be. */
function fitOf(
  hypothesis: Hypothesis,
  given: {
    readonly prior: Belief;
    readonly groups: readonly (readonly Reading[])[];
    readonly isSlot: boolean;
  },
): number {
  const isPossible =
    hypothesis.onSlots || (!given.isSlot && given.prior.functions[hypothesis.function] > 0);
  if (!isPossible) return 0;
  const inAll = (unfed?: Unfed): number =>
    given.groups.reduce((fit, group) => {
      const [first] = group;
      if (first === undefined) return fit;
      return fit * chanceOf(expectedLevels(hypothesis, first.state, unfed), group);
    }, hypothesis.share);
  if (given.isSlot) return inAll();
  return UNFED.reduce((fit, unfed) => fit + unfedShare(hypothesis, unfed) * inAll(unfed), 0);
}

function isKeyOff([first]: readonly Reading[]): boolean {
  return first?.state.key === 'off';
}

/** "None of these" at a wire: over all levels that it may rest at, each state rests there or, seldom, is anywhere. */
function restingFit(groups: readonly (readonly Reading[])[]): number {
  if (groups.length === 0) return 1;
  return sum(
    LEVELS.map((_, rest) =>
      groups.reduce(
        (fit, group) =>
          fit * ((1 - LEAVES) * shownAt(rest, group) + LEAVES * chanceOf(UNKNOWN_LEVELS, group)),
        UNKNOWN_LEVELS[rest] ?? 0,
      ),
    ),
  );
}

/** Chance of what was read in one state: over all levels, how likely the level is times how likely it shows so. */
function chanceOf(expected: readonly number[], readings: readonly Reading[]): number {
  return LEVELS.reduce((chance, _, level) => {
    return chance + (expected[level] ?? 0) * shownAt(level, readings);
  }, 0);
}

function shownAt(level: number, readings: readonly Reading[]): number {
  return readings.reduce((product, reading) => product * (likelihoods(reading)[level] ?? 0), 1);
}

function evidenceOf(readings: readonly Reading[]): StateEvidence[] {
  const [first] = readings;
  if (first === undefined) return [];
  const shown = LEVELS.map((_, level) => shownAt(level, readings));
  const top = Math.max(...shown);
  const levels = shown.map((chance) => chance / top);
  const { state } = first;
  return [
    {
      id: stateId(state),
      state,
      readings,
      levels,
      rowOf: Uint8Array.from(HYPOTHESES, (hypothesis) => levelRowOf(hypothesis, state)),
      agreements: Float64Array.from(LEVEL_ROWS, (row) =>
        sum(row.map((chance, level) => chance * (levels[level] ?? 0))),
      ),
    },
  ];
}

function isOnSlots(name: CircuitFunction): boolean {
  return HYPOTHESES.every((one) => one.function !== name || one.onSlots);
}

function sum(weights: readonly number[]): number {
  return weights.reduce((total, weight) => total + weight, 0);
}
