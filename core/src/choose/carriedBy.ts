import { CONTINUOUS_SHARE, ampacityAtA } from '../size';
import type { Conductor } from '../vehicle';

/** Cross-section of a car's wire that nobody has measured, mm²: the thinnest that supplies are laid in. Common practice. */
export const ASSUMED_MM2 = 0.5;
/** Insulation and air that a cabin's loom is laid for, °C. Common practice. */
const CABIN = { insulation: 80, ambientC: 40 } as const;
/** Cross-section that a wire is reckoned with, mm². */
export function gaugeOf(wire: Pick<Conductor, 'gaugeMm2'>): number {
  return wire.gaugeMm2 ?? ASSUMED_MM2;
}

/** What a car's wire carries for good, A. */
export function carriedBy(wire: Pick<Conductor, 'gaugeMm2'>): number {
  return CONTINUOUS_SHARE * stoodBy(wire);
}

/** The largest fuse that a car's wire stands behind it, A: its ampacity, as for every conductor. */
export function stoodBy(wire: Pick<Conductor, 'gaugeMm2'>): number {
  return ampacityAtA(gaugeOf(wire), CABIN.insulation, CABIN);
}
