import type { BenchSupply } from './supplies';
import type { BenchWire } from './wire';

/** One fused circuit of a simulated car: what is really behind a slot. */
export interface BenchCircuit {
  /** The slot that its fuse is in. */
  readonly slotId: string;
  /** What feeds it, and when. */
  readonly supply: BenchSupply;
  /** Which contact of the slot the supply enters. */
  readonly supplyContact: 'a' | 'b';
  /** Another supply that reaches the load side past the fuse; undefined in all but back-fed circuits. */
  readonly backFeed: BenchSupply | undefined;
  /** Resistance of the load to ground, Ω; Infinity, or beyond any insulation, when nothing is connected. */
  readonly loadOhm: number;
  /** Power of the bulbs that are the load, W: cold, they are nearly a short to ground; left out: no bulbs. */
  readonly bulbW?: number;
  /** Resistance of the load's own ground, Ω; left out: good. */
  readonly groundOhm?: number;
  /** Rating of the fitted fuse, A; left out: 10. */
  readonly ratingA?: number;
  /** Whether the fitted fuse is blown. */
  readonly blown: boolean;
  /** What couples into an open wire, V, through the stray resistance. */
  readonly ghostV: number;
}

/** A car's battery and charging, as the bench needs it. */
export interface BenchBattery {
  /** Open-circuit voltage, V. */
  readonly restV: number;
  /** Ω. */
  readonly internalOhm: number;
  /** Current the starter draws, A. */
  readonly crankingA: number;
  /** Voltage with the engine running, V. */
  readonly chargingV: number;
}

/** The hidden truth about a car. */
export interface BenchVehicle {
  /** What everything hangs on. */
  readonly battery: BenchBattery;
  /** What is behind each slot. */
  readonly circuits: readonly BenchCircuit[];
  /** Cut or tapped wires that can be probed besides the slots; left out: none. */
  readonly wires?: readonly BenchWire[];
}
