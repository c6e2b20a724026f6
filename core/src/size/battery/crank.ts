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
/**
 * Cranking power by state of charge, share of a full one's: falling voltage and rising resistance together. In the middle
 * about in proportion, near empty far below it. Common practice, from memory of makers' curves.
 */
const POWER_BY_CHARGE: readonly (readonly [number, number])[] = [
  [0, 0],
  [0.125, 0.06],
  [0.25, 0.2],
  [0.5, 0.5],
  [0.75, 0.8],
  [1, 1],
];
/**
 * A new, full battery of the size that the car's maker fits has this many times the power that the engine needs at 27 °C. At
 * −18 °C, where its cold rating is measured (SAE J537), half as much again as needed is left.
 */
const RESERVE = 8;
/** Spread of cars about the rule, in the logarithm of the margin. */
const SPREAD = 0.1;

/**
 * How many times the needed power the battery has at a state of charge from 0 to 1. A battery smaller than the engine's
 * own gives less of it in proportion.
 */
export function crankMargin(battery: Battery, stateOfCharge: number): number {
  const size = agedAh(battery) / (battery.engineAh ?? battery.capacityAh);
  const power =
    along(POWER_BY_C, battery.temperatureC) * along(POWER_BY_CHARGE, Math.min(1, stateOfCharge));
  return (RESERVE * size * power) / along(NEED_BY_C, battery.temperatureC);
}

/** Chance that it starts at a state of charge from 0 to 1. A rule of the trade, not a promise. */
export function crankChance(battery: Battery, stateOfCharge: number): number {
  const margin = crankMargin(battery, stateOfCharge);
  if (margin <= 0) return 0;
  return 1 / (1 + Math.exp(-Math.log(margin) / SPREAD));
}

/** Chance to crank that counts as "starts". */
export const STARTS = 0.5;

/** It shall start in nineteen cases of twenty. */
export const SAFE_CRANK = 0.95;

/** State of charge from which it starts with a chance, one case in two by default, 0 to 1; above 1 it never does. */
export function chargeForCrank(battery: Battery, chance = STARTS): number {
  if (crankChance(battery, 1) < chance) return NEVER;
  let low = 0;
  let high = 1;
  // Halving: the chance grows with the charge; 40 rounds are far below any reading's resolution.
  for (let round = 0; round < 40; round += 1) {
    const middle = (low + high) / 2;
    if (crankChance(battery, middle) >= chance) high = middle;
    else low = middle;
  }
  return high;
}

/** A charge that no battery has. */
const NEVER = 2;
