import type { VehicleState } from '../../vehicle';

/** How brightly a test lamp burned, or that it blinked. */
export const GLOWS = ['lit', 'dim', 'dark', 'pulsing'] as const;
/** One brightness of a test lamp. */
export type Glow = (typeof GLOWS)[number];

/**
 * Which way a speaker's cone moved on a 9 V pop with plus on the first wire; `unseen`: it was heard behind its grille and
 * nobody saw it move.
 */
export const CONES = ['out', 'in', 'unseen', 'none'] as const;
/** One movement. */
export type Cone = (typeof CONES)[number];

/** What the instrument showed. */
export type ReadingValue =
  /** A 10 MΩ meter's volts against its clip. */
  | { readonly kind: 'volts'; readonly volts: number }
  /** A meter whose digits will not stand still. */
  | { readonly kind: 'pulsing'; readonly lowV: number; readonly highV: number }
  /** A filament test lamp. */
  | { readonly kind: 'glow'; readonly glow: Glow }
  /** An LED tester: it loads little, so that it can glow on a pull-up. */
  | { readonly kind: 'led'; readonly glow: Glow }
  /** An ohmmeter with the feed off, to ground or to `otherId`; null stands for no continuity. */
  | { readonly kind: 'ohms'; readonly ohm: number | null }
  /** A 9 V source touched across this wire (plus) and `otherId`. */
  | { readonly kind: 'pop'; readonly cone: Cone; readonly speaker: string | undefined };

/** One observation at one source, or at one contact of an empty slot, in one vehicle state. */
export interface Reading {
  readonly id: string;
  /** Slot or wire that was touched. */
  readonly sourceId: string;
  /** Which contact was touched with the fuse out; undefined with the fuse in, where both are the same. */
  readonly contact: 'a' | 'b' | undefined;
  /** State of the car at that moment. */
  readonly state: VehicleState;
  /** What the instrument showed. */
  readonly value: ReadingValue;
  /** Where the instrument was clipped; left out: ground. */
  readonly clip?: 'ground' | 'constant';
  /** The second wire of an ohmmeter or pop reading. */
  readonly otherId?: string;
}

/** The widest a reading on a 12 V vehicle can be, V, either sign; anything further is a slip of the thumb. */
export const MAX_READING_V = 60;
/** The most an ohmmeter can show, Ω. */
export const MAX_READING_OHM = 100e6;

/** What a reading says at first sight. `part` is neither live nor dead. */
export type Sense = 'live' | 'dead' | 'part';

/** From here up a feed counts as live, V: a battery that still turns the engine holds more. */
const LIVE_V = 9;
/** The same while cranking, V: the battery sags to about 7 V on a cold engine. Common practice. */
const LIVE_CRANKING_V = 6.5;
/** Below this a feed counts as dead, V: ground offsets stay under it. */
const DEAD_V = 0.6;

const SENSE_OF_GLOW: Record<Glow, Sense> = {
  lit: 'live',
  dim: 'part',
  dark: 'dead',
  pulsing: 'part',
};

/** Whether a reading says by itself how the source stands against ground in a state. */
export function isPlain(reading: Reading): boolean {
  return (
    reading.contact === undefined &&
    reading.clip !== 'constant' &&
    reading.value.kind !== 'ohms' &&
    reading.value.kind !== 'pop'
  );
}

/** Whether a plain reading shows the source live, dead or in between; the sign does not matter here. */
export function senseOf(reading: Pick<Reading, 'value' | 'state'>): Sense {
  const { value, state } = reading;
  switch (value.kind) {
    case 'glow':
    case 'led':
      return SENSE_OF_GLOW[value.glow];
    case 'volts':
      return senseOfVolts(Math.abs(value.volts), state);
    case 'pulsing':
    case 'ohms':
    case 'pop':
      return 'part';
  }
}

function senseOfVolts(volts: number, state: VehicleState): Sense {
  if (volts >= (state.key === 'crank' ? LIVE_CRANKING_V : LIVE_V)) return 'live';
  return volts <= DEAD_V ? 'dead' : 'part';
}

/** A reading in words, e.g. "12.4 V" or "lamp dim". */
export function describeValue(value: ReadingValue): string {
  switch (value.kind) {
    case 'volts':
      return `${value.volts.toFixed(2)} V`;
    case 'pulsing':
      return `jumps ${value.lowV.toFixed(1)} to ${value.highV.toFixed(1)} V`;
    case 'glow':
      return `lamp ${value.glow}`;
    case 'led':
      return `LED ${value.glow}`;
    case 'ohms':
      return value.ohm === null ? 'no continuity' : `${value.ohm.toFixed(1)} Ω`;
    case 'pop':
      return value.cone === 'none' ? 'no pop' : `${value.speaker ?? 'speaker'}, cone ${value.cone}`;
  }
}

/**
 * Checks a reading's value before anything is concluded from it.
 *
 * @throws TypeError when a number is none; RangeError when it cannot occur on a 12 V vehicle.
 */
export function assertReadingValue(value: ReadingValue): void {
  switch (value.kind) {
    case 'volts':
      assertWithin(value.volts, [-MAX_READING_V, MAX_READING_V], 'V');
      break;
    case 'pulsing':
      assertWithin(value.lowV, [-MAX_READING_V, MAX_READING_V], 'V');
      assertWithin(value.highV, [value.lowV, MAX_READING_V], 'V');
      break;
    case 'ohms':
      if (value.ohm !== null) assertWithin(value.ohm, [0, MAX_READING_OHM], 'Ω');
      break;
    case 'glow':
    case 'led':
      if (!GLOWS.includes(value.glow))
        throw new TypeError(`A lamp is one of ${GLOWS.join(', ')}, got ${String(value.glow)}`);
      break;
    case 'pop':
      if (!CONES.includes(value.cone))
        throw new TypeError(`A cone moves ${CONES.join(', ')}, got ${String(value.cone)}`);
      break;
  }
}

function assertWithin(value: number, range: readonly [number, number], unit: string): void {
  if (typeof value !== 'number' || Number.isNaN(value))
    throw new TypeError(`A reading in ${unit} must be a number, got ${String(value)}`);
  if (value < range[0] || value > range[1])
    throw new RangeError(
      `A reading must lie within ${range[0]} and ${range[1]} ${unit}, got ${value} ${unit}: check the unit`,
    );
}
