import fc from 'fast-check';
import { ampacityAtA } from '../size';
import { carriedBy, stoodBy } from './carriedBy';
import { INLINE_HOLDERS, inlineHolderFor } from './inlineHolders';

// Common practice: a blade holder on 1.5 or 2.5 mm² ends at 20 A, one on 4 mm² at 30 A; above that maxi fuses are used.
it.each([
  [5, 'standard', 20],
  [20, 'standard', 20],
  [25, 'standard', 30],
  [40, 'maxi', 60],
  [200, 'maxi', 60],
])('for a %d A fuse takes the %s holder up to %d A', (fuseA, family, maxA) => {
  expect(inlineHolderFor(fuseA)).toMatchObject({ family, maxA });
});

it('never takes a heavier holder than is needed, nor a lighter one while there is another', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.5, max: 60, noNaN: true }), (fuseA) => {
      const { maxA } = inlineHolderFor(fuseA);
      expect(maxA).toBeGreaterThanOrEqual(fuseA);
      expect(INLINE_HOLDERS.filter((one) => one.maxA >= fuseA && one.maxA < maxA)).toEqual([]);
    }),
  );
});

it('lets a car’s wire stand a fuse up to its ampacity, and carry three quarters of that for good', () => {
  const wire = { gaugeMm2: 4 };
  expect(stoodBy(wire)).toBeCloseTo(ampacityAtA(4, 80, { ambientC: 40 }), 6);
  expect(carriedBy(wire)).toBeCloseTo(0.75 * stoodBy(wire), 6);
});
