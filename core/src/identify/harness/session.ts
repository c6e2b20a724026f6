import type { VehicleState } from '../../vehicle';
import type { Reading } from '../reading/reading';
import { isPlain } from '../reading/reading';
import type { CutWire } from '../reading/source';

/** Where a bunch's colours come from: a car's own, or the leads of an aftermarket radio. */
export const HARNESS_FAMILIES = ['factory', 'aftermarket'] as const;
/** One family. Colours mean nothing outside their own. */
export type HarnessFamily = (typeof HARNESS_FAMILIES)[number];

/** One cut wire of a bunch as it can be seen. */
export interface HarnessWire extends CutWire {
  readonly id: string;
  /** Name used in instructions, e.g. "W3 yellow". */
  readonly name: string;
}

/** What the installer can't or won't do now. */
export type HarnessLimit =
  | 'acc'
  | 'run'
  | 'lamps'
  | 'pop'
  | 'parkingBrake'
  | 'meter'
  | 'ohmmeter'
  | 'lamp';

/**
 * Whether a test lamp is in hand instead of a meter: said so, or seen by what was read. A lamp tells live from dead and
 * nothing else: a data line stays as dark as an open end.
 */
export function isByLamp(session: Pick<HarnessSession, 'cannot' | 'readings'>): boolean {
  if (session.cannot?.includes('meter') === true) return true;
  const kinds = new Set(session.readings.filter(isPlain).map(({ value }) => value.kind));
  return kinds.has('glow') && !kinds.has('volts') && !kinds.has('pulsing');
}

/** Probing a bunch of cut wires, as plain data. */
export interface HarnessSession {
  /** The bunch as it lies there. */
  readonly wires: readonly HarnessWire[];
  /** Those that count, in any order. */
  readonly readings: readonly Reading[];
  /** Where the car stands now. */
  readonly state: VehicleState;
  /** By default the car's own colours. */
  readonly family?: HarnessFamily;
  /** Where the instrument is clipped now; ground by default. */
  readonly clip?: 'ground' | 'constant';
  /** What is not at hand or not wanted; nothing by default. */
  readonly cannot?: readonly HarnessLimit[];
}
