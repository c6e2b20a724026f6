import fc from 'fast-check';
import { NORMAL_DRAIN_A, parkedDrain } from './index';

const AMPS = fc.integer({ min: 0, max: 2000 }).map((milli) => milli / 1000);

describe('what a parked car draws', () => {
  it('is fine within the device’s label on a car that sleeps (up to 50 mA is normal, common practice)', () => {
    expect(NORMAL_DRAIN_A).toBe(0.05);
    expect(parkedDrain({ beforeA: 0.03, afterA: 0.04, standbyA: 0.008 }).good).toBe(true);
    expect(parkedDrain({ beforeA: 0.03, afterA: 0.35, standbyA: 0.3 }).good).toBe(true);
    const much = parkedDrain({ beforeA: 0.03, afterA: 0.3, standbyA: 0.1 });
    expect(much.good).toBe(false);
    expect(much.text).toMatch(/270 mA added; it may be 135 mA.*keeps the car awake/);
  });

  it('says of a car that draws too much by itself that it is not asleep, or has a drain of its own', () => {
    const awake = parkedDrain({ beforeA: 0.4, afterA: 0.41, standbyA: 0.01 });
    expect(awake.good).toBe(true);
    expect(awake.text).toMatch(/not asleep yet \(wait 30 min/);
    // What was added is beyond its label all the same.
    expect(parkedDrain({ beforeA: 0.4, afterA: 0.6, standbyA: 0.01 }).good).toBe(false);
  });

  it('never gets better by drawing more, nor worse by a larger label', () => {
    fc.assert(
      fc.property(AMPS, AMPS, AMPS, AMPS, (beforeA, afterA, standbyA, more) => {
        const good = (after: number, standby: number): boolean =>
          parkedDrain({ beforeA, afterA: after, standbyA: standby }).good;
        if (!good(afterA, standbyA)) expect(good(afterA + more, standbyA)).toBe(false);
        if (good(afterA, standbyA)) expect(good(afterA, standbyA + more)).toBe(true);
      }),
    );
  });
});

// Modules fall asleep within 10 to 45 minutes. Common practice.
it.each([
  [undefined, true, /within \d+ mA\.$/],
  [45, true, /Asleep after 45 min/],
  [46, false, /keeps it awake/],
])('asleep after %s min is good: %s', (asleepAfterMin, good, text) => {
  const verdict = parkedDrain({ beforeA: 0.03, afterA: 0.035, standbyA: 0.008, asleepAfterMin });
  expect(verdict).toMatchObject({ good, text: expect.stringMatching(text) });
});
