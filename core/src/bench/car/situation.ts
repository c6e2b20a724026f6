import type { FittedLead } from './addedLeads';

/**
 * A fuse tap in a slot: its line blade (the one common to both of its fuses) stands in one contact, its other blade
 * in the other one. A fuse left out is undefined.
 */
export interface FittedTap {
  readonly slotId: string;
  readonly lineBladeAt: 'a' | 'b';
  readonly originalFuseA: number | undefined;
  readonly addedFuseA: number | undefined;
  /** What hangs on the added lead, Ω. */
  readonly addedLoadOhm: number;
}

/** Everything that was done to the car besides its switches. */
export interface Situation {
  /** Slots whose fuse is out. */
  readonly pulled: ReadonlySet<string>;
  readonly taps: readonly FittedTap[];
  /** Leads that were added, with everything that hangs on them; left out: none. */
  readonly leads?: readonly FittedLead[];
  /** Slots whose fuse has opened. */
  readonly opened: ReadonlySet<string>;
}

/** What is not settled by the state alone: relays, warm bulbs, and which half of a pulse it is. */
export interface Unsettled {
  /** Whether the accessory relay has pulled in. */
  readonly relayIn: boolean;
  /** Volts across each bulb load at the last look, by node. */
  readonly bulbV: ReadonlyMap<string, number>;
  /** Pulsed feeds are on or off at this instant. */
  readonly pulse: 'on' | 'off';
}
