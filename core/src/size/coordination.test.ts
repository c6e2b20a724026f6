import fc from 'fast-check';
import type { FeedLoad, ProtectedLead } from './index';
import {
  INSULATIONS_C,
  ambientShare,
  ampacityA,
  ampacityAtA,
  conductorSizeOf,
  coordinate,
  largestLoadA,
  longestRunM,
  openingTimes,
  ridesThrough,
  sizeFeed,
  withstandS,
} from './index';
import { awgAreaMm2, feetToMetres } from '../units';

const LEAD: ProtectedLead = {
  fuseA: 10,
  areaMm2: 1,
  insulation: 105,
  around: {},
  copperM: 4,
  sourceOhm: 0.026,
  systemV: 12,
};
const LOAD: FeedLoad = {
  currentA: 3,
  oneWayM: 4,
  returnPath: 'body',
  systemV: 12,
  dropLimitPercent: 3,
  insulation: 105,
  slot: { family: 'mini', ratingA: 15 },
};

describe('ampacity where a conductor lies', () => {
  // Engine-space factors of 33 CFR 183.425 (50 °C), from memory: 0.58, 0.78, 0.85, 0.89.
  it.each([
    [60, 0.58],
    [80, 0.78],
    [105, 0.85],
    [125, 0.89],
  ] as const)('%d °C insulation keeps a share of %d in an engine space', (insulation, share) => {
    expect(Math.abs(ambientShare(insulation, 50) - share)).toBeLessThan(0.01);
  });

  it('agrees with the table at its sizes and grows with the area', () => {
    for (const insulation of INSULATIONS_C)
      for (const awg of [18, 14, 10])
        expect(ampacityAtA(awgAreaMm2(awg), insulation)).toBeCloseTo(ampacityA(awg, insulation), 9);
    expect(ampacityAtA(1, 105)).toBeGreaterThan(ampacityAtA(0.75, 105));
  });

  it('is nothing where the air is as hot as the insulation stands', () => {
    expect(ampacityAtA(2.5, 60, { ambientC: 60 })).toBe(0);
  });
});

describe('opening times', () => {
  // ISO 8820-3, from memory; rows of the band.
  it.each([
    [1.35, 0.75, 600],
    [2, 0.15, 5],
    [3.5, 0.08, 0.5],
  ])('at %d times the rating lie between %d and %d s', (times, fastest, slowest) => {
    expect(openingTimes(10 * times, 10).fastestS).toBeCloseTo(fastest, 6);
    expect(openingTimes(10 * times, 10).slowestS).toBeCloseTo(slowest, 6);
  });

  it('never grow with the current, and are at most 0.1 s at six times the rating', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 40, noNaN: true }),
        fc.double({ min: 1, max: 2, noNaN: true }),
        (times, more) => {
          const [less, greater] = [
            openingTimes(10 * times, 10),
            openingTimes(10 * times * more, 10),
          ];
          expect(greater.slowestS).toBeLessThanOrEqual(less.slowestS);
          expect(greater.fastestS).toBeLessThanOrEqual(less.fastestS);
          expect(less.fastestS).toBeLessThanOrEqual(less.slowestS);
        },
      ),
    );
    expect(openingTimes(60, 10).slowestS).toBeCloseTo(0.1, 9);
  });

  it('lets a short inrush pass and a long one not', () => {
    expect(ridesThrough({ peakA: 30, peakS: 0.02 }, 10)).toBe(true);
    expect(ridesThrough({ peakA: 30, peakS: 1 }, 10)).toBe(false);
  });
});

