import { assertNumbers } from '../ranges';
import type { Battery } from './battery';
import {
  assertBattery,
  availableAh,
  chargeAtRest,
  effectiveDrainA,
  labelProblem,
  restVolts,
} from './battery';
import { crankChance } from './crank';

/** What drains a parked car. */
export interface ParkedLoad {
  /** The car's own drain once it sleeps, A. */
  readonly parasiticA: number;
  /** The device's current while parked, A. */
  readonly standbyA: number;
  /** Voltage at which the device switches itself off, V; none when left out. */
  readonly cutOffV?: number | undefined;
  /** Hours after which it switches itself off; none when left out. */
  readonly timerHours?: number | undefined;
}

/** How long a parked battery lasts. */
export interface ParkedTime {
  /** Hours until the device goes off; `Infinity` when it never does. */
  readonly deviceHours: number;
  /** What ends it. */
  readonly endedBy: 'cut-off' | 'timer' | 'empty' | 'nothing';
  /** State of charge then, 0 to 1. */
  readonly chargeLeft: number;
  readonly restV: number;
  /** Chance to crank then, 0 to 1. */
  readonly crankChance: number;
  /** Hours until it starts in one case of two only, device and car together. */
  readonly noStartHours: number;
  /** What is odd about the numbers. */
  readonly cautions: readonly string[];
}

/** Chance to crank that counts as "starts". */
export const STARTS = 0.5;
/** A cut-off set below the voltage at rest of this charge leaves too little. */
const LOW_CHARGE = 0.4;
/** Key-off drain after everything sleeps, A. Common practice: up to about 50 mA is normal. */
export const NORMAL_DRAIN_A = 0.05;

/**
 * How long a device may run on a parked car, and whether the car starts afterwards.
 *
 * @param stateOfCharge when parked, 0 to 1
 * @throws RangeError naming each field with its range.
 */
export function parkedTime(battery: Battery, load: ParkedLoad, stateOfCharge = 1): ParkedTime {
  assertBattery(battery);
  assertParked(load);
  assertNumbers({ stateOfCharge });
  const ah = availableAh(battery);
  const together = load.parasiticA + load.standbyA;
  const hoursTo = (charge: number, drainA: number): number =>
    stateOfCharge <= charge
      ? 0
      : drainA <= 0
        ? Infinity
        : ((stateOfCharge - charge) * ah) / effectiveDrainA(battery, drainA);
  const ends = [
    [
      'cut-off',
      load.cutOffV === undefined
        ? Infinity
        : hoursTo(chargeAtRest(battery.type, load.cutOffV), together),
    ],
    ['timer', load.timerHours ?? Infinity],
    ['empty', hoursTo(0, together)],
  ] as const;
  const first = [...ends].sort((left, right) => left[1] - right[1])[0] ?? ends[2];
  const [endedBy, hours] = first;
  const used = hours === Infinity ? 0 : (effectiveDrainA(battery, together) * hours) / ah;
  const chargeLeft = Math.max(0, stateOfCharge - used);
  return {
    deviceHours: load.standbyA === 0 ? Infinity : hours,
    endedBy: hours === Infinity ? 'nothing' : endedBy,
    chargeLeft,
    restV: restVolts(battery.type, chargeLeft),
    crankChance: crankChance(battery, chargeLeft),
    noStartHours: noStart(battery, load, { hours, stateOfCharge }),
    cautions: cautionsFor(battery, load),
  };
}

function noStart(
  battery: Battery,
  load: ParkedLoad,
  run: { readonly hours: number; readonly stateOfCharge: number },
): number {
  const ah = availableAh(battery);
  const together = effectiveDrainA(battery, load.parasiticA + load.standbyA);
  const alone = effectiveDrainA(battery, load.parasiticA);
  const needed = chargeForCrank(battery);
  if (run.stateOfCharge <= needed) return 0;
  const toUse = (run.stateOfCharge - needed) * ah;
  const usedByDevice = run.hours === Infinity ? 0 : together * run.hours;
  if (together > 0 && usedByDevice >= toUse) return toUse / together;
  if (alone <= 0) return Infinity;
  return (run.hours === Infinity ? 0 : run.hours) + (toUse - usedByDevice) / alone;
}

/** State of charge at which it starts in one case of two, 0 to 1; above 1 it never does. */
export function chargeForCrank(battery: Battery): number {
  let low = 0;
  let high = 2;
  // Halving: the chance grows with the charge; 40 rounds are far below any reading's resolution.
  for (let round = 0; round < 40; round += 1) {
    const middle = (low + high) / 2;
    if (crankChance(battery, middle) >= STARTS) high = middle;
    else low = middle;
  }
  return high;
}

function cautionsFor(battery: Battery, load: ParkedLoad): string[] {
  const label = labelProblem(battery);
  const low =
    load.cutOffV !== undefined && chargeAtRest(battery.type, load.cutOffV) < LOW_CHARGE
      ? `A cut-off at ${load.cutOffV} V leaves ${Math.round(100 * chargeAtRest(battery.type, load.cutOffV))} % of the charge in this kind of battery.`
      : undefined;
  const drain =
    load.parasiticA > NORMAL_DRAIN_A
      ? `The car’s own drain of ${Math.round(1000 * load.parasiticA)} mA is more than the usual 50 mA: find out what stays awake.`
      : undefined;
  return [label, low, drain].filter((one): one is string => one !== undefined);
}

/**
 * Refuses drains whose numbers are slips.
 *
 * @throws RangeError naming each field with its range.
 */
export function assertParked(load: ParkedLoad): void {
  assertNumbers({
    parasiticA: load.parasiticA,
    standbyA: load.standbyA,
    cutOffV: load.cutOffV,
    timerHours: load.timerHours,
  });
}
