import { assertNumbers } from '../ranges';

/** Kinds of starter battery. */
export const BATTERY_TYPES = ['flooded', 'enhanced', 'gelMat'] as const;
/** One kind. */
export type BatteryType = (typeof BATTERY_TYPES)[number];

/** Plain names, and the terms beside them. */
export const BATTERY_NAMES: Record<BatteryType, string> = {
  flooded: 'flooded',
  enhanced: 'enhanced flooded (start-stop)',
  gelMat: 'gel or glass mat',
};

/** A starter battery as it stands in the car. */
export interface Battery {
  readonly type: BatteryType;
  /** Ampere-hours at the 20-hour rate when new, Ah. */
  readonly capacityAh: number;
  /** Years in use, 0 to 15. */
  readonly ageYears: number;
  /** Of the battery itself, °C. */
  readonly temperatureC: number;
  /** Capacity that the car's maker fits for this engine, Ah; this battery's own when left out. */
  readonly engineAh?: number | undefined;
  /** Minutes at 25 A down to 10.5 V, when printed on it; sets the Peukert exponent. */
  readonly reserveMinutes?: number | undefined;
}

interface TypeFacts {
  /** Volts at rest from empty to full in quarters. */
  readonly restV: readonly [number, number, number, number, number];
  /** Share of the capacity kept per year of age. */
  readonly keptPerYear: number;
  readonly peukert: number;
  /** Charge put in per charge taken out again. */
  readonly chargeEfficiency: number;
  /** Time constant of filling up at 14.4 V and 25 °C, h. */
  readonly fillHours: number;
  /** Share of the capacity that a day at 25 °C takes with nothing connected. */
  readonly lostPerDay: number;
}

/**
 * What the kinds differ in. Rest voltages: flooded BCI table, from memory, ±0.05 V; the others some hundredths higher, common
 * practice. Ageing, filling and efficiency: common practice. Self-discharge: about 0.1 % a day for flooded ones,
 * from memory, the others less.
 */
export const TYPE_FACTS: Record<BatteryType, TypeFacts> = {
  flooded: {
    restV: [11.89, 12.06, 12.24, 12.45, 12.65],
    keptPerYear: 0.93,
    peukert: 1.18,
    chargeEfficiency: 0.9,
    fillHours: 2.2,
    lostPerDay: 0.001,
  },
  enhanced: {
    restV: [11.9, 12.08, 12.28, 12.5, 12.7],
    keptPerYear: 0.94,
    peukert: 1.15,
    chargeEfficiency: 0.92,
    fillHours: 1.8,
    lostPerDay: 0.0009,
  },
  gelMat: {
    restV: [11.8, 12.05, 12.33, 12.6, 12.85],
    keptPerYear: 0.95,
    peukert: 1.1,
    chargeEfficiency: 0.95,
    fillHours: 1.4,
    lostPerDay: 0.0006,
  },
};

/** Capacity left at a temperature, share of that at 25 °C; from memory of makers' curves. */
const CAPACITY_BY_C: readonly (readonly [number, number])[] = [
  [-40, 0.4],
  [-18, 0.65],
  [0, 0.85],
  [25, 1],
  [60, 1.05],
];

/**
 * Refuses batteries whose numbers are slips.
 *
 * @throws RangeError naming each field with its range.
 */
export function assertBattery(battery: Battery): void {
  assertNumbers({
    capacityAh: battery.capacityAh,
    ageYears: battery.ageYears,
    temperatureC: battery.temperatureC,
    reserveMinutes: battery.reserveMinutes,
    engineAh: battery.engineAh,
  });
}

/** Capacity that is left by age, at 25 °C, Ah. */
export function agedAh(battery: Battery): number {
  return battery.capacityAh * TYPE_FACTS[battery.type].keptPerYear ** battery.ageYears;
}

/** Capacity at the battery's age and temperature, Ah at the 20-hour rate. */
export function availableAh(battery: Battery): number {
  return agedAh(battery) * along(CAPACITY_BY_C, battery.temperatureC);
}

/** Self-discharge doubles per so many degrees, K. Arrhenius' rule of ten degrees. */
const SELF_DOUBLES_K = 10;
const HOURS_PER_DAY = 24;

