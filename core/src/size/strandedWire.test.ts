import { AWG_SIZES, METRIC_SIZES_MM2, awgAreaMm2, feetToMetres } from '../units';
import { conductorOhm, strandedOhm, voltageDrop } from './index';

describe('the resistance of stranded wire', () => {
  // ISO 6722, largest mΩ/m at 20 °C, from memory.
  it.each([
    [0.35, 52.0],
    [0.5, 37.1],
    [0.75, 24.7],
    [1, 18.5],
    [1.5, 12.7],
    [2.5, 7.6],
    [4, 4.71],
    [6, 3.14],
    [10, 1.82],
    [16, 1.16],
  ])('of %d mm² is %d mΩ/m at most', (area, mOhm) => {
    expect(1000 * strandedOhm(area, 1)).toBeCloseTo(mOhm, 9);
  });

  // NFPA 70 (NEC) chapter 9 table 8, stranded, uncoated, Ω per 1000 ft at 75 °C, from memory, within 1 %.
  it.each([
    [18, 7.95],
    [16, 4.99],
    [14, 3.14],
    [12, 1.98],
    [10, 1.24],
    [8, 0.778],
  ])('of %d AWG is %d Ω per 1000 ft at 75 °C', (awg, ohm) => {
    const got = strandedOhm(awgAreaMm2(awg), feetToMetres(1000), 75);
    expect(Math.abs(got / ohm - 1)).toBeLessThan(0.01);
  });

  it('is above that of ideal copper, by no more than a ninth, and falls from size to size', () => {
    for (const sizes of [METRIC_SIZES_MM2, AWG_SIZES.map(awgAreaMm2)]) {
      const ordered = [...sizes].sort((left, right) => left - right);
      ordered.forEach((area, at) => {
        const multiple = strandedOhm(area, 1) / conductorOhm(area, 1);
        expect(multiple).toBeGreaterThan(1.02);
        expect(multiple).toBeLessThan(1.11);
        const thicker = ordered[at + 1];
        if (thicker !== undefined)
          expect(strandedOhm(thicker, 1)).toBeLessThan(strandedOhm(area, 1));
      });
    }
  });

  it('is what a drop counts with: 0.5 mm² loses 7.6 % more than ideal copper (computed)', () => {
    const basis = { oneWayM: 3, returnPath: 'body', systemV: 12, copperC: 20 } as const;
    const { dropV } = voltageDrop(2, 0.5, basis);
    expect(dropV).toBeCloseTo(2 * 3 * 0.0371, 9);
    // At 85 °C 16 % more than at 40 °C, computed.
    const at = (copperC: number): number => voltageDrop(2, 0.5, { ...basis, copperC }).dropV;
    expect(at(85) / at(40)).toBeCloseTo(1.164, 2);
  });
});
