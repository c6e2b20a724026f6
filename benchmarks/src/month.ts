import type { MonthPlan } from '@lucky-thread/core/size/battery';
import {
  availableAh,
  chargeAtRest,
  crankChance,
  safeSettings,
  selfDischargeA,
  simulateMonth,
  weighAssumptions,
} from '@lucky-thread/core/size/battery';
import { line, measure } from './measure';

const ROUNDS = 40;
const PLAN: MonthPlan = {
  battery: { type: 'flooded', capacityAh: 60, ageYears: 3, temperatureC: 10 },
  load: { parasiticA: 0.03, standbyA: 0.35, cutOffV: 12.2, timerHours: 12 },
  driving: { daysPerWeek: 5, minutesPerDay: 60, alternatorA: 30 },
  stateOfCharge: 0.9,
};

/** A month on a battery, alone and with the search for safe settings, against a plain step-by-step reference. */
export async function monthBenchmark(): Promise<void> {
  const times = await measure(ROUNDS, {
    month: () => simulateMonth(PLAN),
    whole: () => [simulateMonth(PLAN), safeSettings(PLAN), weighAssumptions(PLAN)],
    reference: () => plainMonth(PLAN),
  });
  const apart = Math.abs(simulateMonth(PLAN).last - plainMonth(PLAN));
  line(
    'a month on a battery, ten-minute steps: median',
    `${(times.month?.median ?? 0).toFixed(2)} ms`,
  );
  line(
    '  with 81 settings and 6 assumptions tried: p95',
    `${(times.whole?.p95 ?? 0).toFixed(1)} ms`,
  );
  line(
    '  ratio plain reference / ours',
    ((times.reference?.median ?? 0) / (times.month?.median ?? 1)).toFixed(1),
  );
  line('  charge at the end apart by', apart.toExponential(1));
}

/** The same month, everything worked out anew at every step; charge at the end, 0 to 1. */
function plainMonth({ battery, load, driving, stateOfCharge }: MonthPlan): number {
  const fillHours = 2.2 * 2 ** (Math.max(0, 25 - battery.temperatureC) / 15);
  let charge = stateOfCharge;
  let parkedMin = 0;
  let isOff = false;
  let drivingMin = 0;
  for (let minute = 0; minute < 30 * 24 * 60; minute += 10) {
    const ah = availableAh(battery);
    const day = Math.floor(minute / 1440);
    const starts = [450, 1020].includes(minute % 1440) && day % 7 < driving.daysPerWeek;
    if (starts && drivingMin === 0 && crankChance(battery, charge) >= 0.5) {
      drivingMin = driving.minutesPerDay / 2;
      charge -= 0.15 / ah;
    }
    const driven = Math.min(drivingMin, 10);
    if (driven > 0) {
      drivingMin -= driven;
      parkedMin = 0;
      isOff = false;
      const accepted = Math.min(driving.alternatorA, (ah * (1 - charge)) / fillHours);
      charge = Math.min(1, charge + (accepted * 0.9 * driven) / 60 / ah);
    }
    if (driven === 10) continue;
    isOff =
      isOff ||
      charge <= chargeAtRest(battery.type, load.cutOffV ?? 0) ||
      parkedMin >= (load.timerHours ?? Infinity) * 60;
    parkedMin += 10 - driven;
    const drainA =
      (isOff ? load.parasiticA : load.parasiticA + load.standbyA) + selfDischargeA(battery);
    charge = Math.max(0, charge - (drainA * (10 - driven)) / 60 / ah);
  }
  return charge;
}
