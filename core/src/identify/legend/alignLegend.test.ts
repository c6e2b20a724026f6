import fc from 'fast-check';
import type { RatingGrid } from './alignLegend';
import { alignLegend, laid } from './alignLegend';

const PRINTED: RatingGrid = [
  [10, 15, 20, null],
  [5, 30, 7.5, 15],
];

describe('alignLegend', () => {
  it.each([
    [0, false],
    [2, false],
    [0, true],
    [2, true],
  ] as const)('finds %d quarter turns, mirrored %p', (quarterTurns, mirrored) => {
    const seen = laid(PRINTED, { quarterTurns, mirrored });
    const found = alignLegend(PRINTED, seen);
    expect(found).toMatchObject({ kind: 'matched', best: { quarterTurns, mirrored } });
  });

  it('finds a legend that lies on its side', () => {
    const seen = laid(PRINTED, { quarterTurns: 1, mirrored: false });
    expect(alignLegend(PRINTED, seen)).toMatchObject({
      kind: 'matched',
      best: { quarterTurns: 1 },
    });
  });

  it('is content with part of a row, and forgives one swapped fuse', () => {
    const partial = [
      [10, 15, undefined, undefined],
      [5, 25, undefined, undefined],
    ];
    expect(alignLegend(PRINTED, partial)).toMatchObject({
      kind: 'matched',
      best: { quarterTurns: 0, mirrored: false },
    });
  });

  it('says when it is ambiguous, and which fuse would settle it', () => {
    // Upside down or as printed: the middle tells nothing, the corners do.
    const printed = [[10, 15, 15, 20]];
    const found = alignLegend(printed, [[undefined, 15, undefined, undefined]]);
    expect(found.kind).toBe('ambiguous');
    if (found.kind !== 'ambiguous') return;
    expect([0, 3]).toContain(found.readNext?.column);
    const settled = alignLegend(printed, [[20, 15, undefined, undefined]]);
    expect(settled).toMatchObject({
      kind: 'ambiguous',
      lies: [{ onPanel: [[20, 15, 15, 10]] }, {}, {}, {}],
    });
  });

  it('refuses another panel’s legend', () => {
    expect(
      alignLegend(PRINTED, [
        [40, 40, 40, 40],
        [40, 40, 40, 40],
      ]).kind,
    ).toBe('noMatch');
    expect(alignLegend(PRINTED, [[10, 15, 20]])).toEqual({
      kind: 'noMatch',
      reason: expect.stringMatching(
        /^A legend of .+ does not fit a panel of .+ either way\.$/,
      ) as unknown,
    });
  });

  it('refuses rows of different length', () => {
    expect(() => alignLegend([[10, 15], [20]], PRINTED)).toThrow(/rows of one length, got 2, 1/);
  });

  it('gives probabilities that sum to one, whatever is seen', () => {
    const cell = fc.constantFrom(5, 10, 15, 20, null, undefined);
    const grid = fc.array(fc.array(cell, { minLength: 4, maxLength: 4 }), {
      minLength: 2,
      maxLength: 2,
    });
    fc.assert(
      fc.property(grid, (seen) => {
        const found = alignLegend(PRINTED, seen);
        if (found.kind === 'noMatch') return;
        const lies = found.kind === 'matched' ? [found.best, ...found.others] : found.lies;
        expect(lies.reduce((sum, lie) => sum + lie.probability, 0)).toBeCloseTo(1, 9);
      }),
    );
  });
});
