import type { VehicleState } from '../vehicle';
import type { BenchBattery, BenchCircuit } from './circuit';
import { batteryVoltage, isClosed } from './circuit';

/** Feed wire and contacts from the battery to a slot, Ω. */
const FEED_OHM = 0.03;
/** A fuse and its contacts, Ω. */
const FUSE_OHM = 0.006;
/** Insulation between an open wire and what couples into it, Ω. */
const STRAY_OHM = 8e6;

/** Where an instrument is connected and what it draws. */
export interface Connection {
  /** The contact touched; with the fuse in, either one. */
  readonly contact: 'a' | 'b';
  readonly fuseIn: boolean;
  /** Resistance of the instrument to ground, Ω. */
  readonly instrumentOhm: number;
}

/**
 * Voltage against ground at a contact of a slot with an instrument on it, V.
 *
 * Two nodes, supply side and load side, joined by the fuse; each is tied to the battery, to ground through the load,
 * to stray coupling and to the instrument. Solved as a 2×2 system of nodal equations (Kirchhoff's current law).
 */
export function slotVoltage(
  battery: BenchBattery,
  circuit: BenchCircuit,
  state: VehicleState,
  connection: Connection,
): number {
  const batteryV = batteryVoltage(battery, state);
  const fed = isClosed(circuit.supply, state) ? 1 / FEED_OHM : 0;
  const backFed =
    circuit.backFeed !== undefined && isClosed(circuit.backFeed, state) ? 1 / FEED_OHM : 0;
  const joined = connection.fuseIn && !circuit.blown ? 1 / FUSE_OHM : 0;
  const stray = 1 / STRAY_OHM;
  const load = 1 / circuit.loadOhm;
  const meter = 1 / connection.instrumentOhm;
  const onSupply = connection.contact === circuit.supplyContact;

  const supplySum = fed + stray + joined + (onSupply ? meter : 0);
  const loadSum = backFed + stray + joined + load + (onSupply ? 0 : meter);
  const supplyIn = fed * batteryV + stray * circuit.ghostV;
  const loadIn = backFed * batteryV + stray * circuit.ghostV;
  const determinant = supplySum * loadSum - joined * joined;
  return onSupply
    ? (supplyIn * loadSum + joined * loadIn) / determinant
    : (loadIn * supplySum + joined * supplyIn) / determinant;
}
