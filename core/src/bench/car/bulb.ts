/** Voltage at which bulbs are rated, V. */
const RATED_V = 12;
/** A cold filament has about a tenth of its hot resistance. Common practice. */
const COLD_SHARE = 0.1;
/** Resistance over voltage: close to a square root until the rated voltage. Common practice. */
const EXPONENT = 0.6;

/** Resistance of a filament with so many volts across it, Ω. */
export function filamentOhm(watts: number, volts: number): number {
  const hot = RATED_V ** 2 / watts;
  const warmth = Math.min(1.3, (Math.abs(volts) / RATED_V) ** EXPONENT);
  return hot * (COLD_SHARE + (1 - COLD_SHARE) * warmth);
}
