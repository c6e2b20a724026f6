import { awgAreaMm2 } from '../units';

/** Resistivity of annealed copper at 20 °C, Ω·m (IEC 60028). */
export const COPPER_RESISTIVITY_OHM_M = 1.7241e-8;
/** Its temperature coefficient at 20 °C, 1/K (IEC 60028). */
export const COPPER_TEMPERATURE_COEFFICIENT = 0.00393;
/** Reference temperature of both, °C. */
const REFERENCE_C = 20;
const MM2_PER_M2 = 1e6;

/**
 * Resistance of a copper conductor, Ω. Source: IEC 60028.
 *
 * @param areaMm2 cross-section, mm²
 * @param lengthM length of the conductor itself, m
 * @param temperatureC of the copper, °C; 20 by default
 * @example conductorOhm(awgAreaMm2(18), 1000) // 20.95
 */
export function conductorOhm(areaMm2: number, lengthM: number, temperatureC = REFERENCE_C): number {
  const warm = 1 + COPPER_TEMPERATURE_COEFFICIENT * (temperatureC - REFERENCE_C);
  return (COPPER_RESISTIVITY_OHM_M * MM2_PER_M2 * warm * lengthM) / areaMm2;
}

/** Highest temperature of the insulation, °C: plain PVC, or cross-linked and high-temperature kinds. */
export type InsulationC = 60 | 105;

/**
 * Continuous current by conductor size and insulation, outside engine spaces, up to three conductors together, A.
 * Source: 33 CFR 183.425 table 5, from memory; 22 and 20 AWG are not in it: common practice.
 */
const AMPACITY_A: Record<InsulationC, Readonly<Record<number, number>>> = {
  60: { 22: 4, 20: 6, 18: 10, 16: 15, 14: 20, 12: 25, 10: 40, 8: 55 },
  105: { 22: 8, 20: 12, 18: 20, 16: 25, 14: 35, 12: 45, 10: 60, 8: 80 },
};

/** Share of the ampacity left in a bundle, by the number of conductors in it. Source: 33 CFR 183.425, from memory. */
const BUNDLING: readonly { readonly upTo: number; readonly share: number }[] = [
  { upTo: 3, share: 1 },
  { upTo: 6, share: 0.7 },
  { upTo: 24, share: 0.6 },
  { upTo: Infinity, share: 0.5 },
];

/**
 * Current that a conductor of an AWG size may carry for good, A.
 *
 * @param bundle conductors lying together; 1 by default
 * @throws RangeError for a size that is not in the table.
 */
export function ampacityA(awg: number, insulation: InsulationC, bundle = 1): number {
  const base = AMPACITY_A[insulation][awg];
  if (base === undefined) throw new RangeError(`No ampacity for ${awg} AWG`);
  const share = BUNDLING.find((row) => bundle <= row.upTo)?.share ?? 0.5;
  return base * share;
}

/** Temperature and time behind a conductor's short-circuit withstand: k for copper in PVC, A·√s/mm² (IEC 60364-5-54). */
export const ADIABATIC_K = 115;

/** Heat that a conductor takes up before its insulation is hurt, A²s. Source: IEC 60364-5-54. */
export function adiabaticLimitA2s(areaMm2: number): number {
  return (ADIABATIC_K * areaMm2) ** 2;
}

/** Cross-section of an AWG size with its resistance per metre at a temperature, for comparing sizes. */
export function awgOhmPerM(awg: number, temperatureC: number): number {
  return conductorOhm(awgAreaMm2(awg), 1, temperatureC);
}
