import { AWG_SIZES, awgAreaMm2 } from '../units';

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

/** Highest temperatures of insulation, °C: plain PVC, heat-resistant PVC, cross-linked and high-temperature kinds. */
export const INSULATIONS_C = [60, 80, 105, 125] as const;
/** One insulation class. */
export type InsulationC = (typeof INSULATIONS_C)[number];

/**
 * Continuous current by conductor size and insulation, outside engine spaces at 30 °C, up to three conductors together, A.
 * Source: 33 CFR 183.425 table 5, from memory; 22 and 20 AWG are not in it: common practice.
 */
const AMPACITY_A: Record<InsulationC, Readonly<Record<number, number>>> = {
  60: { 22: 4, 20: 6, 18: 10, 16: 15, 14: 20, 12: 25, 10: 40, 8: 55 },
  80: { 22: 6, 20: 9, 18: 15, 16: 20, 14: 25, 12: 35, 10: 50, 8: 70 },
  105: { 22: 8, 20: 12, 18: 20, 16: 25, 14: 35, 12: 45, 10: 60, 8: 80 },
  125: { 22: 9, 20: 14, 18: 25, 16: 30, 14: 40, 12: 50, 10: 70, 8: 90 },
};
/** Ambient temperature that the table holds for, °C. */
const TABLE_AMBIENT_C = 30;
/** Ambient temperature of an engine space, °C. Source: 33 CFR 183.425, from memory. */
export const ENGINE_SPACE_C = 50;

/** Share of the ampacity left in a bundle, by the number of conductors in it. Source: 33 CFR 183.425, from memory. */
const BUNDLING: readonly { readonly upTo: number; readonly share: number }[] = [
  { upTo: 3, share: 1 },
  { upTo: 6, share: 0.7 },
  { upTo: 24, share: 0.6 },
  { upTo: Infinity, share: 0.5 },
];

/** Where a conductor lies. */
export interface Surroundings {
  /** Air around it, °C; 30 by default, 50 in an engine space. */
  readonly ambientC?: number | undefined;
  /** Conductors lying together, 1 or more; 1 by default. */
  readonly bundle?: number | undefined;
  /** Whether it lies in the engine space. */
  readonly engineSpace?: boolean | undefined;
}

/** Air around a conductor, °C: an engine space counts as hot whatever is said of the day. */
export function ambientOf(around: Surroundings): number {
  const stated = around.ambientC ?? TABLE_AMBIENT_C;
  return around.engineSpace === true ? Math.max(ENGINE_SPACE_C, stated) : stated;
}

/**
 * Share of the table's ampacity left at an ambient temperature: heat lost grows with the difference to the air, heat made
 * with the square of the current. At 50 °C it gives the engine-space factors of 33 CFR 183.425.
 */
export function ambientShare(insulation: InsulationC, ambientC: number): number {
  if (ambientC >= insulation) return 0;
  return Math.sqrt((insulation - ambientC) / (insulation - TABLE_AMBIENT_C));
}

/**
 * Current that a conductor of an AWG size may carry for good, A.
 *
 * @param bundle conductors lying together; 1 by default
 * @throws RangeError for a size that is not in the table.
 */
export function ampacityA(awg: number, insulation: InsulationC, bundle = 1): number {
  const base = AMPACITY_A[insulation][awg];
  if (base === undefined) throw new RangeError(`No ampacity for ${awg} AWG`);
  return base * bundleShare(bundle);
}

function bundleShare(bundle: number): number {
  return BUNDLING.find((row) => bundle <= row.upTo)?.share ?? 0.5;
}

/**
 * Current that a conductor of any cross-section may carry for good where it lies, A. Between the AWG sizes of the table it
 * goes by a power of the area; beyond the thickest it is not extended upwards.
 */
export function ampacityAtA(
  areaMm2: number,
  insulation: InsulationC,
  around: Surroundings = {},
): number {
  const base = interpolated(ROWS[insulation], areaMm2);
  return base * bundleShare(around.bundle ?? 1) * ambientShare(insulation, ambientOf(around));
}

type Row = readonly [areaMm2: number, amps: number];

/** The table by cross-section, thinnest first. */
const ROWS: Record<InsulationC, readonly Row[]> = {
  60: rowsOf(60),
  80: rowsOf(80),
  105: rowsOf(105),
  125: rowsOf(125),
};

function rowsOf(insulation: InsulationC): readonly Row[] {
  return AWG_SIZES.map((awg) => [awgAreaMm2(awg), ampacityA(awg, insulation)]);
}

function interpolated(rows: readonly Row[], areaMm2: number): number {
  const first = rows[0] as Row;
  const last = rows[rows.length - 1] as Row;
  if (areaMm2 >= last[0]) return last[1];
  if (areaMm2 <= first[0]) return (first[1] * areaMm2) / first[0];
  const above = rows.findIndex(([area]) => area >= areaMm2);
  const [lowArea, lowA] = rows[above - 1] as Row;
  const [highArea, highA] = rows[above] as Row;
  const exponent = Math.log(highA / lowA) / Math.log(highArea / lowArea);
  return lowA * (areaMm2 / lowArea) ** exponent;
}

/** Temperature and time behind a conductor's short-circuit withstand: k for copper in PVC, A·√s/mm² (IEC 60364-5-54). */
export const ADIABATIC_K = 115;

/** Heat that a conductor takes up before its insulation is hurt, A²s. Source: IEC 60364-5-54. */
export function adiabaticLimitA2s(areaMm2: number): number {
  return (ADIABATIC_K * areaMm2) ** 2;
}

/** Density of copper, g/cm³: what a thicker wire costs is its copper. */
const COPPER_G_PER_CM3 = 8.96;

/** Copper in a conductor, g per metre. */
export function copperGramsPerM(areaMm2: number): number {
  return areaMm2 * COPPER_G_PER_CM3;
}
