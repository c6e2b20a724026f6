import fc from 'fast-check';
import type { Battery, MonthPlan } from './index';
import { chargeAtRest, crankChance, safeSettings, simulateMonth, weighAssumptions } from './index';

const BATTERY: Battery = { type: 'flooded', capacityAh: 60, ageYears: 3, temperatureC: 10 };
const CAM = { parasiticA: 0.03, standbyA: 0.35, cutOffV: 12.2, timerHours: 12 };
const COMMUTER = { daysPerWeek: 5, minutesPerDay: 60, alternatorA: 30 };
const PLAN: MonthPlan = { battery: BATTERY, load: CAM, driving: COMMUTER, stateOfCharge: 0.9 };

describe('safeSettings', () => {
  // Common practice: flooded batteries suffer below 12.2 V at rest.
  it('keeps a flooded battery at 12.2 V at least, and higher in the cold', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(-18, -5, 10, 25),
        fc.constantFrom(0.3, 0.5, 2),
        fc.constantFrom(0, 3, 6),
        (temperatureC, standbyA, ageYears) => {
          const battery = { ...BATTERY, temperatureC, ageYears };
          const safe = safeSettings({ ...PLAN, battery, load: { ...CAM, standbyA } });
          if (safe === undefined) return;
          expect(safe.cutOffV).toBeGreaterThanOrEqual(12.2);
          const charge = chargeAtRest('flooded', safe.cutOffV);
          expect(crankChance(battery, charge)).toBeGreaterThanOrEqual(0.95);
        },
      ),
      { numRuns: 12 },
    );
    const cold = { ...BATTERY, ageYears: 0, temperatureC: -18 };
    const often = { ...COMMUTER, daysPerWeek: 7, minutesPerDay: 240 };
    const safe = safeSettings({ ...PLAN, battery: cold, driving: often, stateOfCharge: 1 });
    expect(safe?.cutOffV).toBeGreaterThanOrEqual(12.5);
  });

  it('finds settings with which the car starts, no stricter than need be', () => {
    const safe = safeSettings(PLAN);
    const month = simulateMonth({ ...PLAN, load: { ...CAM, ...safe } });
    expect(month.worstCrank).toBeGreaterThanOrEqual(0.95);
    const strictest = simulateMonth({
      ...PLAN,
      load: { ...CAM, cutOffV: 12.6, timerHours: 1 },
    });
    expect(safe?.deviceHours).toBeGreaterThan(strictest.deviceHours);
  });

  it('says so when nothing helps', () => {
    const wreck = { ...BATTERY, ageYears: 12, temperatureC: -20 };
    expect(safeSettings({ ...PLAN, battery: wreck })).toBeUndefined();
  });

  it('finds the longest of all cut-offs and timers that leave the car starting', () => {
    const hours = [12.8, 12.7, 12.6, 12.5, 12.4, 12.3, 12.2].flatMap((cutOffV) =>
      [1, 2, 4, 6, 8, 12, 24, 48, undefined]
        .map((timerHours) => simulateMonth({ ...PLAN, load: { ...CAM, cutOffV, timerHours } }))
        .filter((one) => one.worstCrank >= 0.95 && one.noStartDay === undefined)
        .map((one) => one.deviceHours),
    );
    const safe = safeSettings(PLAN);
    // Of those that run as long to a hundredth of an hour the first is taken.
    expect(safe?.deviceHours).toBeGreaterThan(Math.max(...hours) - 0.02);
    expect(hours).toContain(safe?.deviceHours);
    const again = simulateMonth({ ...PLAN, load: { ...CAM, ...safe } });
    expect([again.deviceHours, again.worstCrank]).toEqual([safe?.deviceHours, safe?.worstCrank]);
  });

  it('names the assumptions that matter, each with what it does by itself, weightiest first', () => {
    const old: MonthPlan = {
      ...{
        battery: { ...BATTERY, ageYears: 13, capacityAh: 11, temperatureC: -30 },
        driving: COMMUTER,
      },
      ...{ load: { ...CAM, parasiticA: 3 }, stateOfCharge: 0.9 },
    };
    for (const plan of [PLAN, old]) {
      const { battery, load, driving } = plan;
      const isOld = plan === old;
      const alone: Record<string, MonthPlan> = {
        'battery 3 years older': { ...plan, battery: { ...battery, ageYears: isOld ? 15 : 6 } },
        'battery a fifth smaller': {
          ...plan,
          battery: { ...battery, capacityAh: isOld ? 10 : 48 },
        },
        '15 K colder': { ...plan, battery: { ...battery, temperatureC: isOld ? -40 : -5 } },
        'the car’s own drain doubled': { ...plan, load: { ...load, parasiticA: isOld ? 5 : 0.06 } },
        'half the driving': { ...plan, driving: { ...driving, minutesPerDay: 30 } },
      };
      const base = simulateMonth(plan);
      const weighed = weighAssumptions(plan);
      for (const [what, changed] of Object.entries(alone)) {
        const { lowest, worstCrank } = simulateMonth(changed);
        expect(weighed.find((one) => one.what === what)).toEqual({
          ...{ what, lowest, worstCrank, change: lowest - base.lowest },
        });
      }
      expect(weighed).toHaveLength(6);
      const other = weighed.find(({ what }) => !(what in alone))?.what ?? '';
      expect(other).toMatch(/^battery of another kind \((?!flooded)\w+\)$/);
      const weight = (one: (typeof weighed)[number]): number =>
        Math.abs(one.worstCrank - base.worstCrank) + Math.abs(one.change);
      expect(weighed.map(weight)).toEqual(weighed.map(weight).sort((left, right) => right - left));
    }
  });
});
