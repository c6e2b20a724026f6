import type { Posterior } from '../belief/posterior';
import { posterior } from '../belief/posterior';
import { bySource } from '../belief/pairEvidence';
import { sourcePrior } from '../belief/sourcePrior';
import type { BeliefCache } from '../belief/beliefCache';
import { CAPACITY, ROLE_BY_HYPOTHESIS, WIRE_ROLES } from './roles';
import type { WireRole } from './roles';
import type { HarnessFamily, HarnessSession, HarnessWire } from './session';
import { colourEvidence } from './wireColours';

/** What one wire is, as far as its readings, its colour and the other wires tell. */
export interface WireBelief {
  readonly wire: HarnessWire;
  /** What its own readings make of it. */
  readonly given: Posterior;
  /** Chance of each role by its own readings and colour, in the order of `WIRE_ROLES`; sums to 1. */
  readonly alone: readonly number[];
  /** The same with every other wire taken into account. */
  readonly together: readonly number[];
  /** The likeliest role with every other wire taken into account. */
  readonly role: WireRole;
  /** Probability of the role, 0 to 1. */
  readonly certainty: number;
}

/** Rounds of balancing; it settles within a few. */
const ROUNDS = 40;

/** What each wire of a bunch is: Bayes' rule wire by wire, then balanced so that no role has too many or too few wires. */
export function beliefsOf(session: HarnessSession, cache: BeliefCache): WireBelief[] {
  const own = bySource(session.readings);
  const prior = sourcePrior({ legend: undefined, logged: undefined, kind: 'wire' });
  const rows = session.wires.map((wire) => {
    const given = posterior(prior, own.get(wire.id) ?? [], cache);
    return {
      wire,
      given,
      alone: rolesOf(given, wire, session.family ?? 'factory'),
    };
  });
  const balanced = balance(rows.map((row) => row.alone));
  return rows.map((row, index) => {
    const together = balanced[index] ?? row.alone;
    const best = together.reduce(
      (top, chance, at) => (chance > (together[top] ?? 0) ? at : top),
      0,
    );
    return {
      ...row,
      together,
      role: WIRE_ROLES[best] ?? 'leftOver',
      certainty: together[best] ?? 0,
    };
  });
}

function rolesOf(given: Posterior, wire: HarnessWire, family: HarnessFamily): number[] {
  const byColour = colourEvidence(wire.colour, family);
  const weights = WIRE_ROLES.map(() => 0);
  ROLE_BY_HYPOTHESIS.forEach((role, index) => {
    const at = WIRE_ROLES.indexOf(role);
    weights[at] = (weights[at] ?? 0) + (given.hypotheses[index] ?? 0);
  });
  const leftOver = WIRE_ROLES.indexOf('leftOver');
  weights[leftOver] = (weights[leftOver] ?? 0) + given.functions.none;
  const judged = weights.map((weight, index) => {
    const role = WIRE_ROLES[index] ?? 'leftOver';
    return weight * byColour[role];
  });
  return normalised(judged);
}

/**
 * Chances of all wires together: rows stay chances, and each role's sum is brought between its least and its most
 * (iterative proportional fitting, Deming and Stephan 1940).
 */
export function balance(rows: readonly (readonly number[])[]): number[][] {
  let matrix = rows.map((row) => [...row]);
  for (let round = 0; round < ROUNDS; round += 1) {
    WIRE_ROLES.forEach((role, column) => {
      const [least, most] = CAPACITY[role];
      const sum = matrix.reduce((total, row) => total + (row[column] ?? 0), 0);
      const wanted = Math.min(Math.max(sum, Math.min(least, rows.length)), most);
      if (sum <= 0 || wanted === sum) return;
      for (const row of matrix) row[column] = ((row[column] ?? 0) * wanted) / sum;
    });
    matrix = matrix.map(normalised);
  }
  return matrix;
}

function normalised(weights: readonly number[]): number[] {
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  return weights.map((weight) => weight / total);
}
