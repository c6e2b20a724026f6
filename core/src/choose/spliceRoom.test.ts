import fc from 'fast-check';
import { carriedBy, gaugeOf, spliceRoom } from './spliceRoom';

// Common practice: a 0.5 mm² lead in a cabin is fused at 5 to 7.5 A, 1 mm² at 10 to 15 A, 2.5 mm² at 20 to 25 A.
it.each([
  [0.5, 5, 9],
  [1, 8, 15],
  [2.5, 15, 27],
])('reckons that a %d mm² wire carries between %d and %d A for good', (gaugeMm2, least, most) => {
  expect(carriedBy({ gaugeMm2 })).toBeGreaterThanOrEqual(least);
  expect(carriedBy({ gaugeMm2 })).toBeLessThanOrEqual(most);
});

it('takes a wire that nobody measured for the thinnest that supplies are laid in', () => {
  expect(gaugeOf({})).toBe(0.5);
  expect(spliceRoom({}, 0.5, {}).text).toMatch(/assumed/);
  expect(spliceRoom({ gaugeMm2: 1, gaugeMeasured: true }, 0.5, {}).text).not.toMatch(/assumed/);
});

describe('room in a car’s wire', () => {
  it('is there for a small load unseen, wants a clamp for more, and is refused beyond the wire', () => {
    expect(spliceRoom({}, 0.5, {}).verdict).toBe('ok');
    expect(spliceRoom({}, 4, {}).verdict).toBe('measure');
    expect(spliceRoom({}, 4, { measuredA: 0.5 }).verdict).toBe('ok');
    expect(spliceRoom({}, 4, { measuredA: 20 }).verdict).toBe('refused');
    expect(spliceRoom({}, 40, {}).verdict).toBe('refused');
    // A second tap counts.
    expect(spliceRoom({}, 0.5, { sharedA: 3 }).verdict).toBe('measure');
  });

  it('never grows with what is added, and never shrinks with the wire', () => {
    const RANK = { ok: 0, measure: 1, refused: 2 };
    const amps = fc.double({ min: 0.1, max: 30, noNaN: true });
    const gauge = fc.double({ min: 0.35, max: 6, noNaN: true });
    fc.assert(
      fc.property(
        amps,
        amps,
        gauge,
        fc.option(amps, { nil: undefined }),
        (one, more, mm2, measuredA) => {
          const at = (gaugeMm2: number, addedA: number) =>
            RANK[spliceRoom({ gaugeMm2 }, addedA, { measuredA }).verdict];
          expect(at(mm2, one + more)).toBeGreaterThanOrEqual(at(mm2, one));
          expect(at(mm2 + 1, one)).toBeLessThanOrEqual(at(mm2, one));
        },
      ),
    );
  });
});
