import type { VehicleState } from '../../vehicle';
import type { BenchCar } from './benchCar';
import { fuseOhm, slotNode } from './nodes';

/** Current through the two fuses of a fitted tap, A. */
export interface TapCurrents {
  readonly originalA: number;
  readonly addedA: number;
}

/**
 * Currents through both fuses of the tap in a slot, A, from the solved network.
 *
 * @throws RangeError when no tap stands in the slot.
 */
export function tapCurrents(car: BenchCar, slotId: string, state: VehicleState): TapCurrents {
  const tap = car.situation.taps.find((one) => one.slotId === slotId);
  if (tap === undefined) throw new RangeError(`No tap stands in ${slotId}`);
  const network = car.at(state).on;
  const line = network.voltage(slotNode(slotId, tap.lineBladeAt));
  const other = network.voltage(slotNode(slotId, tap.lineBladeAt === 'a' ? 'b' : 'a'));
  return {
    originalA:
      tap.originalFuseA === undefined ? 0 : Math.abs(line - other) / fuseOhm(tap.originalFuseA),
    addedA:
      tap.addedFuseA === undefined
        ? 0
        : (line - network.voltage(`${slotId}#added`)) / fuseOhm(tap.addedFuseA),
  };
}

/** Opening times of a blade fuse by multiple of its rating, s: fastest and slowest. ISO 8820-3, from memory. */
const OPENING_S: readonly (readonly [multiple: number, fastest: number, slowest: number])[] = [
  [1.1, 360_000, Infinity],
  [1.35, 0.75, 600],
  [2, 0.15, 5],
  [3.5, 0.08, 0.5],
  [6, 0.03, 0.1],
];

/**
 * Whether a blade fuse that carries a current for so many seconds holds, opens, or may do either.
 *
 * @throws RangeError for a rating that is not above zero.
 */
export function fuseAfter(
  ratingA: number,
  currentA: number,
  seconds: number,
): 'holds' | 'may open' | 'opens' {
  if (!(ratingA > 0)) throw new RangeError(`A fuse's rating must be above 0 A, got ${ratingA}`);
  const multiple = Math.abs(currentA) / ratingA;
  const gate = OPENING_S.filter(([from]) => multiple >= from).at(-1);
  if (gate === undefined) return 'holds';
  const [, fastest, slowest] = gate;
  if (seconds >= slowest) return 'opens';
  return seconds >= fastest ? 'may open' : 'holds';
}
