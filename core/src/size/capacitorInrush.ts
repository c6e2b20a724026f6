import type { Inrush } from './openingTime';
import { assertNumbers } from './ranges';

/** Battery, car's feed, a short lead and the capacitor's own resistance, Ω. Common practice: some 0.1 Ω, lower is worse. */
const PATH_OHM = 0.1;
/** Voltage that charges it at worst, V: the engine runs. */
const CHARGING_V = 14.4;
const UF_PER_F = 1e6;

/**
 * Inrush of a device by its input capacitor: V/R at first, dying away with the time constant RC. For a fuse it is what has
 * the same heat (I²t = C·V²/2R): the peak for half a time constant. Computed from the discharge law of a capacitor.
 *
 * @param capacitorUF input capacitor, µF
 * @param pathOhm everything between battery and capacitor, Ω
 * @example capacitorInrush(2200) // { peakA: 144, peakS: 0.00011 }
 * @throws RangeError naming the field when a number is out of range.
 */
export function capacitorInrush(capacitorUF: number, pathOhm = PATH_OHM): Inrush {
  assertNumbers({ capacitorUF, sourceOhm: pathOhm });
  return { peakA: CHARGING_V / pathOhm, peakS: (pathOhm * capacitorUF) / UF_PER_F / 2 };
}