/** Current that a battery loses by itself, A. */
export function selfDischargeA(battery: Battery): number {
  const { lostPerDay } = TYPE_FACTS[battery.type];
  const warmer = (battery.temperatureC - 25) / SELF_DOUBLES_K;
  return ((lostPerDay * agedAh(battery)) / HOURS_PER_DAY) * 2 ** warmer;
}

/** Voltage at rest at a state of charge from 0 to 1, V. */
export function restVolts(type: BatteryType, stateOfCharge: number): number {
  const table = TYPE_FACTS[type].restV.map((volts, quarter) => [quarter / 4, volts] as const);
  return along(table, stateOfCharge);
}

/** State of charge from 0 to 1 at a voltage at rest; empty below the table, full above it. */
export function chargeAtRest(type: BatteryType, volts: number): number {
  const table = TYPE_FACTS[type].restV.map((rest, quarter) => [rest, quarter / 4] as const);
  return along(table, volts);
}

/** Straight lines between the points of a table, held at both ends. */
export function along(table: readonly (readonly [number, number])[], at: number): number {
  const [first, last] = [table[0], table[table.length - 1]];
  if (first === undefined || last === undefined) return NaN;
  if (at <= first[0]) return first[1];
  if (at >= last[0]) return last[1];
  const above = table.findIndex(([x]) => x >= at);
  const [x0, y0] = table[above - 1] as readonly [number, number];
  const [x1, y1] = table[above] as readonly [number, number];
  return y0 + ((y1 - y0) * (at - x0)) / (x1 - x0);
}

/** Hours and current of the rate that capacities are printed for. */
const RATED_HOURS = 20;
/** Current of the reserve capacity, A (SAE J537, from memory). */
const RESERVE_A = 25;
/** Exponents that real batteries have (SAE J537 numbers against 20-hour ratings, from memory). */
export const PEUKERT_RANGE = [1.05, 1.35] as const;

/**
 * The Peukert exponent that makes ampere-hours and reserve minutes agree: t = 20 h · (I₂₀ / I)^n.
 *
 * @example peukertExponent(60, 100) // 1.17
 */
export function peukertExponent(capacityAh: number, reserveMinutes: number): number {
  assertNumbers({ capacityAh, reserveMinutes });
  const ratedA = capacityAh / RATED_HOURS;
  return Math.log(reserveMinutes / 60 / RATED_HOURS) / Math.log(ratedA / RESERVE_A);
}

/** The battery's exponent: from its own numbers where both are printed, else its kind's. */
export function peukertOf(battery: Battery): number {
  return battery.reserveMinutes === undefined
    ? TYPE_FACTS[battery.type].peukert
    : peukertExponent(battery.capacityAh, battery.reserveMinutes);
}

/** Why a battery's own numbers can't be right; undefined when they agree. */
export function labelProblem(battery: Battery): string | undefined {
  if (battery.reserveMinutes === undefined) return undefined;
  const exponent = peukertOf(battery);
  const [low, high] = PEUKERT_RANGE;
  if (exponent >= low && exponent <= high) return undefined;
  return `${battery.capacityAh} Ah and ${battery.reserveMinutes} min reserve do not belong together (exponent ${exponent.toFixed(2)}, real ones lie between ${low} and ${high}): read the label again.`;
}

/** Hours from full to flat at a steady current, at 25 °C (Peukert). */
export function hoursAt(battery: Battery, currentA: number): number {
  const ratedA = battery.capacityAh / RATED_HOURS;
  const share = agedAh(battery) / battery.capacityAh;
  return share * RATED_HOURS * (ratedA / currentA) ** peukertOf(battery);
}

/**
 * Ampere-hours that a parked battery really loses per hour, A: what is drawn, and what it loses by itself. Less than the
 * 20-hour current does no harm beyond its own, more counts double and more (Peukert).
 */
export function effectiveDrainA(battery: Battery, currentA: number): number {
  const ratedA = battery.capacityAh / RATED_HOURS;
  const drawnA = currentA <= ratedA ? currentA : ratedA * (currentA / ratedA) ** peukertOf(battery);
  return drawnA + selfDischargeA(battery);
}
