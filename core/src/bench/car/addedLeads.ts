import type { Element } from '../network/element';
import { CHASSIS } from '../network/element';
import { fuseOhm, slotNode } from './nodes';

/** A lead that an installer has added, as it really is: its joint, its fuse, its copper, what hangs on it, and its faults. */
export interface FittedLead {
  /** What its points are called by. */
  readonly id: string;
  /** A fuse tap with its line blade in one contact of a slot, or a joint on a wire. */
  readonly at:
    | {
        readonly slotId: string;
        readonly lineBladeAt: 'a' | 'b';
        /** Fuse of the car’s own circuit in the tap, A; undefined: left out. */
        readonly originalFuseA: number | undefined;
      }
    | { readonly wireId: string };
  /** Its own fuse, A; undefined: left out or blown. */
  readonly addedFuseA: number | undefined;
  /** Copper and crimps there, Ω. */
  readonly leadOhm: number;
  /** The device, Ω. */
  readonly loadOhm: number;
  /** From the device back to the battery’s minus, Ω. */
  readonly groundOhm: number;
  /** Insulation chafed through to the body, Ω; undefined: whole. */
  readonly chafedOhm?: number | undefined;
  /** What the device’s converter gives at its own plug, V; left out where it has none. */
  readonly outputV?: number | undefined;
}

/** Far end of a lead, and the device’s ground. */
export function leadEnd(id: string): string {
  return `${id}@end`;
}
/** The device’s ground at a lead. */
export function leadGround(id: string): string {
  return `${id}@ground`;
}

/** The added fuse’s load side. */
export function leadFuse(id: string): string {
  return `${id}@fuse`;
}

/** Slots that a lead’s tap stands in: their own fuse is not where it was. */
export function tappedSlots(leads: readonly FittedLead[]): ReadonlySet<string> {
  return new Set(leads.flatMap(({ at }) => ('slotId' in at ? [at.slotId] : [])));
}

/** A lead as elements. */
export function leadElements(lead: FittedLead): Element[] {
  const { at, addedFuseA } = lead;
  const line = 'slotId' in at ? slotNode(at.slotId, at.lineBladeAt) : at.wireId;
  const behindFuse = leadFuse(lead.id);
  const ohmOf = (a: string, b: string, ohm: number): Element => ({ kind: 'resistor', a, b, ohm });
  return [
    ...('slotId' in at && at.originalFuseA !== undefined
      ? [
          ohmOf(
            line,
            slotNode(at.slotId, at.lineBladeAt === 'a' ? 'b' : 'a'),
            fuseOhm(at.originalFuseA),
          ),
        ]
      : []),
    ...(addedFuseA === undefined ? [] : [ohmOf(line, behindFuse, fuseOhm(addedFuseA))]),
    ohmOf(behindFuse, leadEnd(lead.id), Math.max(lead.leadOhm, LEAST_OHM)),
    ohmOf(leadEnd(lead.id), leadGround(lead.id), lead.loadOhm),
    ohmOf(leadGround(lead.id), CHASSIS, Math.max(lead.groundOhm, LEAST_OHM)),
    ...(lead.chafedOhm === undefined ? [] : [ohmOf(leadEnd(lead.id), CHASSIS, lead.chafedOhm)]),
  ];
}

/** No joint is better than this, Ω; the solver wants it above nothing. */
const LEAST_OHM = 1e-4;
