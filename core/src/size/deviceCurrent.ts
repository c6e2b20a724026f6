import { assertNumbers } from './ranges';

/** How a device's need is printed on it. */
export type PrintedLoad =
  | { readonly kind: 'amps'; readonly amps: number; readonly atV: number }
  | {
      readonly kind: 'watts';
      readonly watts: number;
      /** What comes out at its end, after its own converter; by default the watts are what it draws. */
      readonly delivered?: boolean;
    };

/** Share of the power that a 12 V to 5 V converter passes on. Common practice: 80–90 %. */
export const CONVERTER_EFFICIENCY = 0.85;
/** Voltage that device currents are stated at, V. */
const NOMINAL_V = 12;
/** A printed voltage within this of 12 V is the car's own (11 to 14.4 V), so that no converter lies between, V. */
export const SAME_SYSTEM_V = 2.5;

/**
 * Current that a device draws at 12 V, A: 3 A at 5 V is not 3 A at 12 V.
 *
 * @param efficiency of the converter that lies between when the printed voltage is not the car's, or the watts are
 * delivered, 0.3 to 1
 * @example currentAt12V({ kind: 'amps', amps: 3, atV: 5 }) // 1.47
 * @example currentAt12V({ kind: 'watts', watts: 45, delivered: true }) // 4.41
 * @throws RangeError naming the field when a number is out of range.
 */
export function currentAt12V(load: PrintedLoad, efficiency = CONVERTER_EFFICIENCY): number {
  assertNumbers({ efficiency });
  if (load.kind === 'watts') {
    assertNumbers({ watts: load.watts });
    return load.watts / NOMINAL_V / (load.delivered === true ? efficiency : 1);
  }
  assertNumbers({ printedA: load.amps, printedV: load.atV });
  if (Math.abs(load.atV - NOMINAL_V) <= SAME_SYSTEM_V) return load.amps;
  return (load.amps * load.atV) / NOMINAL_V / efficiency;
}
