import type { FeedLoad } from './index';
import {
  ampacityA,
  ampacityAtA,
  chooseFuse,
  conductorSizeOf,
  coordinationCurves,
  largestLoadA,
  longestRunM,
  voltageDrop,
} from './index';
import { adiabaticLimitA2s, ambientOf, copperGramsPerM } from './conductor';
import { currentsBetween } from './coordination';

const LOAD: FeedLoad = {
  currentA: 3,
  oneWayM: 4,
  returnPath: 'body',
  systemV: 12,
  dropLimitPercent: 3,
  insulation: 105,
  slot: { family: 'mini', ratingA: 15 },
};
const dropOf = (currentA: number, wire: string, oneWayM: number): number =>
  voltageDrop(currentA, conductorSizeOf(wire).areaMm2, {
    ...{ oneWayM, returnPath: 'body', systemV: 12, copperC: 40 },
  }).dropV;

describe('the longest run', () => {
  it('ends where load and spare together lose the drop allowed, and says so', () => {
    const limit = longestRunM({ ...LOAD, spareA: 2 }, '1 mm²');
    expect(limit).toMatchObject({ ok: true, because: 'there the drop reaches 3 % of 12.0 V' });
    // 3 % of 12 V, at 5 A.
    if (limit.ok) expect(dropOf(5, '1 mm²', limit.value) / 0.36).toBeCloseTo(1, 1);
    const alone = longestRunM(LOAD, '1 mm²');
    expect(limit.ok && alone.ok && alone.value / limit.value).toBeCloseTo(5 / 3, 6);
  });

  it('ends sooner by what the ground joint loses, and not at all where that is everything', () => {
    const [good, bad, worst] = [0, 0.06, 0.12].map((groundOhm) =>
      longestRunM({ ...LOAD, groundOhm }, '1 mm²'),
    );
    // Half of 0.36 V is lost in 0.06 Ω at 3 A, all of it in 0.12 Ω.
    expect(good?.ok === true && bad?.ok === true && good.value / bad.value).toBeCloseTo(2, 6);
    expect(worst).toMatchObject({ ok: false, relax: expect.stringMatching(/Clean the ground/) });
  });

  it('ends where a dead short no longer opens the fuse, if that comes first', () => {
    const limit = longestRunM({ ...LOAD, currentA: 0.2, dropLimitPercent: 10 }, '0.5 mm²');
    expect(limit).toMatchObject({
      ok: true,
      because: expect.stringMatching(/2 A fuse within 5 s/),
    });
  });

  it('is none on a wire that carries less than the fuse', () => {
    expect(longestRunM({ ...LOAD, currentA: 7, insulation: 60 }, '0.35 mm²')).toMatchObject({
      ok: false,
      failed: {
        constraint: 'ampacity',
        text: expect.stringMatching(/^0\.35 mm² carries .* 10 A fuse\.$/),
      },
    });
  });
});

