/** Conductor sizes offered, thickest last. */
export const AWG_SIZES = [22, 20, 18, 16, 14, 12, 10, 8] as const;
/** One AWG size. */
export type AwgSize = (typeof AWG_SIZES)[number];

/** Diameter of AWG 36, mm, and the ratio of diameters over 39 steps (ASTM B258). */
const AWG_36_DIAMETER_MM = 0.127;
const AWG_RATIO = 92;
const AWG_RATIO_STEPS = 39;

/**
 * Diameter of a solid conductor of an AWG size, mm. Source: ASTM B258.
 *
 * @example awgDiameterMm(18) // 1.0237
 */
export function awgDiameterMm(size: number): number {
  return AWG_36_DIAMETER_MM * AWG_RATIO ** ((36 - size) / AWG_RATIO_STEPS);
}

/** Cross-section of an AWG size, mm². Source: ASTM B258. */
export function awgAreaMm2(size: number): number {
  return (Math.PI / 4) * awgDiameterMm(size) ** 2;
}
