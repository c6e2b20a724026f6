import type { Element } from '../network/element';
import { CHASSIS } from '../network/element';
import type { BenchSupply } from './supplies';

/** Insulation between an open wire and what couples into it, Ω. */
const STRAY_OHM = 8e6;

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