describe('the largest load', () => {
  it('of a short run is three quarters of the largest fuse that the holder takes', () => {
    expect(largestLoadA({ ...LOAD, oneWayM: 1 }, '14 AWG')).toEqual({
      ok: true,
      value: 7.5,
      because: '75 % of a 10 A fuse, the largest that wire, holder and slot allow',
    });
    // The slot's own rating, and a holder that takes less.
    const most = (slot: FeedLoad['slot']) => {
      const limit = largestLoadA({ ...LOAD, oneWayM: 1, slot }, '14 AWG');
      return limit.ok ? limit.value : limit.failed;
    };
    expect(most({ family: 'mini', ratingA: 5 })).toBe(3.75);
    expect(most({ family: 'mini', ratingA: 15, holderA: 4 })).toBe(3);
  });

  it('of a long run loses just the drop allowed, the spare included', () => {
    const limit = largestLoadA({ ...LOAD, oneWayM: 12, spareA: 0.5 }, '16 AWG');
    expect(limit).toMatchObject({ ok: true, because: 'there the drop reaches 3 % of 12.0 V' });
    if (limit.ok) expect(dropOf(limit.value + 0.5, '16 AWG', 12) / 0.36).toBeCloseTo(1, 1);
    const whole = largestLoadA({ ...LOAD, oneWayM: 12 }, '16 AWG');
    expect(limit.ok && whole.ok && whole.value - limit.value).toBeCloseTo(0.5, 6);
  });

  it.each([
    [
      'no tap is made for the family',
      { slot: { family: 'maxi', ratingA: 30 } },
      '16 AWG',
      'family',
      /^No fuse tap is made for maxi blade fuses\.$/,
    ],
    [
      'no fuse is small enough',
      { oneWayM: 29, returnPath: 'lead', slot: { family: 'micro2', ratingA: 10 }, insulation: 60 },
      '0.35 mm²',
      'fuse range',
      /^No micro two-blade fuse is small enough for 0\.35 mm², 10 A of holder and 10 A of slot/,
    ],
    [
      'the spare takes the whole drop',
      { oneWayM: 20, spareA: 6 },
      '16 AWG',
      'voltage drop',
      /^The spare capacity alone/,
    ],
  ] as const)('is none where %s', (_, more, wire, limit, text) => {
    expect(largestLoadA({ ...LOAD, ...more } as FeedLoad, wire)).toMatchObject({
      ok: false,
      failed: { constraint: limit, text: expect.stringMatching(text) },
    });
  });
});

describe('a fuse that is none', () => {
  it.each([
    [
      { currentA: 9 },
      'holder',
      'The added side of a mini blade fuse tap carries 10 A; the load needs a 15 A fuse.',
    ],
    [
      { currentA: 9, slot: { at: 'wire', family: 'mini', ratingA: 20, holderA: 10 } },
      'holder',
      'An in-line holder carries 10 A; the load needs a 15 A fuse.',
    ],
    [
      { slot: { family: 'micro3', ratingA: 10 } },
      'family',
      'No fuse tap is made for micro three-blade fuses.',
    ],
    [
      { currentA: 6, slot: { family: 'mini', ratingA: 5 } },
      'slot',
      'The slot is rated 5 A; the added circuit would need 10 A.',
    ],
    [
      { currentA: 6, slot: { at: 'wire', family: 'mini', ratingA: 5 } },
      'slot',
      'The car’s wire stands a fuse of 5 A at most; the added circuit would need 10 A.',
    ],
    [
      { currentA: 25, slot: { family: 'mini', ratingA: 30, holderA: 30 } },
      'fuse range',
      '25 A needs a fuse of 33.33 A; mini blade fuses end at 30 A.',
    ],
    [
      { stock: { fusesA: [15], conductors: [] } },
      'stock',
      'No 4 A, 5 A, 7.5 A, 10 A mini blade fuse at hand.',
    ],
  ])('says which limit and its numbers: %o', (more, limit, text) => {
    expect(chooseFuse({ ...LOAD, ...more } as FeedLoad)).toMatchObject({
      ok: false,
      failed: { constraint: limit, text },
    });
  });

  it('names the inrush that opens the largest one allowed', () => {
    const choice = chooseFuse({ ...LOAD, inrush: { peakA: 200, peakS: 0.5 } });
    expect(choice).toMatchObject({
      ok: false,
      failed: {
        constraint: 'inrush',
        text: expect.stringMatching(/^200 A for 0\.5 s may open a 10 A fuse in .* s; no larger/),
      },
      relax: expect.stringMatching(/larger fuse/),
    });
    expect(chooseFuse({ ...LOAD, inrush: undefined })).toMatchObject({ ok: true, fuseA: 4 });
  });
});

describe('currents from one to another', () => {
  it('are none upside down or between equals, and hold both ends', () => {
    expect(currentsBetween(10, 5)).toEqual([]);
    expect(currentsBetween(5, 5)).toEqual([]);
    expect(currentsBetween(Number.NaN, 5)).toEqual([]);
    const between = currentsBetween(2, 20);
    expect(between[0]).toBe(2);
    expect(between.at(-1)).toBeCloseTo(20, 9);
    const steps = between.slice(1).map((one, at) => one / (between[at] ?? 1));
    for (const step of steps) expect(step).toBeCloseTo(steps[0] ?? 0, 9);
  });
});

