import type { CircuitFunction, VehicleState } from '../vehicle';
import type { PerLevel } from './levels';

/** One way in which cars build a function: in which states the circuit is live, and what it is at when dead. */
export interface Hypothesis {
  readonly function: Exclude<CircuitFunction, 'none'>;
  /** Names the variant within its function, e.g. "holds while cranking". */
  readonly variant: string;
  /** Share of this variant among circuits of the function; the shares of a function sum to 1. */
  readonly share: number;
  /** Whether the circuit is live in a state. */
  readonly live: (state: VehicleState) => boolean;
  /** Chance that the dead circuit floats instead of lying at ground through its load. */
  readonly openWhenDead: number;
}

const awakeKey = (state: VehicleState): boolean =>
  state.key === 'acc' || state.key === 'run' || state.key === 'engine';
const running = (state: VehicleState): boolean => state.key === 'run' || state.key === 'engine';
const cranking = (state: VehicleState): boolean => state.key === 'crank';
const held = (state: VehicleState): boolean =>
  state.key === 'off' && !state.doorOpenedSinceKeyOff && !state.asleep;

/** Circuits with a load on them rarely float; the share is common practice. */
const LOADED = 0.15;
/** A position without a circuit floats. */
const UNLOADED = 0.85;

/**
 * Every function as its variants. Which states are live follows DIN 72552 for 15, 15R, 30, 50 and 58; the shares of
 * the variants are common practice (accessory usually drops while cranking).
 */
export const HYPOTHESES: readonly Hypothesis[] = [
  entry('constant', 'always', 1, () => true),
  entry('timedConstant', 'until sleep', 1, (state) => !state.asleep),
  entry('accessory', 'drops while cranking', 0.85, awakeKey),
  entry('accessory', 'holds while cranking', 0.15, (state) => awakeKey(state) || cranking(state)),
  entry(
    'retainedAccessory',
    'drops while cranking',
    0.6,
    (state) => awakeKey(state) || held(state),
  ),
  entry(
    'retainedAccessory',
    'holds while cranking',
    0.15,
    (state) => awakeKey(state) || held(state) || cranking(state),
  ),
  entry(
    'retainedAccessory',
    'run only, drops while cranking',
    0.25,
    (state) => running(state) || held(state),
  ),
  entry('ignitionRun', 'run', 1, running),
  entry('ignitionRunCrank', 'run and crank', 1, (state) => running(state) || cranking(state)),
  entry('starter', 'crank', 1, cranking),
  entry('lamps', 'with the light switch', 0.65, (state) => state.lamps),
  entry(
    'lamps',
    'with the light switch, off while cranking',
    0.2,
    (state) => state.lamps && !cranking(state),
  ),
  entry(
    'lamps',
    'with the light switch, key on',
    0.15,
    (state) => state.lamps && state.key !== 'off',
  ),
  { ...entry('spare', 'unconnected', 1, () => false), openWhenDead: UNLOADED },
];

/** How often a circuit is at a level its hypothesis does not expect: sheds, door modules, option-dependent relays. */
const ODD = 0.006;

/** The chance of each level that a hypothesis gives a circuit in a state. */
export function expectedLevels(hypothesis: Hypothesis, state: VehicleState): PerLevel {
  return hypothesis.live(state)
    ? { battery: 1 - 3 * ODD, ground: ODD, open: ODD, part: ODD }
    : {
        battery: ODD,
        part: ODD,
        open: (1 - 2 * ODD) * hypothesis.openWhenDead,
        ground: (1 - 2 * ODD) * (1 - hypothesis.openWhenDead),
      };
}

/** The chance that a hypothesis finds the circuit at battery voltage in a state. */
export function batteryChance(hypothesis: Hypothesis, state: VehicleState): number {
  return hypothesis.live(state) ? 1 - 3 * ODD : ODD;
}

/** What "none of these" expects in any state: nothing in particular, but the same at every look. */
export const UNKNOWN_LEVELS: PerLevel = { battery: 0.4, ground: 0.25, open: 0.25, part: 0.1 };

function entry(
  of: Hypothesis['function'],
  variant: string,
  share: number,
  live: Hypothesis['live'],
): Hypothesis {
  return { function: of, variant, share, live, openWhenDead: LOADED };
}
