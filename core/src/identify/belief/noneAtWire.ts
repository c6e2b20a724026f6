import { UNKNOWN_LEVELS } from '../circuit/hypotheses';
import type { VehicleState } from '../../vehicle';
import { LEVELS } from '../circuit/levels';
import type { StateEvidence } from './stateEvidence';

/** How often a circuit that nobody knows leaves the level that it rests at. Our own choice: seldom. */
export const LEAVES = 0.15;

/**
 * How well "none of these" fits what was read at a wire: with the key off it rests at some level, with the key on at some
 * level, and seldom leaves it. Otherwise many like readings would speak against it, as if it drew its level anew each time.
 */
export function noneAtWire(evidence: readonly StateEvidence[]): number {
  const { off, on } = restsOf(evidence);
  return sum(off) * sum(on);
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
  const { off, on } = restsOf(evidence);
  const whole = sum(off) * sum(on);
  const [atOff, atOn] = [Float64Array.from(off), Float64Array.from(on)];
  for (const { state, want, seen } of wanted)
    narrow(isKeyOff(seen ?? { state }) ? atOff : atOn, { want, levels: seen?.levels ?? UNREAD });
  return whole > 0 ? (sum(atOff) * sum(atOn)) / whole : 0;
}

const BATTERY = LEVELS.indexOf('battery');
const UNREAD = LEVELS.map(() => 1);

/** Weighs each level to rest at by the chance that such a circuit is as wanted in a state, after what was read there. */
function narrow(
  weights: Float64Array,
  { want, levels }: Pick<Wanted, 'want'> & Pick<StateEvidence, 'levels'>,
): void {
  const left = anywhere(levels);
  for (let rest = 0; rest < weights.length; rest += 1) {
    const rests = rest === BATTERY ? 1 - LEAVES : 0;
    const live = (levels[BATTERY] ?? 0) * (rests + LEAVES * (UNKNOWN_LEVELS[BATTERY] ?? 0));
    const share = live / fitAt(rest, levels, left);
    weights[rest] = (weights[rest] ?? 0) * (want === 'live' ? share : 1 - share);
  }
}

/** How well each level to rest at fits, with the key off and with it on, in the order of `LEVELS`. */
interface Rests {
  readonly off: Float64Array;
  readonly on: Float64Array;
}

/** Kept, since every need asks for them. */
const RESTS = new WeakMap<readonly StateEvidence[], Rests>();

function restsOf(evidence: readonly StateEvidence[]): Rests {
  const known = RESTS.get(evidence);
  if (known !== undefined) return known;
  const rests = {
    off: restingFits(evidence.filter(isKeyOff)),
    on: restingFits(evidence.filter((one) => !isKeyOff(one))),
  };
  RESTS.set(evidence, rests);
  return rests;
}

function isKeyOff({ state }: Pick<StateEvidence, 'state'>): boolean {
  return state.key === 'off';
}

function restingFits(evidence: readonly StateEvidence[]): Float64Array {
  const fits = Float64Array.from(UNKNOWN_LEVELS);
  for (const { levels } of evidence) {
    const left = anywhere(levels);
    for (let rest = 0; rest < fits.length; rest += 1)
      fits[rest] = (fits[rest] ?? 0) * fitAt(rest, levels, left);
  }
  return fits;
}

function fitAt(rest: number, levels: StateEvidence['levels'], left: number): number {
  return (1 - LEAVES) * (levels[rest] ?? 0) + LEAVES * left;
}

/** How well a circuit fits that has left its rest. */
function anywhere(levels: StateEvidence['levels']): number {
  let total = 0;
  for (let level = 0; level < levels.length; level += 1)
    total += (levels[level] ?? 0) * (UNKNOWN_LEVELS[level] ?? 0);
  return total;
}

function sum(values: Float64Array): number {
  let total = 0;
  for (const value of values) total += value;
  return total;
}
