import fc from 'fast-check';
import { GROUND_LIMIT_V } from './ground';
import { groundUnderLoad } from './groundUnderLoad';

describe('a ground under load', () => {
  // Ohm's law, worked by hand; the limit of 0.1 V is common practice.
  it.each([
    [0.02, 5, 10, true, 0.004, 0.04],
    [0.02, 1, 10, false, 0.02, 0.2],
    [0.1, 10, 10, true, 0.01, 0.1],
    [-0.05, 5, 5, true, 0.01, 0.05],
    [0, 5, 20, true, 0, 0],
  ])('%d V at %d A for %d A', (dropV, atA, currentA, good, ohm, atLoadV) => {
    const verdict = groundUnderLoad({ dropV, atA }, currentA);
    expect(verdict.good).toBe(good);
    expect(verdict.ohm).toBeCloseTo(ohm, 9);
    expect(verdict.atLoadV).toBeCloseTo(atLoadV, 9);
  });

  it('shows the sum in thousandths, and what to do', () => {
    expect(groundUnderLoad({ dropV: 0.02, atA: 5 }, 10).text).toBe(
      '20 mV at 5 A is 4 mΩ: 40 mV at 10 A, within 100 mV.',
    );
    expect(groundUnderLoad({ dropV: 0.02, atA: 1 }, 10).text).toBe(
      '20 mV at 1 A is 20 mΩ: 200 mV at 10 A, more than 100 mV. Bare metal, a toothed washer, tight; then read again.',
    );
  });

  it('says so when too little flowed to trust the meter', () => {
    expect(groundUnderLoad({ dropV: 0.001, atA: 0.2 }, 10).text).toMatch(/load itself on/);
    expect(groundUnderLoad({ dropV: 0.001, atA: 0.2 }, 0.2).text).not.toMatch(/load itself on/);
  });

  it('never gets better with a larger load', () => {
    const amps = fc.double({ min: 0.1, max: 100, noNaN: true });
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 2, noNaN: true }),
        amps,
        amps,
        amps,
        (dropV, atA, one, more) => {
          const less = groundUnderLoad({ dropV, atA }, one);
          const all = groundUnderLoad({ dropV, atA }, one + more);
          expect(all.good && !less.good).toBe(false);
          expect(less.good).toBe(less.atLoadV <= GROUND_LIMIT_V);
        },
      ),
    );
  });
});
