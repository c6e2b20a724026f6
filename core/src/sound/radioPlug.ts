import type { SpeakerPlace } from '../vehicle';

/** On which side of the car the wheel is. */
type Steering = 'left' | 'right';

/** One cavity of a radio's plug. */
export interface PlugCavity {
  /** Its number within its half. */
  readonly number: number;
  /** What it carries. */
  readonly carries: string;
  /** Speaker and end, where it is one of a pair. */
  readonly speaker?: { readonly place: SpeakerPlace; readonly end: 'plus' | 'minus' };
}

/** Power half of the common radio plug, ISO 10487, from memory; some makers change 4 and 7 over. */
export const POWER_HALF: readonly PlugCavity[] = [
  { number: 1, carries: 'speed signal or free' },
  { number: 2, carries: 'mute or free' },
  { number: 3, carries: 'free' },
  { number: 4, carries: 'constant (30); some makers: switched' },
  { number: 5, carries: 'antenna or amplifier turn-on' },
  { number: 6, carries: 'illumination (58)' },
  { number: 7, carries: 'switched (15R/75); some makers: constant' },
  { number: 8, carries: 'ground (31)' },
];

/** Pairs of the speaker half in the order of their numbers, ISO 10487, from memory. */
const PAIRS: readonly SpeakerPlace[] = ['rear right', 'front right', 'front left', 'rear left'];

/** Speaker half of the common radio plug, ISO 10487, from memory: odd numbers are plus. */
export const SPEAKER_HALF: readonly PlugCavity[] = PAIRS.flatMap((place, index): PlugCavity[] => [
  { number: 2 * index + 1, carries: `${place} +`, speaker: { place, end: 'plus' } },
  { number: 2 * index + 2, carries: `${place} −`, speaker: { place, end: 'minus' } },
]);

/**
 * A speaker's place as seen from the wheel. Left and right are the car's, looking forward; whoever numbers by driver and
 * passenger changes over with the wheel.
 *
 * @example seenFromTheWheel('front left', 'right') // 'passenger’s front'
 */
export function seenFromTheWheel(place: SpeakerPlace, steering: Steering): string {
  if (place === 'centre') return 'centre';
  const side = place.includes(steering) ? 'driver’s' : 'passenger’s';
  return `${side} ${place.replace(/ ?(left|right) ?/, '')}`;
}
