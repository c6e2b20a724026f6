import fc from 'fast-check';
import type { Battery, MonthPlan } from './index';
import {
  BATTERY_TYPES,
  PEUKERT_RANGE,
  agedAh,
  availableAh,
  chargeAtRest,
  chargeForCrank,
  crankChance,
  crankMargin,
  hoursAt,
  labelProblem,
  parkedAfter,
  parkedTime,
  peukertExponent,
  restVolts,
  simulateMonth,
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

  // SAE J537, from memory: a cold rating is measured at −18 °C, and a matched battery cranks there when full.
  it('cranks a full matched battery at −18 °C, and hardly an empty one at 25 °C', () => {
    for (const type of BATTERY_TYPES) {
      const fresh = { ...BATTERY, type, ageYears: 0 };
      expect(crankChance({ ...fresh, temperatureC: -18 }, 1)).toBeGreaterThanOrEqual(0.95);
      expect(crankChance({ ...fresh, temperatureC: 25 }, 0.125)).toBeLessThan(0.05);
    }
  });

  // Common practice: 65 % of the power against 155 % of the need at 0 °C, 40 % against 210 % at −18 °C.
  it('has its margin against the need by temperature', () => {
    const margin = (temperatureC: number): number =>
      crankMargin({ ...BATTERY, ageYears: 0, temperatureC }, 1);
    expect(margin(0) / margin(27)).toBeCloseTo(0.65 / 1.55, 9);
    expect(margin(-18) / margin(27)).toBeCloseTo(0.4 / 2.1, 9);
    expect(margin(27)).toBeCloseTo(8, 9);
    // Halfway between the rows, on straight lines.
    expect(margin(13.5) / margin(27)).toBeCloseTo(0.825 / 1.275, 9);
  });

  it('goes with its size against what the maker fits', () => {
    const small = { ...BATTERY, capacityAh: 45, engineAh: 60, temperatureC: -18, ageYears: 0 };
    expect(crankMargin(small, 1)).toBeCloseTo(0.75 * crankMargin({ ...small, engineAh: 45 }, 1), 9);
    expect(crankChance(small, 1)).toBeLessThan(0.8);
    expect(crankChance({ ...small, capacityAh: 74 }, 1)).toBeGreaterThan(0.99);
    expect(() => parkedTime({ ...small, engineAh: 2 }, CAM)).toThrow(/engineAh/);
  });

  it('never starts below the power that it needs, however full', () => {
    expect(chargeForCrank({ ...BATTERY, ageYears: 12, temperatureC: -30 })).toBeGreaterThan(1);
    expect(chargeForCrank(BATTERY, 0.95)).toBeGreaterThan(chargeForCrank(BATTERY));
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
    // 0.1 % a day of 60 Ah goes by itself, 2.5 mA.
    expect(time.deviceHours).toBeCloseTo((0.5 * 60) / 0.5025, 6);
  });

  // Check value, computed: 60 Ah, 35 mA, from full to 30 %, 0.1 % a day besides: about 45 days.
  it('takes about 45 days from full to 30 % at 35 mA', () => {
    const battery = { ...BATTERY, ageYears: 0, temperatureC: 25 };
    const load = { parasiticA: 0.035, standbyA: 0 };
    expect(parkedAfter(battery, load, 45).chargeLeft).toBeCloseTo(0.325, 3);
    expect(parkedAfter(battery, load, 46.67).chargeLeft).toBeCloseTo(0.3, 3);
    expect(parkedAfter(battery, { parasiticA: 0, standbyA: 0 }, 100).chargeLeft).toBeCloseTo(0.9);
  });

  it('says what is left after some days, device and car at first, then the car alone', () => {
    const battery = { ...BATTERY, ageYears: 0, temperatureC: 25 };
    const load = { parasiticA: 0.0475, standbyA: 0.25, timerHours: 24 };
    // Computed: with 2.5 mA by itself 0.3 A for a day and 0.05 A for four, of 60 Ah.
    const after = parkedAfter(battery, load, 5);
    expect(after.chargeLeft).toBeCloseTo(1 - (24 * 0.3 + 96 * 0.05) / 60, 9);
    expect(after.restV).toBeCloseTo(restVolts('flooded', after.chargeLeft), 9);
    expect(parkedAfter(battery, load, 0).chargeLeft).toBe(1);
    expect(parkedAfter(battery, load, 365)).toMatchObject({ chargeLeft: 0, crankChance: 0 });
    expect(() => parkedAfter(battery, load, -1)).toThrow(/parkedDays.*must lie between/);
  });

  it('agrees with itself: at the hour that it may not start, half of the cars start', () => {
    const time = parkedTime(BATTERY, CAM);
    const then = parkedAfter(BATTERY, CAM, time.noStartHours / 24);
    expect(then.crankChance).toBeCloseTo(0.5, 6);
  });

  it('ends at the timer when that comes first', () => {
    const time = parkedTime(BATTERY, CAM);
    expect(time).toMatchObject({ endedBy: 'timer', deviceHours: 12 });
    expect(time.noStartHours).toBeGreaterThan(12);
  });

  it('warns of a cut-off that leaves little, and of a car that drains too much', () => {
    const { cautions } = parkedTime(BATTERY, { ...CAM, cutOffV: 11.8, parasiticA: 0.2 });
    expect(cautions.join(' ')).toMatch(/leaves 0 %.*cranks in 0 % of cases.*200 mA/);
    const cold = { ...BATTERY, ageYears: 0, temperatureC: -18 };
    expect(parkedTime(cold, CAM).cautions).toEqual([
      expect.stringMatching(/At -18 °C a battery at the cut-off of 12.2 V cranks in 2 % of cases/),
    ]);
    expect(parkedTime({ ...cold, temperatureC: 25 }, CAM).cautions).toEqual([]);
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
  it('keeps its charge without load, but for what it loses by itself', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 1, noNaN: true }), (stateOfCharge) => {
        const month = simulateMonth({
          ...PLAN,
          stateOfCharge,
          load: { parasiticA: 0, standbyA: 0 },
          driving: { ...COMMUTER, minutesPerDay: 0 },
        });
        // 0.1 % of the aged capacity a day at 25 °C, of what is left of it at 10 °C half as often twice (2^-1.5).
        const lost = (30 * 0.001 * 2 ** -1.5 * agedAh(BATTERY)) / availableAh(BATTERY);
        expect(month.last).toBeCloseTo(stateOfCharge - lost, 9);
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
        expect(Math.min(...month.hourly)).toBeGreaterThanOrEqual(-1e-12);
        expect(Math.max(...month.hourly)).toBeLessThanOrEqual(1 + 1e-12);
      }),
      { numRuns: 30 },
    );
  });

  it.each([1, 10, 13, 45, 90])('drives %d minutes a day to the minute', (minutesPerDay) => {
    const load = { parasiticA: 0.01, standbyA: 0 };
    const month = simulateMonth({ ...PLAN, load, driving: { ...COMMUTER, minutesPerDay } });
    // Five days of each week: 22 of the 30.
    expect(month.drivenMinutes).toBeCloseTo(22 * minutesPerDay, 6);
  });

  it('puts in for 10 minutes a day half of what 20 put in', () => {
    const driving = { ...COMMUTER, alternatorA: 5 };
    const load = { parasiticA: 0.05, standbyA: 0 };
    const put = (minutesPerDay: number): number =>
      simulateMonth({ ...PLAN, load, driving: { ...driving, minutesPerDay } }).inAh;
    expect(put(20) / put(10)).toBeGreaterThan(1.8);
    expect(put(20) / put(10)).toBeLessThan(2.2);
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
