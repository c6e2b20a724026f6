import { assertNumbers } from '../ranges';
import type { Battery } from './battery';
import { TYPE_FACTS, assertBattery, availableAh, chargeAtRest, effectiveDrainA } from './battery';
import { crankChance } from './crank';
import type { ParkedLoad } from './parked';
import { assertParked, chargeForCrank } from './parked';

/** How the owner drives. */
export interface DrivingPattern {
  /** Days a week on which the car is driven, the first ones of each week. */
  readonly daysPerWeek: number;
  /** Minutes driven on such a day, in two trips. */
  readonly minutesPerDay: number;
  /** What the alternator has left for the battery, A. */
  readonly alternatorA: number;
}

/** A month on one battery. */
export interface MonthPlan {
  readonly battery: Battery;
  readonly load: ParkedLoad;
  readonly driving: DrivingPattern;
  /** State of charge at the start, 0 to 1. */
  readonly stateOfCharge: number;
}

/** What a month brings. */
export interface Month {
  /** State of charge by the hour, 0 to 1, from the start on. */
  readonly hourly: Float64Array;
  /** Days until it starts in one case of two only; undefined when it does all month. */
  readonly noStartDay: number | undefined;
  readonly lowest: number;
  readonly last: number;
  /** Chance to crank at the lowest charge. */
  readonly worstCrank: number;
  /** Hours that the device ran while parked. */
  readonly deviceHours: number;
  /** Charge taken out and put in, Ah; charge at the end is that of the start, less the one, plus the other. */
  readonly outAh: number;
  readonly inAh: number;
}

/** Step, days and starts of the two trips. */
export const STEP_MINUTES = 10;
const DAYS = 30;
const TRIP_STARTS_MIN = [7.5 * 60, 17 * 60] as const;
const STEPS_PER_HOUR = 60 / STEP_MINUTES;
const DAY_MIN = 24 * 60;
/** Filling takes twice as long per so many degrees below 25 °C, K. Common practice. */
const FILL_DOUBLES_K = 15;
/** Charge that one start takes: some 200 A for 2 s and what follows, Ah. Common practice. */
const CRANK_AH = 0.15;

/**
 * Thirty days of parking and driving in steps of ten minutes.
 *
 * While driving the battery takes what the alternator can give, but no more than it accepts: the fuller and the colder, the
 * less. A car that does not start stays where it is.
 *
 * @throws RangeError naming each field with its range.
 */
export function simulateMonth(plan: MonthPlan): Month {
  assertMonth(plan);
  const { battery, load, driving } = plan;
  const ah = availableAh(battery);
  const fillHours =
    TYPE_FACTS[battery.type].fillHours *
    2 ** (Math.max(0, 25 - battery.temperatureC) / FILL_DOUBLES_K);
  const { chargeEfficiency } = TYPE_FACTS[battery.type];
  const cutOff = load.cutOffV === undefined ? -1 : chargeAtRest(battery.type, load.cutOffV);
  const timerMin = (load.timerHours ?? Infinity) * 60;
  const needed = chargeForCrank(battery);
  const sleepA = effectiveDrainA(battery, load.parasiticA);
  const watchA = effectiveDrainA(battery, load.parasiticA + load.standbyA);
  const tripSteps = Math.round(driving.minutesPerDay / 2 / STEP_MINUTES);
  const hours = STEP_MINUTES / 60;

  const steps = (DAYS * DAY_MIN) / STEP_MINUTES;
  const hourly = new Float64Array(steps / STEPS_PER_HOUR + 1);
  let charge = plan.stateOfCharge;
  let lowest = charge;
  let [deviceHours, outAh, inAh] = [0, 0, 0];
  let noStartDay: number | undefined;
  let parkedMin = 0;
  let isOff = false;
  let driveLeft = 0;
  for (let step = 0; step < steps; step += 1) {
    if (step % STEPS_PER_HOUR === 0) hourly[step / STEPS_PER_HOUR] = charge;
    const minute = (step * STEP_MINUTES) % DAY_MIN;
    const day = Math.floor((step * STEP_MINUTES) / DAY_MIN);
    const leaves = isTripStart(minute) && day % 7 < driving.daysPerWeek && tripSteps > 0;
    if (leaves && driveLeft === 0) {
      if (charge >= needed) {
        driveLeft = tripSteps;
        const taken = Math.min(CRANK_AH, charge * ah);
        outAh += taken;
        charge -= taken / ah;
      } else noStartDay ??= day;
    }
    if (driveLeft > 0) {
      driveLeft -= 1;
      parkedMin = 0;
      isOff = false;
      const accepted = (ah * (1 - charge)) / fillHours;
      const put = Math.min(
        Math.min(driving.alternatorA, accepted) * chargeEfficiency * hours,
        (1 - charge) * ah,
      );
      inAh += put;
      charge += put / ah;
      continue;
    }
    isOff = isOff || charge <= cutOff || parkedMin >= timerMin;
    parkedMin += STEP_MINUTES;
    if (!isOff && load.standbyA > 0) deviceHours += hours;
    const taken = Math.min((isOff ? sleepA : watchA) * hours, charge * ah);
    outAh += taken;
    charge -= taken / ah;
    lowest = Math.min(lowest, charge);
    if (charge < needed) noStartDay ??= day;
  }
  hourly[hourly.length - 1] = charge;
  return {
    hourly,
    noStartDay,
    lowest,
    last: charge,
    worstCrank: crankChance(battery, lowest),
    deviceHours,
    outAh,
    inAh,
  };
}

function isTripStart(minute: number): boolean {
  return TRIP_STARTS_MIN.some((start) => minute === start);
}

/**
 * Refuses months whose numbers are slips.
 *
 * @throws RangeError naming each field with its range.
 */
export function assertMonth(plan: MonthPlan): void {
  assertBattery(plan.battery);
  assertParked(plan.load);
  assertNumbers({
    driveDays: plan.driving.daysPerWeek,
    driveMinutes: plan.driving.minutesPerDay,
    alternatorA: plan.driving.alternatorA,
    stateOfCharge: plan.stateOfCharge,
  });
}
