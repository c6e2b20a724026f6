import type { Slot } from '../vehicle';
import { chooseGround, holderFor, holderLimitA } from './index';

describe('a ground', () => {
  const GIVEN = { currentA: 2, school: 'stud' } as const;

  it('goes to bare metal where there is neither stud nor harness, never under what holds people', () => {
    const bare = chooseGround(GIVEN);
    expect(bare).toMatchObject({
      place: 'chassis',
      because: 'Bare metal of the body.',
      ring: 'M6 (1/4 in)',
    });
    expect(bare.steps[0]).toMatch(/^Never under a bolt of a seat, a belt, an airbag/);
    // 0.1 V at 2 A.
    expect([bare.limitV, bare.limitOhm]).toEqual([0.1, 0.05]);
  });

  it('goes to the car’s stud with its ring, or says why that is not to be used', () => {
    expect(chooseGround({ ...GIVEN, studMm: 8 })).toMatchObject({
      place: 'stud',
      ring: 'M8 (5/16 in)',
    });
    const critical = chooseGround({ ...GIVEN, studMm: 8, studIsCritical: true });
    expect(critical).toMatchObject({
      place: 'chassis',
      because: expect.stringMatching(/^The stud carries airbag.*bare metal of the body\.$/),
    });
    const thin = chooseGround({ ...GIVEN, currentA: 4, harness: true });
    expect(thin.because).toBe(
      'the ground wire is too thin for 4 A beside its own load: bare metal of the body.',
    );
  });

  it('takes the harness up to 3 A for each of its square millimetres (common practice), first where the shop does', () => {
    const place = (more: Partial<Parameters<typeof chooseGround>[0]>) =>
      chooseGround({ ...GIVEN, harness: true, ...more }).place;
    expect(place({ harnessMm2: 1, currentA: 3 })).toBe('harness');
    expect(place({ harnessMm2: 1, currentA: 3.1 })).toBe('chassis');
    expect(place({ studMm: 6 })).toBe('stud');
    expect(place({ studMm: 6, school: 'harness' })).toBe('harness');
    expect(place({ harness: false, harnessMm2: 1 })).toBe('chassis');
  });

  it('says what an empty cavity of the adapter does, wherever the ground goes, and only then', () => {
    for (const more of [
      {},
      { studMm: 6 },
      { harness: true, harnessMm2: 2, school: 'harness' as const },
    ]) {
      expect(chooseGround({ ...GIVEN, ...more, adapterGround: false }).steps[0]).toMatch(
        /ground cavity is empty/,
      );
      for (const adapterGround of [true, undefined])
        expect(chooseGround({ ...GIVEN, ...more, adapterGround }).steps.join()).not.toMatch(
          /cavity/,
        );
    }
  });
});

describe('a holder', () => {
  const slot = (more: Partial<Slot> = {}) =>
    ({ family: 'mini', clearance: 'clear', ratingA: 10, ...more }) as Pick<
      Slot,
      'family' | 'clearance' | 'ratingA'
    >;
  const why = (given: Parameters<typeof holderFor>[0]): string => {
    const fit = holderFor(given);
    return fit.fits ? 'fits' : `${fit.note} ${fit.wayOut}`;
  };

  it('is none without a fuse, without room, beside neighbours, for too much, or with none at hand: each in its words', () => {
    expect(why({ slot: slot({ ratingA: undefined }) })).toMatch(
      /^No fuse fitted here\. A spare position/,
    );
    expect(why({ slot: slot({ clearance: 'none' }) })).toMatch(
      /^No room above the slot: .* Take a slot at the edge/,
    );
    expect(why({ slot: slot({ clearance: 'none' }), clearanceMm: 2 })).toMatch(
      /^2 mm above the slot; the lowest tap needs \d+ mm\./,
    );
    expect(why({ slot: slot(), clearanceMm: 2 })).toMatch(/^2 mm above the slot/);
    expect(why({ slot: slot(), besideMm: 1 })).toMatch(
      /^Neighbours 1 mm away; the narrowest tap needs [\d.]+ mm\. Take a slot with an empty/,
    );
    expect(why({ slot: slot(), addedA: 40 })).toMatch(
      /^The taps that fit carry \d+ A; 40 A are wanted\. Use a slot of a larger/,
    );
    expect(why({ slot: slot(), stock: [] })).toMatch(/^None at hand of: .+\. Get a .+\.$/);
    expect(why({ slot: slot({ family: 'maxi' }) })).toMatch(
      /^No fuse tap is made for maxi blade fuses\. Take a slot of a larger/,
    );
    expect(why({ slot: slot(), clearanceMm: 200 })).toBe('fits');
  });

  it('takes the slot’s own fuse where the cover closes over it, and says what is left above', () => {
    const fit = holderFor({ slot: slot(), clearanceMm: 60 });
    expect(fit).toMatchObject({
      fits: true,
      substitute: undefined,
      note: expect.stringMatching(/the cover closes/),
    });
    if (fit.fits)
      expect([fit.holder.takes, fit.spareMm]).toEqual(['mini', 60 - fit.holder.heightMm]);
    const tight = holderFor({ slot: slot({ clearance: 'tight' }) });
    expect(tight).toMatchObject({
      fits: true,
      note: expect.stringMatching(/tight under the cover/),
    });
    expect(tight.fits && tight.substitute).toMatch(/same 10 A, never a larger one/);
  });
});

describe('the room that a tap wants', () => {
  const slot = { family: 'mini', clearance: 'clear', ratingA: 10 } as const;
  const fits = (clearanceMm: number, stock: readonly string[]): boolean =>
    holderFor({ slot, clearanceMm, stock }).fits;

  it('is its own height, and no more', () => {
    expect([fits(30, ['mini']), fits(29.9, ['mini'])]).toEqual([true, false]);
    expect([fits(22, ['miniLow']), fits(21.9, ['miniLow'])]).toEqual([true, false]);
  });

  it('goes with what is at hand when it is asked how much the added side carries', () => {
    const micro = { family: 'micro2', clearance: 'clear', ratingA: 10 } as const;
    expect(holderLimitA({ slot: micro })).toBe(10);
    expect(holderLimitA({ slot: micro, stock: ['micro2Slim'] })).toBe(7.5);
    expect(holderLimitA({ slot: micro, stock: ['micro2', 'micro2Slim'] })).toBe(10);
    expect(holderLimitA({ slot: micro, stock: ['standard'] })).toBeUndefined();
    expect(holderLimitA({ slot: micro, stock: [] })).toBeUndefined();
    expect(holderLimitA({ slot: micro, clearanceMm: 24 })).toBe(7.5);
  });
});
