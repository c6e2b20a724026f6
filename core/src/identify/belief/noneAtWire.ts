import { UNKNOWN_LEVELS } from '../circuit/hypotheses';
import type { VehicleState } from '../../vehicle';
import { LEVELS } from '../circuit/levels';
import type { StateEvidence } from './stateEvidence';

/** How often a circuit that nobody knows leaves the level that it rests at. Our own choice: seldom. */
export const LEAVES = 0.15;

/** What counts of the evidence. */
type Shown = Pick<StateEvidence, 'state' | 'levels'>;

/**
 * How well "none of these" fits what was read at a wire: with the key off it rests at some level, with the key on at some
 * level, and seldom leaves it. Otherwise many like readings would speak against it, as if it drew its level anew each time.
 */
export function noneAtWire(evidence: readonly Shown[]): number {
  return (
    restingFit(evidence.filter(({ state }) => state.key === 'off')) *
    restingFit(evidence.filter(({ state }) => state.key !== 'off'))
  );
}

/** A state with what a circuit should be there. */
export interface Wanted {
  readonly state: VehicleState;
  readonly want: 'live' | 'dead';
  /** What was read there; undefined where nothing was. */
  readonly seen: StateEvidence | undefined;
}

/**
 * Chance that such a circuit is live, or is not, wherever it should be so, after all that was read: two like readings at half
 * a battery's voltage are not live in the one state and dead in the other, as independent draws would have it.
 */
export function noneAsWanted(
  evidence: readonly StateEvidence[],
  wanted: readonly Wanted[],
): number {
  const whole = noneAtWire(evidence);
  const others = evidence.filter((one) => wanted.every(({ seen }) => seen !== one));
  const asWanted = wanted.map(({ state, want, seen }) => ({
    state: seen?.state ?? state,
    levels: LEVELS.map((_, at) =>
      (at === BATTERY) === (want === 'live') ? (seen?.levels[at] ?? 1) : 0,
    ),
  }));
  return whole > 0 ? noneAtWire([...others, ...asWanted]) / whole : 0;
}

const BATTERY = LEVELS.indexOf('battery');

function restingFit(evidence: readonly Shown[]): number {
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
