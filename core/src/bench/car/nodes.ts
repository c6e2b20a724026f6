import type { Element } from '../network/element';
import { CHASSIS } from '../network/element';
import type { BenchSupply } from './supplies';

/** Insulation between an open wire and what couples into it, Ω. */
const STRAY_OHM = 8e6;

/** A fuse drops about this much at its rating, V. Common practice: 0.06 to 0.12 V. */
const FUSE_DROP_V = 0.09;

/** Resistance of a fuse of a rating, Ω. */
export function fuseOhm(ratingA: number): number {
  return FUSE_DROP_V / ratingA;
}

/** Node of a supply's bus. */
export function busNode(supply: BenchSupply): string {
  return `bus:${supply}`;
}

/** Node of a slot's contact. */
export function slotNode(slotId: string, contact: 'a' | 'b'): string {
  return `${slotId}#${contact}`;
}

/** Node of the coil that pulls the accessory relay in. */
export const RELAY_COIL = busNode('accessoryContact');

/** What couples into a wire through its insulation: a source behind megohms. */
export function ghost(node: string, volts: number): Element[] {
  return [
    { kind: 'resistor', a: node, b: CHASSIS, ohm: STRAY_OHM },
    { kind: 'current', from: CHASSIS, to: node, amperes: volts / STRAY_OHM },
  ];
}
