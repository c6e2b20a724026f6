import type { VehicleState } from '../vehicle';
import type { ReadingValue, Sense } from '../identify';
import { senseOf } from '../identify/reading';

/** A reading at one contact of the empty slot. */
export interface ContactReading {
  /** Which contact was touched. */
  readonly contact: 'a' | 'b';
  /** State of the car at that moment. */
  readonly state: VehicleState;
  /** What the instrument showed. */
  readonly value: ReadingValue;
}

/** Which contact the supply enters, or why it can't be told, with what to do. */
export type Orientation =
  | { readonly kind: 'found'; readonly supply: 'a' | 'b' }
  | { readonly kind: 'backFeed' | 'bothDead' | 'unclear' | 'incomplete'; readonly advice: string };

const ADVICE = {
  incomplete: 'Take the fuse out and read both contacts, in a state in which the circuit is live.',
  backFeed:
    'Both contacts are live: the circuit is fed from behind as well. A tap here would stay live past its own fuse. Find the second feed or take another slot.',
  bothDead:
    'Both contacts are dead: wrong key position, a spare, or a bad clip. Bring the car to a state in which the circuit is live and read again.',
  unclear: 'One contact is neither live nor dead: check the clip and read both again with a lamp.',
} as const;

/**
 * Which contact of an empty slot is the supply side: the one that is live while the other is dead. The latest reading
 * of each contact counts.
 */
export function orientationFrom(readings: readonly ContactReading[]): Orientation {
  const a = latest(readings, 'a');
  const b = latest(readings, 'b');
  if (a === undefined || b === undefined) return unsettled('incomplete');
  if (a === 'part' || b === 'part') return unsettled('unclear');
  if (a === b) return unsettled(a === 'live' ? 'backFeed' : 'bothDead');
  return { kind: 'found', supply: a === 'live' ? 'a' : 'b' };
}

function unsettled(kind: keyof typeof ADVICE): Orientation {
  return { kind, advice: ADVICE[kind] };
}

function latest(readings: readonly ContactReading[], contact: 'a' | 'b'): Sense | undefined {
  const last = readings.filter((reading) => reading.contact === contact).at(-1);
  return last === undefined ? undefined : senseOf(last);
}

/** Currents through the two fuses of a tap, A, and whether the added circuit lives with the original fuse out. */
export interface TapCurrents {
  /** Through the original fuse, A. */
  readonly originalFuseA: number;
  /** Through the added fuse, A. */
  readonly addedFuseA: number;
  /** Whether the added lead stays live with the original fuse out. */
  readonly addedLiveWithOriginalOut: boolean;
}

/**
 * What flows through both fuses of a tap, the right and the wrong way round. The line blade is common to both fuses:
 * with the supply on it each fuse carries its own load; the other way round the original fuse carries both.
 * Kirchhoff's current law.
 */
export function tapCurrents(
  originalA: number,
  addedA: number,
  supplyOnLineBlade: boolean,
): TapCurrents {
  return {
    originalFuseA: supplyOnLineBlade ? originalA : originalA + addedA,
    addedFuseA: addedA,
    addedLiveWithOriginalOut: supplyOnLineBlade,
  };
}