describe('the curves of a lead', () => {
  const curves = coordinationCurves({
    ...{ fuseA: 10, areaMm2: 1, insulation: 105, around: {}, copperM: 4 },
    ...{ sourceOhm: 0.026, systemV: 12 },
  });

  it('begin at half the fuse, end beyond the fault, and are clipped to what is drawn', () => {
    expect(curves.currents[0]).toBe(5);
    expect(curves.currents[1]).toBeGreaterThanOrEqual(200);
    expect(curves.currents[1]).toBeGreaterThanOrEqual(1.3 * curves.coordination.faultA);
    for (const curve of [curves.fastest, curves.slowest, curves.conductor]) {
      expect(curve.length).toBeGreaterThan(5);
      for (const { seconds } of curve) {
        expect(seconds).toBeGreaterThanOrEqual(curves.times[0]);
        expect(seconds).toBeLessThanOrEqual(curves.times[1]);
      }
    }
  });

  it('run downhill, the fastest fuse below the slowest one', () => {
    for (const curve of [curves.fastest, curves.slowest, curves.conductor])
      curve
        .slice(1)
        .forEach(({ seconds }, at) => expect(seconds).toBeLessThanOrEqual(curve[at]?.seconds ?? 0));
    const slowest = new Map(curves.slowest.map((one) => [one.currentA, one.seconds]));
    const both = curves.fastest.filter(({ currentA }) => slowest.has(currentA));
    expect(both.length).toBeGreaterThan(5);
    for (const { currentA, seconds } of both)
      expect(seconds).toBeLessThan(slowest.get(currentA) ?? 0);
  });
});

describe('a conductor', () => {
  // 33 CFR 183.425, from memory: 0.7 to six, 0.6 to twenty-four, half beyond; 50 °C in an engine space.
  it.each([
    [3, 1],
    [6, 0.7],
    [24, 0.6],
    [25, 0.5],
  ])('of a bundle of %d keeps %d of its ampacity', (bundle, share) => {
    expect(ampacityA(14, 105, bundle) / ampacityA(14, 105)).toBeCloseTo(share, 9);
    expect(ampacityAtA(2.5, 105, { bundle }) / ampacityAtA(2.5, 105)).toBeCloseTo(share, 9);
  });

  it('lies in 50 °C at least in an engine space, in 30 °C where nothing is said', () => {
    expect(
      [{}, { engineSpace: true }, { engineSpace: false, ambientC: 20 }].map(ambientOf),
    ).toEqual([30, 50, 20]);
    expect(ambientOf({ engineSpace: true, ambientC: 20 })).toBe(50);
    expect(ambientOf({ engineSpace: true, ambientC: 85 })).toBe(85);
  });

  it('has the table’s ampacity at the table’s own sizes, and none at a size that is not there', () => {
    expect(() => ampacityA(13.5, 105)).toThrow(/No ampacity for 13.5 AWG/);
    for (const [wire, awg] of [
      ['18 AWG', 18],
      ['14 AWG', 14],
    ] as const)
      expect(ampacityAtA(conductorSizeOf(wire).areaMm2, 80)).toBeCloseTo(ampacityA(awg, 80), 9);
  });

  // Density of copper 8.96 g/cm³; k = 115 for copper in PVC (IEC 60364-5-54): 115² A²s for 1 mm².
  it('of 1 mm² has 8.96 g of copper in a metre, of 2.5 mm² 22.4 g', () => {
    expect(copperGramsPerM(1)).toBeCloseTo(8.96, 9);
    expect(copperGramsPerM(2.5)).toBeCloseTo(22.4, 9);
    expect(adiabaticLimitA2s(2)).toBe(52_900);
  });
});
