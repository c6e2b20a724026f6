import fc from 'fast-check';
import { leadLength, mountFit, taughtLengths } from '../index';

describe('a device in a panel', () => {
  const GIVEN = { bodyMm: 22, bodyDepthMm: 30, lipMm: 28, leadMm: 2.1, freeMm: 60 };

  it('takes the hole for its body, with the cutter in both systems', () => {
    // 22 mm and half a millimetre of play; 22.5 mm is 56.7 sixty-fourths: 57/64 in.
    expect(mountFit(GIVEN)).toMatchObject({ good: true, holeMm: 22.5, holeInch: '57/64 in' });
  });

  it('wants its own depth, the bend of its lead and air behind it', () => {
    // 30 + 4 × 2.1 + 5 mm.
    expect(mountFit(GIVEN).needMm).toBeCloseTo(43.4, 6);
    const tight = mountFit({ ...GIVEN, freeMm: 43 });
    expect(tight.good).toBe(false);
    expect(tight.says.join(' ')).toMatch(/missing behind it/);
  });

  it('wants a front that covers the hole', () => {
    const bare = mountFit({ ...GIVEN, lipMm: 24 });
    expect(bare.good).toBe(false);
    expect(bare.says[0]).toMatch(/an edge in sight/);
    expect(mountFit({ ...GIVEN, lipMm: 25.5 }).good).toBe(true);
  });

  it('refuses measures that can’t be', () => {
    expect(() => mountFit({ ...GIVEN, bodyMm: 0 })).toThrow(/bodyMm/);
    expect(() => mountFit({ ...GIVEN, freeMm: 9000 })).toThrow(/freeMm/);
  });
});

describe('a way by the tape', () => {
  const WAY = fc.array(
    fc.record({ id: fc.uuid(), lengthM: fc.double({ min: 0.2, max: 3, noNaN: true }) }),
    { minLength: 1, maxLength: 6 },
  );

  it('comes back from its passages as it was cut', () => {
    fc.assert(
      fc.property(WAY, fc.integer({ min: 15, max: 90 }), (passages, tenths) => {
        const taught = taughtLengths(passages, tenths / 10);
        const wayM = taught.reduce((sum, one) => sum + one.lengthM, 0);
        // Each passage to the centimetre, none below the shortest.
        const within = 0.1 + 0.06 * passages.length * 1.1;
        expect(Math.abs(leadLength(wayM).cutM - tenths / 10)).toBeLessThanOrEqual(within);
        expect(taught.map(({ id }) => id)).toEqual(passages.map(({ id }) => id));
      }),
    );
  });

  it('says nothing where the lead is no longer than its loops, or lies nowhere', () => {
    expect(taughtLengths([{ id: 'a', lengthM: 1 }], 0.3)).toEqual([]);
    expect(taughtLengths([], 2)).toEqual([]);
  });
});
