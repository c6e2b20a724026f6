import type { VehicleState } from '../../vehicle';
import type { BenchCar } from '../car/benchCar';
import { CHASSIS } from '../network/element';
import { nodeOf } from './touch';

/** What an ohmmeter shows: ohms, nothing within its range, or nonsense because the point is live. */
export type OhmmeterShows =
  | { readonly kind: 'ohms'; readonly ohm: number }
  | { readonly kind: 'open' }
  | { readonly kind: 'live' };

/** Its largest range, Ω. */
const OVER_RANGE_OHM = 2e6;
/** Foreign voltage that spoils the measurement, V. */
const SPOILT_V = 0.4;
/** Leads and last digit, Ω. */
const LEAD_OHM = 0.2;

/**
 * What a simulated ohmmeter shows between two points, or between a point and ground.
 *
 * @throws RangeError when the car has no such point.
 */
export function ohmmeterShows(
  car: BenchCar,
  between: { readonly pointId: string; readonly otherId?: string; readonly state: VehicleState },
): OhmmeterShows {
  const from = nodeOf(car, { pointId: between.pointId });
  const to = between.otherId === undefined ? CHASSIS : nodeOf(car, { pointId: between.otherId });
  const port = car.at(between.state).on.port(from, to);
  if (Math.abs(port.volts) > SPOILT_V) return { kind: 'live' };
  if (port.ohm > OVER_RANGE_OHM) return { kind: 'open' };
  return { kind: 'ohms', ohm: Math.round((port.ohm + LEAD_OHM) * 10) / 10 };
}
