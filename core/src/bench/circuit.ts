import type { VehicleState } from '../vehicle';

/** The contact or module that feeds a slot in the simulated car. */
export const BENCH_SUPPLIES = [
  'battery',
  'batterySaver',
  'accessoryContact',
  'accessoryContactHeld',
  'runContact',
  'runCrankContact',
  'retainedPower',
  'starterContact',
  'lampSwitch',
  'unfed',
] as const;
/** One kind of feed. */
export type BenchSupply = (typeof BENCH_SUPPLIES)[number];

/** One fused circuit of a simulated car: what is really behind a slot. */
export interface BenchCircuit {
  readonly slotId: string;
  readonly supply: BenchSupply;
  /** Which contact of the slot the supply enters. */
  readonly supplyContact: 'a' | 'b';
  /** Another supply that reaches the load side past the fuse; undefined in all but back-fed circuits. */
  readonly backFeed: BenchSupply | undefined;
  /** Resistance of the load to ground, Ω; Infinity when nothing is connected. */
  readonly loadOhm: number;
  /** Whether the fitted fuse is blown. */
  readonly blown: boolean;
  /** What couples into an open wire, V, through the stray resistance. */
  readonly ghostV: number;
}

/** A car's battery and charging, as the bench needs it. */
export interface BenchBattery {
  /** Open-circuit voltage, V. */
  readonly restV: number;
  readonly internalOhm: number;
  /** Current the starter draws, A. */
  readonly crankingA: number;
  /** Voltage with the engine running, V. */
  readonly chargingV: number;
}

/** The hidden truth about a car. */
export interface BenchVehicle {
  readonly battery: BenchBattery;
  readonly circuits: readonly BenchCircuit[];
}

/** Whether a supply's contact is closed in a state. The contacts of an ignition switch after DIN 72552, from memory. */
export function isClosed(supply: BenchSupply, state: VehicleState): boolean {
  const { key } = state;
  const on = key === 'acc' || key === 'run' || key === 'engine';
  const ignition = key === 'run' || key === 'engine';
  switch (supply) {
    case 'battery':
      return true;
    case 'batterySaver':
      return !state.asleep;
    case 'accessoryContact':
      return on;
    case 'accessoryContactHeld':
      return on || key === 'crank';
    case 'runContact':
      return ignition;
    case 'runCrankContact':
      return ignition || key === 'crank';
    case 'retainedPower':
      return on || (key === 'off' && !state.doorOpenedSinceKeyOff && !state.asleep);
    case 'starterContact':
      return key === 'crank';
    case 'lampSwitch':
      return state.lamps;
    case 'unfed':
      return false;
  }
}

/** Voltage at the battery posts in a state, V: sags by its internal resistance, rises with the alternator. */
export function batteryVoltage(battery: BenchBattery, state: VehicleState): number {
  if (state.key === 'engine') return battery.chargingV;
  const drawA = state.key === 'crank' ? battery.crankingA : 0;
  return battery.restV - drawA * battery.internalOhm;
}
