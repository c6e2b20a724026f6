import type { VehicleState } from '../vehicle';

/** How brightly a filament test lamp burned. */
export const GLOWS = ['lit', 'dim', 'dark'] as const;
/** One brightness of a test lamp. */
export type Glow = (typeof GLOWS)[number];

/** What the instrument showed: a 10 MΩ meter's volts against ground, or a filament lamp's glow. */
export type ReadingValue =
  | { readonly kind: 'volts'; readonly volts: number }
  | { readonly kind: 'glow'; readonly glow: Glow };

/** One observation at one source, or at one contact of an empty slot, in one vehicle state. */
export interface Reading {
  readonly id: string;
  readonly sourceId: string;
  /** Which contact was touched with the fuse out; undefined with the fuse in, where both are the same. */
  readonly contact: 'a' | 'b' | undefined;
  readonly state: VehicleState;
  readonly value: ReadingValue;
}

/** The widest a reading on a 12 V vehicle can be, V, either sign; anything further is a slip of the thumb. */
export const MAX_READING_V = 60;

/** What a reading says at first sight. `part` is neither live nor dead. */
export type Sense = 'live' | 'dead' | 'part';

/** From here up a feed counts as live, V: a battery that still turns the engine holds more. */
const LIVE_V = 9;
/** The same while cranking, V: the battery sags to about 7 V on a cold engine. Common practice. */
const LIVE_CRANKING_V = 6.5;
/** Below this a feed counts as dead, V: ground offsets stay under it. */
const DEAD_V = 0.6;

/** Whether a reading shows the source live, dead or in between; the sign does not matter here. */
export function senseOf(reading: Pick<Reading, 'value' | 'state'>): Sense {
  const { value, state } = reading;
  if (value.kind === 'glow')
    return value.glow === 'lit' ? 'live' : value.glow === 'dark' ? 'dead' : 'part';
  const volts = Math.abs(value.volts);
  if (volts >= (state.key === 'crank' ? LIVE_CRANKING_V : LIVE_V)) return 'live';
  return volts <= DEAD_V ? 'dead' : 'part';
}

/** A reading in words, e.g. "12.4 V" or "lamp dim". */
export function describeValue(value: ReadingValue): string {
  return value.kind === 'volts' ? `${value.volts.toFixed(2)} V` : `lamp ${value.glow}`;
}

/**
 * Checks a reading's value before anything is concluded from it.
 *
 * @throws TypeError when volts are no number; RangeError when they cannot occur on a 12 V vehicle.
 */
export function assertReadingValue(value: ReadingValue): void {
  if (value.kind === 'glow') return;
  if (typeof value.volts !== 'number' || Number.isNaN(value.volts))
    throw new TypeError(`A reading in volts must be a number, got ${String(value.volts)}`);
  if (Math.abs(value.volts) > MAX_READING_V)
    throw new RangeError(
      `A reading must lie within ±${MAX_READING_V} V, got ${value.volts} V: check the unit`,
    );
}
