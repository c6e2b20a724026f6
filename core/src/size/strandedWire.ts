import { conductorOhm } from './conductor';

/** Largest resistance of stranded car wire of a metric size, plain copper, at 20 °C. Source: ISO 6722, from memory. */
const LARGEST_MOHM_PER_M: ReadonlyMap<number, number> = new Map([
  [0.35, 52.0],
  [0.5, 37.1],
  [0.75, 24.7],
  [1, 18.5],
  [1.5, 12.7],
  [2.5, 7.6],
  [4, 4.71],
  [6, 3.14],
  [10, 1.82],
  [16, 1.16],
]);

/** What a stranded AWG size has against a solid one: its strands are longer than it. Source: NFPA 70 chapter 9 table 8, stranded against solid, from memory. */
const AWG_MULTIPLE = 1.026;

/**
 * Resistance that a stranded wire has at most, Ω. A metric size has the largest that its standard allows, up to a tenth more
 * than ideal copper of its nominal area, since what is bought is not measured; an AWG size that of its true area with the lay
 * of the strands.
 *
 * @param areaMm2 nominal cross-section, mm²
 * @param lengthM length of the wire itself, m
 * @param temperatureC of the copper, °C; 20 by default
 * @example strandedOhm(0.75, 1) // 0.0247
 */
export function strandedOhm(areaMm2: number, lengthM: number, temperatureC?: number): number {
  const ideal = conductorOhm(areaMm2, lengthM, temperatureC);
  const largest = LARGEST_MOHM_PER_M.get(areaMm2);
  if (largest === undefined) return AWG_MULTIPLE * ideal;
  return (ideal * largest) / 1000 / conductorOhm(areaMm2, 1);
}