describe('coordination', () => {
  // IEC 60364-5-54: at high currents the withstand is k²A²/I², k = 115.
  it('ends in the adiabatic limit at high currents', () => {
    expect(withstandS(LEAD, 2000) * 2000 ** 2).toBeCloseTo(13225, -2);
  });

  it('clears a short on a lead with a fitting fuse, and refuses a thick fuse on a thin wire', () => {
    expect(coordinate(LEAD).ok).toBe(true);
    const thin = coordinate({ ...LEAD, areaMm2: 0.35, fuseA: 30, insulation: 60, copperM: 1 });
    expect(thin.ok).toBe(false);
    expect(thin.problem).toMatch(/30 A fuse lets more flow for good/);
  });

  it('sees that a long thin lead limits its own short', () => {
    const far = coordinate({ ...LEAD, areaMm2: 0.5, copperM: 60 });
    expect(far.ok).toBe(false);
    expect(far.problem).toMatch(/too little for a 10 A fuse/);
  });
});

describe('rules that always hold', () => {
  const loads = fc.record({
    currentA: fc.double({ min: 0.1, max: 9, noNaN: true }),
    oneWayM: fc.double({ min: 0.2, max: 10, noNaN: true }),
    returnPath: fc.constantFrom('body' as const, 'lead' as const),
    dropLimitPercent: fc.constantFrom(1, 3, 10),
    insulation: fc.constantFrom(...INSULATIONS_C),
    ambientC: fc.constantFrom(20, 40, 55),
    bundle: fc.constantFrom(1, 5, 12),
    engineSpace: fc.boolean(),
    spareA: fc.constantFrom(0, 2, 6),
    inrush: fc.constantFrom(undefined, { peakA: 12, peakS: 0.05 }, { peakA: 25, peakS: 0.02 }),
    slot: fc.record({
      family: fc.constantFrom('standard' as const, 'mini' as const, 'micro2' as const),
      ratingA: fc.constantFrom(10, 15, 20, 30),
    }),
  });

  it('no fuse or conductor breaks any of its limits, in either system of sizes', () => {
    fc.assert(
      fc.property(loads, (given) => {
        const load: FeedLoad = { ...LOAD, ...given };
        const size = sizeFeed(load);
        if (!size.ok) return;
        expect(load.currentA).toBeLessThanOrEqual(0.75 * size.fuseA + 1e-9);
        expect(size.fuseA).toBeLessThanOrEqual(Math.min(size.holderA, load.slot.ratingA));
        if (load.inrush !== undefined) expect(ridesThrough(load.inrush, size.fuseA)).toBe(true);
        for (const check of [size.conductors.awg, size.conductors.metric]) {
          if (check === undefined) continue;
          expect(check.carriesA).toBeGreaterThanOrEqual(size.fuseA);
          expect(check.drop.percent).toBeLessThanOrEqual(load.dropLimitPercent);
          expect(check.coordination.ok).toBe(true);
        }
      }),
      { numRuns: 150 },
    );
  });

  it('a longer run never gets a thinner wire, nor a larger load a smaller fuse', () => {
    fc.assert(
      fc.property(loads, fc.double({ min: 1, max: 3, noNaN: true }), (given, factor) => {
        const load: FeedLoad = { ...LOAD, ...given };
        const size = sizeFeed(load);
        const longer = sizeFeed({ ...load, oneWayM: load.oneWayM * factor });
        // In the heat of an engine space a short lead may have to be thicker than a longer one: less copper limits the fault
        // that it must stand.
        if (size.ok && longer.ok && load.engineSpace !== true)
          for (const system of ['awg', 'metric'] as const) {
            const [near, far] = [size.conductors[system], longer.conductors[system]];
            if (near !== undefined && far !== undefined)
              expect(far.size.areaMm2).toBeGreaterThanOrEqual(near.size.areaMm2);
          }
        const larger = sizeFeed({ ...load, currentA: load.currentA * factor });
        if (size.ok && larger.ok) expect(larger.fuseA).toBeGreaterThanOrEqual(size.fuseA);
      }),
      { numRuns: 150 },
    );
  });

  // ABYC E-11, formula from memory: CM = 10.75·I·L/E, L there and back in feet.
  it.each([
    [10, 20, 3, 5972, 12],
    [15, 20, 10, 2687, 14],
  ])(
    '%d A over %d ft at %d % wants %d circular mils, %d AWG',
    (amps, circuitFt, percent, mils, awg) => {
      const wanted = (10.75 * amps * circuitFt) / ((percent / 100) * 12);
      expect(wanted).toBeCloseTo(mils, -1);
      // A circular mil is the area of a circle of a thousandth of an inch.
      const milsOf = (size: number): number => awgAreaMm2(size) / 5.067e-4;
      expect(milsOf(awg)).toBeGreaterThan(wanted);
      expect(milsOf(awg + 2)).toBeLessThan(wanted);
      const size = sizeFeed({
        ...LOAD,
        currentA: 0.75 * amps,
        spareA: 0.25 * amps,
        oneWayM: feetToMetres(circuitFt / 2),
        returnPath: 'lead',
        dropLimitPercent: percent,
        slot: { family: 'standard', ratingA: 20 },
      });
      expect(size).toMatchObject({ ok: true, awg });
    },
  );
});

