import fc from 'fast-check';
import type { Battery, MonthPlan } from './index';
import {
  BATTERY_TYPES,
  PEUKERT_RANGE,
  availableAh,
  chargeAtRest,
  chargeForCrank,
  crankChance,
  hoursAt,
  labelProblem,
  parkedTime,
  peukertExponent,
  restVolts,
  safeSettings,
  simulateMonth,
  weighAssumptions,
} from './index';

const BATTERY: Battery = { type: 'flooded', capacityAh: 60, ageYears: 3, temperatureC: 10 };
const CAM = { parasiticA: 0.03, standbyA: 0.35, cutOffV: 12.2, timerHours: 12 };
const COMMUTER = { daysPerWeek: 5, minutesPerDay: 60, alternatorA: 30 };
const PLAN: MonthPlan = { battery: BATTERY, load: CAM, driving: COMMUTER, stateOfCharge: 0.9 };

describe('rest voltage', () => {
  // BCI table for flooded batteries at about 25 °C, from memory, ±0.05 V.
  it.each([
    [1, 12.65],
    [0.75, 12.45],
    [0.5, 12.24],
    [0.25, 12.06],
    [0, 11.89],
  ])('of %d is %d V', (charge, volts) => {
    expect(Math.abs(restVolts('flooded', charge) - volts)).toBeLessThan(0.05);
    expect(chargeAtRest('flooded', volts)).toBeCloseTo(charge, 2);
  });

  it('is the inverse of the charge at rest, for every kind', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...BATTERY_TYPES),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (type, charge) => {
          expect(chargeAtRest(type, restVolts(type, charge))).toBeCloseTo(charge, 9);
        },
      ),
    );
  });
});

describe('Peukert', () => {
  // SAE J537, from memory: 25 A to 10.5 V. A 60 Ah battery has about 100 min, common practice.
  it('brings ampere-hours and reserve minutes together within the range of real batteries', () => {
    const exponent = peukertExponent(60, 100);
    expect(exponent).toBeGreaterThan(PEUKERT_RANGE[0]);
    expect(exponent).toBeLessThan(PEUKERT_RANGE[1]);
    const printed = { ...BATTERY, ageYears: 0, reserveMinutes: 100 };
    expect(60 * hoursAt(printed, 25)).toBeCloseTo(100, 6);
    expect(hoursAt(printed, 3)).toBeCloseTo(20, 6);
  });

  it.each(BATTERY_TYPES)('gives a %s battery of 60 Ah a reserve that makers print', (type) => {
    const minutes = 60 * hoursAt({ ...BATTERY, type, ageYears: 0 }, 25);
    expect(peukertExponent(60, minutes)).toBeGreaterThan(PEUKERT_RANGE[0]);
    expect(peukertExponent(60, minutes)).toBeLessThan(PEUKERT_RANGE[1]);
  });

  it('says when a label can not be right', () => {
    expect(labelProblem({ ...BATTERY, reserveMinutes: 300 })).toMatch(/do not belong together/);
    expect(labelProblem({ ...BATTERY, reserveMinutes: 100 })).toBeUndefined();
  });
});

describe('crankChance', () => {
  // Common practice: 65 % of the power at 0 °C and 40 % at −18 °C, against 155 % and 210 % of the need.
  it('starts a new, full battery in the cold it is made for, and no half-charged old one', () => {
    const cold = { ...BATTERY, temperatureC: -18 };
    expect(crankChance({ ...cold, ageYears: 0 }, 1)).toBeGreaterThan(0.95);
    expect(crankChance({ ...cold, ageYears: 5 }, 0.5)).toBeLessThan(0.05);
    expect(crankChance({ ...BATTERY, temperatureC: 25, ageYears: 0 }, 0.5)).toBeGreaterThan(0.95);
  });

  it('grows with the charge, and falls with age and cold', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 0.9, noNaN: true }),
        fc.double({ min: -30, max: 30, noNaN: true }),
        (charge, temperatureC) => {
          const battery = { ...BATTERY, temperatureC };
          const chance = crankChance(battery, charge);
          expect(crankChance(battery, charge + 0.1)).toBeGreaterThanOrEqual(chance);
          expect(crankChance({ ...battery, ageYears: 6 }, charge)).toBeLessThanOrEqual(chance);
          expect(
            crankChance({ ...battery, temperatureC: temperatureC - 5 }, charge),
          ).toBeLessThanOrEqual(chance);
        },
      ),
    );
  });

  it('is a half at the charge for cranking', () => {
    expect(crankChance(BATTERY, chargeForCrank(BATTERY))).toBeCloseTo(0.5, 6);
  });
});

