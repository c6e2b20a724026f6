import type { MonthPlan } from '@lucky-thread/core/size/battery';
import { BATTERY_TYPES } from '@lucky-thread/core/size/battery';
import type { Inputs } from './toolInputs';
import { allGood } from './allGood';

/** What a parked battery is judged by, as it stands in the URL; SI units. */
export const BATTERY_DEFAULTS = {
  type: 'flooded',
  capacityAh: 60,
  ageYears: 3,
  temperatureC: 10,
  stateOfCharge: 0.9,
  reserveMinutes: 0,
  engineAh: 0,
  parkedDays: 7,
  parasiticA: 0.03,
  standbyA: 0.35,
  cutOffV: 12.2,
  timerHours: 12,
  driveDays: 5,
  driveMinutes: 60,
  alternatorA: 30,
};
/** Inputs of the battery's tool. */
export type BatteryInputs = Inputs<typeof BATTERY_DEFAULTS>;

/** The month that inputs mean; undefined while a number is missing or out of range. */
export function monthOf(inputs: BatteryInputs): MonthPlan | undefined {
  const { type: _type, reserveMinutes, engineAh, ...numbers } = inputs;
  const type = BATTERY_TYPES.find((one) => one === inputs.type);
  const reserve = reserveMinutes === 0 ? undefined : reserveMinutes;
  const fitted = engineAh === 0 ? undefined : engineAh;
  const good =
    allGood(numbers, ['cutOffV', 'timerHours']) &&
    allGood({ reserveMinutes: reserve, engineAh: fitted }, ['reserveMinutes', 'engineAh']);
  if (!good || type === undefined) return undefined;
  return {
    battery: {
      type,
      capacityAh: numbers.capacityAh ?? 0,
      ageYears: numbers.ageYears ?? 0,
      temperatureC: numbers.temperatureC ?? 0,
      reserveMinutes: reserve,
      engineAh: fitted,
    },
    load: {
      parasiticA: numbers.parasiticA ?? 0,
      standbyA: numbers.standbyA ?? 0,
      cutOffV: numbers.cutOffV,
      timerHours: numbers.timerHours,
    },
    driving: {
      daysPerWeek: numbers.driveDays ?? 0,
      minutesPerDay: numbers.driveMinutes ?? 0,
      alternatorA: numbers.alternatorA ?? 0,
    },
    stateOfCharge: numbers.stateOfCharge ?? 0,
  };
}