describe('sizeFeed where it gets hard', () => {
  it('takes a larger fuse for an inrush, and says why', () => {
    const plain = sizeFeed(LOAD);
    const pump = sizeFeed({ ...LOAD, inrush: { peakA: 18, peakS: 0.1 } });
    expect(plain.ok && plain.fuseA).toBe(4);
    expect(pump.ok && pump.fuseA).toBe(7.5);
    expect(pump.ok && pump.reasons.some((one) => one.constraint === 'inrush')).toBe(true);
    expect(sizeFeed({ ...LOAD, inrush: { peakA: 60, peakS: 2 } })).toMatchObject({
      ok: false,
      failed: { constraint: 'inrush' },
    });
  });

  it('wants a thicker wire in a hot bundle', () => {
    const cool = sizeFeed({ ...LOAD, currentA: 7, insulation: 60 });
    const hot = sizeFeed({ ...LOAD, currentA: 7, insulation: 60, bundle: 8, ambientC: 45 });
    expect(cool.ok && hot.ok && hot.areaMm2 > cool.areaMm2).toBe(true);
    expect(
      sizeFeed({
        ...LOAD,
        currentA: 6.5,
        insulation: 60,
        engineSpace: true,
        bundle: 30,
        ambientC: 59,
      }),
    ).toMatchObject({ ok: false, failed: { constraint: 'ampacity' } });
  });

  it('keeps supply and return apart, and counts a ground joint', () => {
    const size = sizeFeed({ ...LOAD, returnPath: 'lead', returnM: 1, dropLimitPercent: 10 });
    expect(size.ok && size.drop.returnV / size.drop.supplyV).toBeCloseTo(0.25, 6);
    const joint = sizeFeed({ ...LOAD, groundOhm: 0.02, dropLimitPercent: 10 });
    expect(joint.ok && joint.drop.returnV).toBeCloseTo(0.06, 9);
    expect(joint.ok && joint.drop.statement).toContain('ground joint 20 mΩ');
  });

  it('says what spare capacity costs', () => {
    const size = sizeFeed({ ...LOAD, spareA: 6 });
    expect(size.ok && size.withoutSpare?.moreGrams).toBeLessThan(0);
    expect(size.ok && size.areaMm2).toBeGreaterThan(awgAreaMm2(18));
  });

  it('offers only what is in the van, and names what is missing', () => {
    const stock = { conductors: ['2.5 mm²'], fusesA: [5, 10] };
    const size = sizeFeed({ ...LOAD, stock });
    expect(size.ok && [size.fuseA, size.conductors.metric?.size.name]).toEqual([5, '2.5 mm²']);
    expect(sizeFeed({ ...LOAD, stock: { ...stock, fusesA: [3] } })).toMatchObject({
      ok: false,
      failed: { constraint: 'stock' },
      relax: expect.stringContaining('4 A'),
    });
    expect(sizeFeed({ ...LOAD, stock: { ...stock, conductors: [] } })).toMatchObject({
      failed: { constraint: 'stock' },
    });
  });

  it.each([
    ['ambientC', { ambientC: 300 }],
    ['oneWayM', { oneWayM: -1 }],
    ['currentA', { currentA: 0 }],
    ['currentA', { currentA: 500 }],
    ['slotA', { slot: { family: 'mini', ratingA: 400 } }],
    ['peakS', { inrush: { peakA: 5, peakS: 0 } }],
    ['insulation', { insulation: 70 }],
  ])('refuses a slip in %s with its range', (field, change) => {
    expect(() => sizeFeed({ ...LOAD, ...change } as FeedLoad)).toThrow(
      new RegExp(`^${field}: .*must`),
    );
  });

  it('names every slip at once', () => {
    expect(() => sizeFeed({ ...LOAD, currentA: 0, oneWayM: -2 })).toThrow(/currentA.*; oneWayM/);
  });
});

