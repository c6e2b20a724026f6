import type { Battery } from './battery';
import { BATTERY_TYPES, chargeAtRest } from './battery';
import { SAFE_CRANK, crankChance } from './crank';
import type { MonthPlan } from './month';
import { simulateMonth } from './month';
import { LOW_CHARGE } from './parked';

/** A cut-off and a timer for a device. */
export interface SafeSettings {
  /** Voltage at which the device goes off, V. */
  readonly cutOffV: number;
  /** Hours; undefined for none. */
  readonly timerHours: number | undefined;
  /** Hours that the device ran parked in the month. */
  readonly deviceHours: number;
  /** Chance to crank at the lowest charge, 0 to 1. */
  readonly worstCrank: number;
}

/** What devices offer, strictest first. Common practice. */
const CUT_OFFS_V = [12.8, 12.7, 12.6, 12.5, 12.4, 12.3, 12.2, 12.1, 12] as const;
const TIMERS_H = [1, 2, 4, 6, 8, 12, 24, 48, undefined] as const;
/**
 * The cut-off and timer that let a device run longest while the car starts all month; undefined when none does. A cut-off
 * is offered only where the battery does not suffer at it (flooded ones: 12.2 V, common practice) and still cranks in
 * nineteen cases of twenty at its temperature, whatever the timer does before.
 */
export function safeSettings(plan: MonthPlan): SafeSettings | undefined {
  let best: SafeSettings | undefined;
  for (const cutOffV of CUT_OFFS_V.filter((volts) => isSafeCutOff(plan.battery, volts)))
    for (const timerHours of TIMERS_H) {
      const month = simulateMonth({ ...plan, load: { ...plan.load, cutOffV, timerHours } });
      if (month.worstCrank < SAFE_CRANK || month.noStartDay !== undefined) continue;
      if (best === undefined || month.deviceHours > best.deviceHours + 0.01)
        best = {
          cutOffV,
          timerHours,
          deviceHours: month.deviceHours,
          worstCrank: month.worstCrank,
        };
    }
  return best;
}

function isSafeCutOff(battery: Battery, cutOffV: number): boolean {
  const charge = chargeAtRest(battery.type, cutOffV);
  return charge >= LOW_CHARGE && crankChance(battery, charge) >= SAFE_CRANK;
}

/** One assumption, changed: what it does to the worst morning. */
export interface Assumption {
  /** What was changed, in words. */
  readonly what: string;
  /** Lowest state of charge with the change, share of the capacity, 0 to 1. */
  readonly lowest: number;
  /** Chance to crank at the lowest charge, 0 to 1. */
  readonly worstCrank: number;
  /** Change of the lowest state of charge against the plan, −1 to 1. */
  readonly change: number;
}

/** Which assumptions matter, the weightiest first: each is changed alone by what one may well be wrong by. */
export function weighAssumptions(plan: MonthPlan): readonly Assumption[] {
  const base = simulateMonth(plan);
  const { battery, load, driving } = plan;
  const other = BATTERY_TYPES.find((type) => type !== battery.type) ?? battery.type;
  const changed: readonly (readonly [string, MonthPlan])[] = [
    [
      'battery 3 years older',
      { ...plan, battery: { ...battery, ageYears: Math.min(15, battery.ageYears + 3) } },
    ],
    [
      'battery a fifth smaller',
      { ...plan, battery: { ...battery, capacityAh: Math.max(10, 0.8 * battery.capacityAh) } },
    ],
    [
      '15 K colder',
      {
        ...plan,
        battery: { ...battery, temperatureC: Math.max(-40, battery.temperatureC - 15) },
      },
    ],
    [
      'the car’s own drain doubled',
      { ...plan, load: { ...load, parasiticA: Math.min(5, 2 * load.parasiticA) } },
    ],
    [
      'half the driving',
      { ...plan, driving: { ...driving, minutesPerDay: driving.minutesPerDay / 2 } },
    ],
    [`battery of another kind (${other})`, { ...plan, battery: { ...battery, type: other } }],
  ];
  return changed
    .map(([what, altered]): Assumption => {
      const month = simulateMonth(altered);
      return {
        what,
        lowest: month.lowest,
        worstCrank: month.worstCrank,
        change: month.lowest - base.lowest,
      };
    })
    .sort(
      (left, right) =>
        Math.abs(right.worstCrank - base.worstCrank) +
        Math.abs(right.change) -
        (Math.abs(left.worstCrank - base.worstCrank) + Math.abs(left.change)),
    );
}
