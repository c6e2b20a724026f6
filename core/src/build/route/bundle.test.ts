import fc from 'fast-check';
import { bundleMm, grommetFor, inchBit, outerMm } from '../index';

// Closest packings of equal circles: outer diameter over that of one (Graham et al. 1998, from memory).
it.each([
  [1, 1],
  [2, 2],
  [3, 2.155],
  [4, 2.414],
  [5, 2.701],
  [6, 3],
  [7, 3],
  [8, 3.304],
  [12, 4.029],
])('%d leads take at least %s diameters, and not much more', (count, packed) => {
  const bundle = bundleMm(Array.from({ length: count }, () => 2));
  expect(bundle).toBeGreaterThanOrEqual(2 * packed - 1e-9);
  expect(bundle).toBeLessThanOrEqual(2 * packed * 1.13);
});

it('never shrinks with a lead more, and holds the copper of all', () => {
  const outers = fc.array(fc.double({ min: 1.4, max: 9, noNaN: true }), {
    minLength: 1,
    maxLength: 12,
  });
  fc.assert(
    fc.property(outers, fc.double({ min: 1.4, max: 9, noNaN: true }), (of, more) => {
      expect(bundleMm([...of, more])).toBeGreaterThanOrEqual(bundleMm(of));
      expect(bundleMm(of) ** 2).toBeGreaterThanOrEqual(
        of.reduce((sum, one) => sum + one * one, 0) - 1e-6,
      );
    }),
  );
  expect(bundleMm([])).toBe(0);
});

// ISO 6722-1, thin wall: 0.75 mm² up to 1.9 mm, 2.5 mm² up to 3.0 mm (from memory). 18 AWG is 0.82 mm²: as thick as 1 mm².
it.each([
  [0.75, 1.9],
  [0.823, 2.1],
  [2.5, 3],
])('%s mm² is %s mm thick', (area, outer) => {
  expect(outerMm(area)).toBe(outer);
});

it('is no conductor at all outside its range', () => {
  expect(() => outerMm(0)).toThrow(/conductor/);
  expect(outerMm(35)).toBeGreaterThan(outerMm(25));
});

it('takes the smallest grommet that the bundle goes through', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.5, max: 20, noNaN: true }), (bundle) => {
      const grommet = grommetFor(bundle);
      expect(grommet?.boreMm).toBeGreaterThanOrEqual(bundle);
      expect(grommet?.holeMm).toBeGreaterThan(grommet?.boreMm ?? 0);
    }),
  );
  expect(grommetFor(3.9)).toMatchObject({ boreMm: 4, holeMm: 6.5 });
  expect(grommetFor(21)).toBeUndefined();
});

// Inch bits in sixty-fourths, by division.
it.each([
  [6.35, '1/4 in'],
  [9.5, '3/8 in'],
  [12.7, '1/2 in'],
  [25.4, '1 in'],
  [30, '1 3/16 in'],
])('%s mm is the bit of %s', (mm, bit) => {
  expect(inchBit(mm)).toBe(bit);
});