describe('parkedTime', () => {
  // Computed: charge between full and the cut-off, over the drain.
  it('runs down to the cut-off at the drain of device and car', () => {
    const battery = { ...BATTERY, ageYears: 0, temperatureC: 25 };
    const time = parkedTime(battery, { parasiticA: 0.05, standbyA: 0.45, cutOffV: 12.24 });
    expect(time.endedBy).toBe('cut-off');
    expect(time.chargeLeft).toBeCloseTo(0.5, 6);
    expect(time.deviceHours).toBeCloseTo((0.5 * 60) / 0.5, 6);
  });

  it('ends at the timer when that comes first', () => {
    const time = parkedTime(BATTERY, CAM);
    expect(time).toMatchObject({ endedBy: 'timer', deviceHours: 12 });
    expect(time.noStartHours).toBeGreaterThan(12);
  });

  it('warns of a cut-off that leaves little, and of a car that drains too much', () => {
    const { cautions } = parkedTime(BATTERY, { ...CAM, cutOffV: 11.8, parasiticA: 0.2 });
    expect(cautions.join(' ')).toMatch(/leaves 0 %.*200 mA/);
  });

  it.each([
    ['capacityAh', { ...BATTERY, capacityAh: 0 }, CAM],
    ['temperatureC', { ...BATTERY, temperatureC: 300 }, CAM],
    ['standbyA', BATTERY, { ...CAM, standbyA: -1 }],
    ['cutOffV', BATTERY, { ...CAM, cutOffV: 24 }],
  ])('refuses a slip in %s, naming it and its range', (field, battery, load) => {
    expect(() => parkedTime(battery, load)).toThrow(new RegExp(`${field}.*must lie between`));
  });
});

describe('simulateMonth', () => {
  it('keeps its charge without load', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 1, noNaN: true }), (stateOfCharge) => {
        const month = simulateMonth({
          ...PLAN,
          stateOfCharge,
          load: { parasiticA: 0, standbyA: 0 },
          driving: { ...COMMUTER, minutesPerDay: 0 },
        });
        expect(month.last).toBe(stateOfCharge);
      }),
      { numRuns: 20 },
    );
  });

  const plans = fc.record({
    battery: fc.record({
      type: fc.constantFrom(...BATTERY_TYPES),
      capacityAh: fc.double({ min: 35, max: 110, noNaN: true }),
      ageYears: fc.double({ min: 0, max: 9, noNaN: true }),
      temperatureC: fc.double({ min: -20, max: 35, noNaN: true }),
    }),
    load: fc.record({
      parasiticA: fc.double({ min: 0, max: 0.3, noNaN: true }),
      standbyA: fc.double({ min: 0, max: 8, noNaN: true }),
      cutOffV: fc.constantFrom(undefined, 11.8, 12.2, 12.4),
      timerHours: fc.constantFrom(undefined, 2, 12, 48),
    }),
    driving: fc.record({
      daysPerWeek: fc.integer({ min: 0, max: 7 }),
      minutesPerDay: fc.integer({ min: 0, max: 180 }),
      alternatorA: fc.double({ min: 5, max: 80, noNaN: true }),
    }),
    stateOfCharge: fc.double({ min: 0.3, max: 1, noNaN: true }),
  });

  it('conserves charge, and never leaves 0 to 1', () => {
    fc.assert(
      fc.property(plans, (plan) => {
        const month = simulateMonth(plan);
        const ah = availableAh(plan.battery);
        const expected = plan.stateOfCharge + (month.inAh - month.outAh) / ah;
        expect(month.last).toBeCloseTo(expected, 9);
        for (const charge of month.hourly) {
          expect(charge).toBeGreaterThanOrEqual(-1e-12);
          expect(charge).toBeLessThanOrEqual(1 + 1e-12);
        }
      }),
      { numRuns: 30 },
    );
  });

  it('goes flat in a car that stands, and comes back in one that is driven far', () => {
    const standing = simulateMonth({
      ...PLAN,
      load: { parasiticA: 0.05, standbyA: 0.4 },
      driving: { ...COMMUTER, daysPerWeek: 0 },
    });
    expect(standing.noStartDay).toBeGreaterThan(1);
    expect(standing.noStartDay).toBeLessThan(7);
    const driven = simulateMonth({ ...PLAN, driving: { ...COMMUTER, minutesPerDay: 120 } });
    expect(driven.noStartDay).toBeUndefined();
    const hops = simulateMonth({ ...PLAN, driving: { ...COMMUTER, minutesPerDay: 20 } });
    expect(driven.last).toBeGreaterThan(hops.last);
  });
});

describe('safeSettings', () => {
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

  it('names the assumptions that matter, weightiest first', () => {
    const weighed = weighAssumptions(PLAN);
    expect(weighed).toHaveLength(6);
    expect(weighed.find((one) => one.what === '15 K colder')?.worstCrank).toBeLessThan(
      simulateMonth(PLAN).worstCrank + 1e-9,
    );
  });
});
