import type { BenchCar } from '../car/benchCar';
import type { BenchTouch } from './touch';
import { portsAt } from './touch';

/** What a meter on its volts range shows: a steady number, or digits that will not stand still. */
export type MeterShows =
  | { readonly kind: 'volts'; readonly volts: number }
  | { readonly kind: 'pulsing'; readonly lowV: number; readonly highV: number };

/** Input resistance of a digital meter, Ω. */
export const METER_OHM = 10e6;
/** Spread of its reading: share of the value, and volts. */
const GAIN_SIGMA = 0.003;
const OFFSET_SIGMA_V = 0.012;
/** Ranges, V, each with its last digit, V: 2000 counts. */
const RANGES: readonly (readonly [upTo: number, count: number])[] = [
  [1.999, 0.001],
  [19.99, 0.01],
  [199.9, 0.1],
];
/** Digits jump when the two instants differ by more than this, V. */
const JUMPS_V = 1;

/**
 * What a simulated meter shows at a touch.
 *
 * @param random uniform in [0, 1)
 * @throws RangeError when the car has no such point.
 */
export function meterShows(car: BenchCar, touch: BenchTouch, random: () => number): MeterShows {
  const { on, off } = portsAt(car, touch);
  const loaded = (port: { volts: number; ohm: number }): number =>
    (port.volts * METER_OHM) / (METER_OHM + port.ohm);
  const [high, low] = [loaded(on), loaded(off)];
  if (Math.abs(high - low) > JUMPS_V)
    return {
      kind: 'pulsing',
      lowV: shown(Math.min(high, low), random),
      highV: shown(Math.max(high, low), random),
    };
  return { kind: 'volts', volts: shown(high, random) };
}

/**
 * Volts on a simulated meter at a touch; of a pulsing point the mean, as a slow meter shows it.
 *
 * @throws RangeError when the car has no such point.
 */
export function meterReading(car: BenchCar, touch: BenchTouch, random: () => number): number {
  const shows = meterShows(car, touch, random);
  return shows.kind === 'volts' ? shows.volts : (shows.lowV + shows.highV) / 2;
}

function shown(trueV: number, random: () => number): number {
  const value = trueV * (1 + GAIN_SIGMA * gaussian(random)) + OFFSET_SIGMA_V * gaussian(random);
  const range = RANGES.find(([upTo]) => Math.abs(value) <= upTo) ?? RANGES[RANGES.length - 1];
  const count = range?.[1] ?? 0.1;
  return Number((Math.round(value / count) * count).toFixed(3));
}

/** A standard normal number (Box–Muller). */
function gaussian(random: () => number): number {
  const radius = Math.sqrt(-2 * Math.log(1 - random()));
  return radius * Math.cos(2 * Math.PI * random());
}
