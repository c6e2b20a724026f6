/** Metres in a foot, exactly (international foot). */
export const METRES_PER_FOOT = 0.3048;

/** Feet as metres. */
export function feetToMetres(feet: number): number {
  return feet * METRES_PER_FOOT;
}

/** Metres as feet. */
export function metresToFeet(metres: number): number {
  return metres / METRES_PER_FOOT;
}
