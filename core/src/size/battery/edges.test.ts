import { agedAh, along, labelProblem, peukertOf } from './battery';
import type { MonthPlan } from './month';
import { simulateMonth } from './month';

describe('a table', () => {
  it('is followed in straight lines, held at both ends, and none where it is empty', () => {
    const table = [
      [0, 10],
      [10, 20],
      [20, 0],
    ] as const;
    expect([-5, 0, 5, 10, 15, 20, 99].map((x) => along(table, x))).toEqual([
      ...[10, 10, 15, 20, 10, 0, 0],
    ]);
    expect(along([[3, 7]], 1)).toBe(7);
    expect(along([], 1)).toBeNaN();
  });
});

describe('what is printed on a battery', () => {
  const battery = { type: 'flooded', capacityAh: 60, ageYears: 0, temperatureC: 25 } as const;

  it('agrees where reserve and ampere-hours belong together, or one of them is not there', () => {
    expect(labelProblem(battery)).toBeUndefined();
    expect(peukertOf(battery)).toBe(1.18);
    expect(labelProblem({ ...battery, reserveMinutes: 100 })).toBeUndefined();
    expect(labelProblem({ ...battery, reserveMinutes: 300 })).toMatch(
      /^60 Ah and 300 min reserve do not belong together \(exponent 0\.\d\d, real ones lie between 1\.05 and 1\.35\): read the label again\.$/,
    );
    expect(labelProblem({ ...battery, reserveMinutes: 40 })).toMatch(/exponent 1\.[4-9]/);
  });

  it('is less with age, by kind', () => {
    expect(agedAh({ ...battery, ageYears: 2 })).toBeCloseTo(60 * 0.93 ** 2, 9);
    expect(agedAh({ ...battery, type: 'gelMat', ageYears: 2 })).toBeCloseTo(60 * 0.95 ** 2, 9);
  });
});

describe('a month', () => {
  const plan = (more: Partial<MonthPlan['driving']>, charge = 0.9, load = {}): MonthPlan => ({
    battery: { type: 'flooded', capacityAh: 60, ageYears: 1, temperatureC: 25 },
    load: { parasiticA: 0.03, standbyA: 0, ...load },
    driving: { daysPerWeek: 5, minutesPerDay: 40, alternatorA: 30, ...more },
    stateOfCharge: charge,
  });

  it('drives exactly as long as is asked for, on the days asked for', () => {
    // Thirty days are four weeks and two days of the next.
    expect(simulateMonth(plan({})).drivenMinutes).toBeCloseTo((4 * 5 + 2) * 40, 6);
    expect(simulateMonth(plan({ daysPerWeek: 1, minutesPerDay: 13 })).drivenMinutes).toBeCloseTo(
      5 * 13,
      6,
    );
    expect(simulateMonth(plan({ daysPerWeek: 0 })).drivenMinutes).toBe(0);
    expect(simulateMonth(plan({ minutesPerDay: 0 })).drivenMinutes).toBe(0);
  });

  it('leaves a car that does not start where it is, and says from which day on', () => {
    const dead = simulateMonth(plan({}, 0.02));
    expect(dead).toMatchObject({ noStartDay: 0, drivenMinutes: 0, inAh: 0 });
    const fading = simulateMonth(plan({ daysPerWeek: 0 }, 0.9, { standbyA: 0.4 }));
    expect(fading.noStartDay).toBeGreaterThan(0);
    expect(fading.inAh).toBe(0);
    expect(simulateMonth(plan({})).noStartDay).toBeUndefined();
  });

  it('runs the device as long as its timer and its own limit let it', () => {
    const hours = (load: object): number =>
      simulateMonth(plan({ daysPerWeek: 0 }, 1, load)).deviceHours;
    expect(hours({})).toBe(0);
    expect(hours({ standbyA: 0.2, timerHours: 12 })).toBeCloseTo(12, 6);
    expect(hours({ standbyA: 0.2, timerHours: 12, cutOffV: 11 })).toBeCloseTo(12, 6);
    const cut = hours({ standbyA: 0.2, cutOffV: 12.4 });
    expect(cut).toBeGreaterThan(12);
    expect(cut).toBeLessThan(hours({ standbyA: 0.2, cutOffV: 12 }));
    // Driving sets the timer anew.
    const driven = simulateMonth(plan({}, 1, { standbyA: 0.2, timerHours: 2 })).deviceHours;
    expect(driven).toBeGreaterThan(22 * 2);
  });
});
