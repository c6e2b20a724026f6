import type { Battery } from './battery';
import { agedAh, along } from './battery';

/** Cranking power of a full battery by temperature, share of that at 27 °C. Common practice: 65 % at 0 °C, 40 % at −18 °C. */
const POWER_BY_C: readonly (readonly [number, number])[] = [
  [-40, 0.2],
  [-18, 0.4],
  [0, 0.65],
  [27, 1],
  [60, 1.05],
];
/** Power that the engine needs, share of that at 27 °C. Common practice: 155 % at 0 °C, 210 % at −18 °C. */
const NEED_BY_C: readonly (readonly [number, number])[] = [
  [-40, 3.2],
  [-18, 2.1],
  [0, 1.55],
  [27, 1],
  [60, 0.95],
];
/** A new, full battery has this many times the power that its engine needs at 27 °C: it must start at −18 °C. */
const RESERVE = 8;
/** Spread of cars about the rule, in the logarithm of the margin. */
const SPREAD = 0.1;

/** How many times the needed power the battery has at a state of charge from 0 to 1. */
export function crankMargin(battery: Battery, stateOfCharge: number): number {
  const health = agedAh(battery) / battery.capacityAh;
  const power = along(POWER_BY_C, battery.temperatureC);
  const need = along(NEED_BY_C, battery.temperatureC);
  return (RESERVE * health * stateOfCharge * power) / need;
}

/** Chance that it starts at a state of charge from 0 to 1. A rule of the trade, not a promise. */
export function crankChance(battery: Battery, stateOfCharge: number): number {
  const margin = crankMargin(battery, stateOfCharge);
  if (margin <= 0) return 0;
  return 1 / (1 + Math.exp(-Math.log(margin) / SPREAD));
}
