import type { CircuitFunction, VehicleState } from '../../vehicle';
import { SHED_MINUTES } from '../../vehicle';
import type { Level } from './levels';

/**
 * What a circuit is at in a state: a level; `dead`, which is ground through its load or open; or `bonded`, which is the
 * chassis and hardly ever anything else.
 */
export type Stand = Level | 'dead' | 'bonded';

/** One way in which cars build a function: what the circuit is at in every state. */
export interface Hypothesis {
  /** What it would make of the source. */
  readonly function: Exclude<CircuitFunction, 'none'>;
  /** Names the variant within its function, e.g. "holds while cranking". */
  readonly variant: string;
  /** Share of this variant among circuits of the function; the shares of a function sum to 1. */
  readonly share: number;
  /** What the circuit is at in a state. */
  readonly stand: (state: VehicleState) => Stand;
  /** Chance that the dead circuit floats instead of lying at ground through its load, 0 to 1. */
  readonly openWhenDead: number;
  /** Whether a fuse slot can have it; the others occur on wires only. */
  readonly onSlots: boolean;
}

export const on = (state: VehicleState): boolean =>
  state.key === 'acc' || state.key === 'run' || state.key === 'engine';
export const running = (state: VehicleState): boolean =>
  state.key === 'run' || state.key === 'engine';
export const cranking = (state: VehicleState): boolean => state.key === 'crank';
export const fresh = (state: VehicleState): boolean =>
  state.key === 'off' && !state.asleep && (state.minutesSinceKeyOff ?? 0) < SHED_MINUTES;
export const held = (state: VehicleState): boolean => fresh(state) && !state.doorOpenedSinceKeyOff;
export const awake = (state: VehicleState): boolean => !state.asleep;

/** Circuits with a load on them rarely float; the share is common practice. */
const LOADED = 0.15;
/** A position without a circuit floats. */
export const UNLOADED = 0.85;
/** Bulbs hold their wire at ground. */
export const BULBS = 0.05;

export type Rows = readonly (readonly [
  variant: string,
  share: number,
  stand: (state: VehicleState) => Stand,
])[];

export const live =
  (when: (state: VehicleState) => boolean) =>
  (state: VehicleState): Stand =>
    when(state) ? 'battery' : 'dead';

/** Variants of a function that a fuse slot or a wire can have. */
export function slot(of: Hypothesis['function'], rows: Rows, openWhenDead = LOADED): Hypothesis[] {
  return rows.map(([variant, share, stand]) => ({
    function: of,
    variant,
    share,
    stand,
    openWhenDead,
    onSlots: true,
  }));
}

/** Variants of a function that only a wire has. */
export function wire(of: Hypothesis['function'], rows: Rows, openWhenDead = LOADED): Hypothesis[] {
  return slot(of, rows, openWhenDead).map((one) => ({ ...one, onSlots: false }));
}
