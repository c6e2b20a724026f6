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
import { SAFE_CRANK, chargeForCrank, crankChance } from './crank';

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
export interface ParkedTime extends ParkedState {
  /** Hours until the device goes off; `Infinity` when it never does. */
  readonly deviceHours: number;
  /** What ends it. */
  readonly endedBy: 'cut-off' | 'timer' | 'empty' | 'nothing';
  /** Hours until it starts in one case of two only, device and car together. */
  readonly noStartHours: number;
  /** What is odd about the numbers. */
  readonly cautions: readonly string[];
}

/** Flooded batteries suffer below 12.2 V at rest, about this charge. Common practice. */
export const LOW_CHARGE = 0.44;
/** Key-off drain after everything sleeps, A. Common practice: up to about 50 mA is normal. */
export const NORMAL_DRAIN_A = 0.05;

/**
 * How long a device may run on a parked car, and whether the car starts afterwards.
 *
 * @param stateOfCharge when parked, 0 to 1
 * @throws RangeError naming each field with its range.
 */
export function parkedTime(battery: Battery, load: ParkedLoad, stateOfCharge = 1): ParkedTime {
  const course = courseOf(battery, load, stateOfCharge);
  const { hours, endedBy } = course;
  return {
    deviceHours: load.standbyA === 0 ? Infinity : hours,
    endedBy: load.standbyA === 0 && endedBy !== 'timer' ? 'nothing' : endedBy,
    ...stateAfter(battery, course, load.standbyA === 0 ? 0 : hours),
    noStartHours: hoursTo(course, chargeForCrank(battery)),
    cautions: cautionsFor(battery, load),
  };
}

/** A parked battery at a moment. */
export interface ParkedState {
  /** State of charge, 0 to 1. */
  readonly chargeLeft: number;
  /** Voltage at rest at that charge, V. */
  readonly restV: number;
  /** Chance to crank then, 0 to 1. */
  readonly crankChance: number;
}

/**
 * What a battery is left with after some days parked: device and car until cut-off or timer, then the car alone.
 *
 * @param stateOfCharge when parked, 0 to 1
 * @throws RangeError naming each field with its range.
 */
export function parkedAfter(
  battery: Battery,
  load: ParkedLoad,
  days: number,
  stateOfCharge = 1,
): ParkedState {
  assertNumbers({ parkedDays: days });
  return stateAfter(battery, courseOf(battery, load, stateOfCharge), days * HOURS_PER_DAY);
}

const HOURS_PER_DAY = 24;

/** How a parked battery runs down: first with the device, then with the car alone. */
interface ParkedCourse {
  readonly stateOfCharge: number;
  /** Hours until the device goes off, and what ends it. */
  readonly hours: number;
  readonly endedBy: 'cut-off' | 'timer' | 'empty';
  /** Charge lost per hour before and after that, 0 to 1. */
  readonly together: number;
  readonly alone: number;
}

function courseOf(battery: Battery, load: ParkedLoad, stateOfCharge: number): ParkedCourse {
  assertBattery(battery);
  assertParked(load);
  assertNumbers({ stateOfCharge });
  const ah = availableAh(battery);
  const together = effectiveDrainA(battery, load.parasiticA + load.standbyA) / ah;
  const alone = effectiveDrainA(battery, load.parasiticA) / ah;
  const until = (charge: number): number => Math.max(0, stateOfCharge - charge) / together;
  const cutOff =
    load.cutOffV === undefined ? Infinity : until(chargeAtRest(battery.type, load.cutOffV));
  const ends = [
    ['cut-off', cutOff],
    ['timer', load.timerHours ?? Infinity],
    ['empty', until(0)],
  ] as const;
  const [endedBy, hours] = ends.reduce((first, end) => (end[1] < first[1] ? end : first));
  return { stateOfCharge, hours, endedBy, together, alone };
}

function stateAfter(battery: Battery, course: ParkedCourse, hours: number): ParkedState {
  const watched = Math.min(hours, course.hours);
  const used = course.together * watched + course.alone * (hours - watched);
  const chargeLeft = Math.max(0, course.stateOfCharge - used);
  return {
    chargeLeft,
    restV: restVolts(battery.type, chargeLeft),
    crankChance: crankChance(battery, chargeLeft),
  };
}

/** Hours until a charge is reached; 0 below it. */
function hoursTo(course: ParkedCourse, charge: number): number {
  const toUse = Math.max(0, course.stateOfCharge - charge);
  const watched = course.together * course.hours;
  if (toUse <= watched) return toUse / course.together;
  return course.hours + (toUse - watched) / course.alone;
}

function cautionsFor(battery: Battery, load: ParkedLoad): string[] {
  const label = labelProblem(battery);
  const left = load.cutOffV === undefined ? 1 : chargeAtRest(battery.type, load.cutOffV);
  const low =
    left < LOW_CHARGE
      ? `A cut-off at ${load.cutOffV} V leaves ${Math.round(100 * left)} % of the charge in this kind of battery; below about 45 % it suffers.`
      : undefined;
  const chance = crankChance(battery, left);
  const weak =
    load.cutOffV !== undefined && chance < SAFE_CRANK
      ? `At ${battery.temperatureC} °C a battery at the cut-off of ${load.cutOffV} V cranks in ${Number((100 * chance).toPrecision(1))} % of cases: set it higher, or shorten the timer.`
      : undefined;
  const drain =
    load.parasiticA > NORMAL_DRAIN_A
      ? `The car’s own drain of ${Math.round(1000 * load.parasiticA)} mA is more than the usual 50 mA: find out what stays awake.`
      : undefined;
  return [label, low, weak, drain].filter((one): one is string => one !== undefined);
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
