import { assertNumbers } from '../ranges';
import type { Battery } from './battery';
import { TYPE_FACTS, assertBattery, availableAh, chargeAtRest, effectiveDrainA } from './battery';
import { chargeForCrank, crankChance } from './crank';
import type { ParkedLoad } from './parked';
import { assertParked } from './parked';

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
  /** What drains it while parked. */
  readonly load: ParkedLoad;
  /** What fills it again. */
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
  /** Lowest state of charge, 0 to 1. */
  readonly lowest: number;
  /** State of charge at the end, 0 to 1. */
  readonly last: number;
  /** Chance to crank at the lowest charge, 0 to 1. */
  readonly worstCrank: number;
  /** Hours that the device ran while parked. */
  readonly deviceHours: number;
  /** Minutes driven. */
  readonly drivenMinutes: number;
  /** Charge taken out and put in, Ah; charge at the end is that of the start, less the one, plus the other. */
  readonly outAh: number;
  /** Charge put in, Ah. */
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

/** What a month's steps need to know, worked out once. */
interface Rates {
  readonly ah: number;
  readonly fillHours: number;
  readonly chargeEfficiency: number;
  readonly alternatorA: number;
  /** Charge at which the device switches itself off; below 0 for never. */
  readonly cutOff: number;
  readonly timerMin: number;
  /** Charge from which it starts in one case of two. */
  readonly needed: number;
  /** Drain with the device off and on, A. */
  readonly sleepA: number;
  readonly watchA: number;
  readonly hasDevice: boolean;
}

/** A month as far as it has gone. */
interface Course {
  charge: number;
  lowest: number;
  deviceHours: number;
  drivenMinutes: number;
  outAh: number;
  inAh: number;
  parkedMin: number;
  isOff: boolean;
  /** Minutes left of the trip under way. */
  tripMin: number;
  noStartDay: number | undefined;
}

/**
 * Thirty days of parking and driving in steps of ten minutes; a trip that ends within a step is driven to its last minute.
 *
 * While driving the battery takes what the alternator can give, but no more than it accepts: the fuller and the colder, the
 * less. A car that does not start stays where it is. Parked, the battery loses what is drawn and what it loses by itself.
 *
 * @throws RangeError naming each field with its range.
 */
export function simulateMonth(plan: MonthPlan): Month {
  assertMonth(plan);
  const rates = ratesOf(plan);
  const steps = (DAYS * DAY_MIN) / STEP_MINUTES;
  const hourly = new Float64Array(steps / STEPS_PER_HOUR + 1);
  const course = startOf(plan);
  for (let step = 0; step < steps; step += 1) {
    if (step % STEPS_PER_HOUR === 0) hourly[step / STEPS_PER_HOUR] = course.charge;
    const minute = (step * STEP_MINUTES) % DAY_MIN;
    const day = Math.floor((step * STEP_MINUTES) / DAY_MIN);
    if (isTripStart(minute) && day % 7 < plan.driving.daysPerWeek)
      leave(course, rates, plan.driving.minutesPerDay / TRIP_STARTS_MIN.length, day);
    const driven = Math.min(course.tripMin, STEP_MINUTES);
    if (driven > 0) drive(course, rates, driven);
    if (driven < STEP_MINUTES) park(course, rates, STEP_MINUTES - driven, day);
  }
  hourly[hourly.length - 1] = course.charge;
  const { charge, lowest, deviceHours, drivenMinutes, outAh, inAh, noStartDay } = course;
  const worstCrank = crankChance(plan.battery, lowest);
  return {
    ...{ hourly, noStartDay, lowest, last: charge, worstCrank },
    ...{ deviceHours, drivenMinutes, outAh, inAh },
  };
}

function ratesOf({ battery, load, driving }: MonthPlan): Rates {
  const { fillHours, chargeEfficiency } = TYPE_FACTS[battery.type];
  return {
    ah: availableAh(battery),
    fillHours: fillHours * 2 ** (Math.max(0, 25 - battery.temperatureC) / FILL_DOUBLES_K),
    chargeEfficiency,
    alternatorA: driving.alternatorA,
    cutOff: load.cutOffV === undefined ? -1 : chargeAtRest(battery.type, load.cutOffV),
    timerMin: (load.timerHours ?? Infinity) * 60,
    needed: chargeForCrank(battery),
    sleepA: effectiveDrainA(battery, load.parasiticA),
    watchA: effectiveDrainA(battery, load.parasiticA + load.standbyA),
    hasDevice: load.standbyA > 0,
  };
}

function startOf({ stateOfCharge }: MonthPlan): Course {
  return {
    charge: stateOfCharge,
    lowest: stateOfCharge,
    deviceHours: 0,
    drivenMinutes: 0,
    outAh: 0,
    inAh: 0,
    parkedMin: 0,
    isOff: false,
    tripMin: 0,
    noStartDay: undefined,
  };
}

function isTripStart(minute: number): boolean {
  return TRIP_STARTS_MIN.some((start) => minute === start);
}

/** Cranks for a trip of some minutes; a car that does not start stays. */
function leave(course: Course, rates: Rates, minutes: number, day: number): void {
  if (minutes <= 0 || course.tripMin > 0) return;
  if (course.charge < rates.needed) {
    course.noStartDay ??= day;
    return;
  }
  course.tripMin = minutes;
  take(course, rates, CRANK_AH);
}

function drive(course: Course, rates: Rates, minutes: number): void {
  const { ah } = rates;
  const accepted = (ah * (1 - course.charge)) / rates.fillHours;
  const offered = Math.min(rates.alternatorA, accepted) * rates.chargeEfficiency;
  const put = Math.min((offered * minutes) / 60, (1 - course.charge) * ah);
  course.inAh += put;
  course.charge += put / ah;
  course.tripMin -= minutes;
  course.drivenMinutes += minutes;
  course.parkedMin = 0;
  course.isOff = false;
}

function park(course: Course, rates: Rates, minutes: number, day: number): void {
  course.isOff ||= course.charge <= rates.cutOff || course.parkedMin >= rates.timerMin;
  course.parkedMin += minutes;
  const hours = minutes / 60;
  if (!course.isOff && rates.hasDevice) course.deviceHours += hours;
  take(course, rates, (course.isOff ? rates.sleepA : rates.watchA) * hours);
  course.lowest = Math.min(course.lowest, course.charge);
  if (course.charge < rates.needed) course.noStartDay ??= day;
}

function take(course: Course, rates: Rates, ampereHours: number): void {
  const taken = Math.min(ampereHours, course.charge * rates.ah);
  course.outAh += taken;
  course.charge -= taken / rates.ah;
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
