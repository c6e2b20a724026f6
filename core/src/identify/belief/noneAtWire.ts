import { UNKNOWN_LEVELS } from '../circuit/hypotheses';
import { LEVELS } from '../circuit/levels';
import type { StateEvidence } from './stateEvidence';

/** How often a circuit that nobody knows leaves the level that it rests at. Our own choice: seldom. */
export const LEAVES = 0.15;

/**
 * How well "none of these" fits what was read at a wire: with the key off it rests at some level, with the key on at some
 * level, and seldom leaves it. Otherwise many like readings would speak against it, as if it drew its level anew each time.
 */
export function noneAtWire(evidence: readonly StateEvidence[]): number {
  return (
    restingFit(evidence.filter(({ state }) => state.key === 'off')) *
    restingFit(evidence.filter(({ state }) => state.key !== 'off'))
  );
}

function restingFit(evidence: readonly StateEvidence[]): number {
  if (evidence.length === 0) return 1;
  const anywhere = evidence.map(({ levels }) =>
    levels.reduce((sum, chance, level) => sum + chance * (UNKNOWN_LEVELS[level] ?? 0), 0),
  );
  return LEVELS.reduce((fit, _, rest) => {
    const chance = evidence.reduce(
      (product, { levels }, index) =>
        product * ((1 - LEAVES) * (levels[rest] ?? 0) + LEAVES * (anywhere[index] ?? 0)),
      1,
    );
    return fit + (UNKNOWN_LEVELS[rest] ?? 0) * chance;
  }, 0);
}