describe('solved backwards', () => {
  const loads = fc.record({
    currentA: fc.double({ min: 0.1, max: 7, noNaN: true }),
    returnPath: fc.constantFrom('body' as const, 'lead' as const),
    dropLimitPercent: fc.constantFrom(1, 3, 10),
    wire: fc.constantFrom('18 AWG', '1 mm²', '14 AWG', '2.5 mm²'),
  });

  it('passes at the longest run, and fails a little past it', () => {
    fc.assert(
      fc.property(loads, ({ wire, ...given }) => {
        const load = { ...LOAD, ...given };
        const limit = longestRunM(load, wire);
        if (!limit.ok || limit.value > 29 || limit.value < 0.06) return;
        const stock = { conductors: [wire], fusesA: [2, 3, 4, 5, 7.5, 10] };
        expect(sizeFeed({ ...load, stock, oneWayM: 0.999 * limit.value }).ok).toBe(true);
        expect(sizeFeed({ ...load, stock, oneWayM: 1.01 * limit.value }).ok).toBe(false);
      }),
    );
  });

  // Ohm's law, computed: 3 % of 12 V over stranded 14 AWG (8.50 Ω/km at 20 °C, 9.17 at 40 °C) and back at 5 A.
  it('gives 14 AWG at 5 A about 4 m there and back for 3 % of 12 V', () => {
    const limit = longestRunM({ ...LOAD, currentA: 5, returnPath: 'lead' }, '14 AWG');
    expect(limit.ok && limit.value).toBeCloseTo(0.36 / (5 * 2 * 0.0085 * 1.0786), 1);
  });

  it('finds the largest load of a run, which then passes', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 12, noNaN: true }), (oneWayM) => {
        const limit = largestLoadA({ ...LOAD, oneWayM }, '16 AWG');
        if (!limit.ok) return;
        const stock = { conductors: ['16 AWG'], fusesA: [2, 3, 4, 5, 7.5, 10, 15, 20] };
        expect(sizeFeed({ ...LOAD, stock, oneWayM, currentA: 0.999 * limit.value }).ok).toBe(true);
      }),
    );
  });

  it('refuses a wire of 0 mm² by name', () => {
    expect(() => longestRunM(LOAD, '0 mm²')).toThrow(/no size "0 mm²"/);
    expect(conductorSizeOf('2.5mm2'.replace('mm2', ' mm2')).areaMm2).toBe(2.5);
  });

  it('reaches the trade’s table: 15 A over 10 ft wants 14 AWG at 10 % there and back', () => {
    // ABYC E-11 formula, from memory: 15 A, 20 ft circuit, 10 % of 12 V → 2687 CM → 14 AWG.
    const size = sizeFeed({
      ...LOAD,
      currentA: 11.25,
      spareA: 3.75,
      oneWayM: feetToMetres(10),
      returnPath: 'lead',
      dropLimitPercent: 10,
      slot: { family: 'standard', ratingA: 20 },
    });
    expect(size).toMatchObject({ ok: true, awg: 14, fuseA: 15 });
  });
});
