import type { BenchCar } from '../car/benchCar';
import { filamentOhm } from '../car/bulb';
import type { BenchTouch } from '../instrument/touch';
import { portsAt } from '../instrument/touch';

/** What somebody else's instruments show: a cheap meter, a lamp that wants more to burn brightly, probes that slip. */
export type ShowsElsewhere =
  | { readonly kind: 'volts'; readonly volts: number }
  | { readonly kind: 'pulsing'; readonly lowV: number; readonly highV: number }
  | { readonly kind: 'glow'; readonly glow: 'lit' | 'dim' | 'dark' | 'pulsing' };

/** Share of touches that miss the metal: the meter shows nothing, the lamp stays dark. */
const MISSED = 0.006;
/** Volts at the lamp from which it burns brightly, and at all. */
const BRIGHT_V = 9.5;
const GLOW_V = 3.2;
const LAMP_W = 3;
/** A cheap meter's input, Ω, its gain error, and its last digit, V. */
const INPUT_OHM = 1e6;
const GAIN = 0.012;
const DIGIT_V = 0.01;

/**
 * What is seen at a touch.
 *
 * @throws RangeError when the car has no such point.
 */
export function showsElsewhere(
  car: BenchCar,
  touch: BenchTouch,
  by: { readonly instrument: 'meter' | 'lamp'; readonly random: () => number },
): ShowsElsewhere {
  const missed = by.random() < MISSED;
  const { on, off } = portsAt(car, touch);
  if (by.instrument === 'lamp') {
    if (missed) return { kind: 'glow', glow: 'dark' };
    const [high, low] = [burns(on.volts, on.ohm), burns(off.volts, off.ohm)];
    return { kind: 'glow', glow: high === low ? high : 'pulsing' };
  }
  if (missed) return { kind: 'volts', volts: 0 };
  const shown = ({ volts, ohm }: { volts: number; ohm: number }): number => {
    const value =
      ((volts * INPUT_OHM) / (INPUT_OHM + ohm)) * (1 + GAIN * (2 * by.random() - 1)) +
      0.04 * (by.random() - 0.5);
    return Number((Math.round(value / DIGIT_V) * DIGIT_V).toFixed(2));
  };
  const [high, low] = [shown(on), shown(off)];
  return Math.abs(high - low) > 1.5
    ? { kind: 'pulsing', lowV: Math.min(high, low), highV: Math.max(high, low) }
    : { kind: 'volts', volts: high };
}

function burns(openV: number, ohm: number): 'lit' | 'dim' | 'dark' {
  let volts = openV;
  for (let round = 0; round < 30; round += 1) {
    const lamp = filamentOhm(LAMP_W, volts);
    volts = (volts + (openV * lamp) / (lamp + ohm)) / 2;
  }
  const size = Math.abs(volts);
  if (size >= BRIGHT_V) return 'lit';
  return size >= GLOW_V ? 'dim' : 'dark';
}
