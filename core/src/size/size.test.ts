import fc from 'fast-check';
import { awgAreaMm2, awgDiameterMm, feetToMetres } from '../units';
import { FUSE_FAMILIES, FUSE_FAMILY_FACTS } from '../vehicle';
import type { FeedLoad } from './index';
import {
  BLADE_OPENING_BAND,
  CONTINUOUS_SHARE,
  adiabaticLimitA2s,
  ampacityA,
  ampacityAtA,
  capacitorInrush,
  conductorOhm,
  currentAt12V,
  openingBand,
  ridesThrough,
  sizeFeed,
  voltageDrop,
} from './index';

const DASHCAM: FeedLoad = {
  currentA: 0.6,
  oneWayM: 4,
  returnPath: 'body',
  systemV: 12,
  dropLimitPercent: 3,
  insulation: 105,
  slot: { family: 'mini', ratingA: 15 },
};

describe('conductors', () => {
  // ASTM B258, computed.
  it.each([
    [18, 1.0237, 0.823],
    [14, 1.6277, 2.081],
    [10, 2.5882, 5.261],
  ])('%d AWG has the diameter and area of ASTM B258', (size, diameter, area) => {
    expect(awgDiameterMm(size)).toBeCloseTo(diameter, 4);
    expect(awgAreaMm2(size)).toBeCloseTo(area, 3);
  });

  // Computed from ASTM B258 and IEC 60028, Ω/km at 20 °C.
  it.each([
    [22, 52.96],
    [20, 33.31],
    [18, 20.95],
    [16, 13.17],
    [14, 8.285],
    [12, 5.211],
    [10, 3.277],
    [8, 2.061],
  ])('%d AWG has %d Ω/km at 20 °C', (size, ohm) => {
    expect(conductorOhm(awgAreaMm2(size), 1000) / ohm).toBeCloseTo(1, 3);
  });

  // NFPA 70 (NEC) chapter 9 table 8, solid, uncoated, Ω per 1000 ft at 75 °C; from memory, within 0.6 %.
  it.each([
    [18, 7.77],
    [16, 4.89],
    [14, 3.07],
    [12, 1.93],
    [10, 1.21],
    [8, 0.764],
  ])('%d AWG has %d Ω per 1000 ft at 75 °C', (size, ohm) => {
    const got = conductorOhm(awgAreaMm2(size), feetToMetres(1000), 75);
    expect(Math.abs(got / ohm - 1)).toBeLessThan(0.006);
  });

  // IEC 60228 class 5 plain, largest Ω/km at 20 °C; from memory. Ideal copper lies below by no more than 16 %.
  it.each([
    [0.5, 39.0],
    [0.75, 26.0],
    [1, 19.5],
    [1.5, 13.3],
    [2.5, 7.98],
    [4, 4.95],
    [6, 3.3],
  ])('%d mm² stays below the largest resistance of a flexible conductor', (area, largest) => {
    const ideal = conductorOhm(area, 1000);
    expect(ideal).toBeLessThan(largest);
    expect(ideal).toBeGreaterThan(0.84 * largest);
  });

  // ISO 10133, formula from memory: S = 0.0164·I·L/E, L the whole circuit.
  it('loses about what the area formula of ISO 10133 allows', () => {
    const area = (0.0164 * 10 * 6) / 0.36;
    expect(area).toBeCloseTo(2.73, 2);
    const basis = { oneWayM: 6, returnPath: 'body', systemV: 12, copperC: 20 } as const;
    // The formula's constant carries a few per cent less than pure copper at 20 °C.
    expect(voltageDrop(10, area, basis).dropV / 0.36).toBeCloseTo(1.05, 1);
  });

  // 33 CFR 183.425 table 5, from memory.
  it.each([
    [18, 10, 20],
    [16, 15, 25],
    [14, 20, 35],
    [12, 25, 45],
    [10, 40, 60],
    [8, 55, 80],
  ])('%d AWG carries %d A at 60 °C and %d A at 105 °C insulation', (size, cool, hot) => {
    expect(ampacityA(size, 60)).toBe(cool);
    expect(ampacityA(size, 105)).toBe(hot);
  });

  // 33 CFR 183.425, from memory.
  it.each([
    [3, 1],
    [4, 0.7],
    [6, 0.7],
    [7, 0.6],
    [24, 0.6],
    [25, 0.5],
  ])('%d conductors together leave a share of %d', (bundle, share) => {
    expect(ampacityA(14, 60, bundle)).toBeCloseTo(20 * share);
  });

  // IEC 60364-5-54, k = 115 for copper in PVC, computed.
  it.each([
    [0.5, 3306],
    [1, 13225],
  ])('%d mm² withstands %d A²s', (area, limit) => {
    expect(adiabaticLimitA2s(area)).toBeCloseTo(limit, -1);
  });
});

describe('voltage drop', () => {
  // Ohm's law, computed: 15 A over 10 ft of stranded 14 AWG (8.50 Ω/km) at 20 °C is 0.39 V one way.
  it('states its basis and follows it', () => {
    const basis = { oneWayM: feetToMetres(10), returnPath: 'body', copperC: 20 } as const;
    const at12 = voltageDrop(15, awgAreaMm2(14), { ...basis, systemV: 12 });
    const at138 = voltageDrop(15, awgAreaMm2(14), { ...basis, systemV: 13.8 });
    expect(at12.dropV).toBeCloseTo(0.389, 3);
    expect(at12.percent).toBeCloseTo(3.2, 1);
    expect(at138.percent).toBeCloseTo(2.8, 1);
    expect(at12.statement).toContain('one way');
    expect(at12.statement).toContain('12.0 V');
  });

  it('doubles with a return lead of the same size', () => {
    const basis = { oneWayM: 3, systemV: 12, copperC: 20 } as const;
    const body = voltageDrop(5, 1, { ...basis, returnPath: 'body' });
    const lead = voltageDrop(5, 1, { ...basis, returnPath: 'lead' });
    expect(lead.dropV).toBeCloseTo(2 * body.dropV);
  });
});

describe('sizeFeed', () => {
  it('gives a dashcam a small fuse (common practice: 2 to 5 A)', () => {
    const size = sizeFeed(DASHCAM);
    expect(size.ok && size.fuseA).toBe(2);
    expect(size.ok && size.awg).toBe(18);
  });

  it('gives a 10 A socket in a large slot 15 A and 14 AWG over 9 ft (common practice)', () => {
    const size = sizeFeed({
      ...DASHCAM,
      currentA: 10,
      oneWayM: feetToMetres(9),
      insulation: 60,
      slot: { family: 'standard', ratingA: 20 },
    });
    expect(size).toMatchObject({ ok: true, fuseA: 15, awg: 14 });
  });

  it.each([
    ['holder', { currentA: 9 }],
    ['slot', { currentA: 4, slot: { family: 'mini', ratingA: 5 } }],
    ['fuse range', { currentA: 60 }],
    ['family', { slot: { family: 'maxi', ratingA: 40 } }],
    ['voltage drop', { currentA: 7, oneWayM: 30, dropLimitPercent: 0.5 }],
  ] as const)('refuses by the %s and says what to relax', (constraint, change) => {
    const size = sizeFeed({ ...DASHCAM, ...change } as FeedLoad);
    expect(size).toMatchObject({ ok: false, failed: { constraint } });
    expect(!size.ok && size.relax.length).toBeGreaterThan(10);
  });

  it.each([
    ['currentA', 0],
    ['currentA', 500],
    ['oneWayM', -1],
    ['systemV', Number.NaN],
    ['dropLimitPercent', 50],
  ])('refuses %s of %d, naming field and range', (field, value) => {
    expect(() => sizeFeed({ ...DASHCAM, [field]: value })).toThrow(new RegExp(field));
  });

  const load = fc.record({
    currentA: fc.double({ min: 0.05, max: 12, noNaN: true }),
    oneWayM: fc.double({ min: 0.1, max: 12, noNaN: true }),
    returnPath: fc.constantFrom('body' as const, 'lead' as const),
    systemV: fc.constantFrom(12, 12.6, 13.8),
    dropLimitPercent: fc.constantFrom(1, 3, 10),
    insulation: fc.constantFrom(60 as const, 105 as const),
    slot: fc.record({
      family: fc.constantFrom(...FUSE_FAMILIES),
      ratingA: fc.constantFrom(5, 7.5, 10, 15, 20, 30),
    }),
  });

  it('never exceeds a limit of fuse, holder, slot or conductor', () => {
    fc.assert(
      fc.property(load, (given) => {
        const size = sizeFeed(given);
        if (!size.ok) return;
        const facts = FUSE_FAMILY_FACTS[given.slot.family];
        expect(facts.ratingsA).toContain(size.fuseA);
        expect(given.currentA).toBeLessThanOrEqual(CONTINUOUS_SHARE * size.fuseA + 1e-9);
        expect(size.fuseA).toBeLessThanOrEqual(facts.tap?.addedMaxA ?? 0);
        expect(size.fuseA).toBeLessThanOrEqual(given.slot.ratingA);
        expect(size.fuseA).toBeLessThanOrEqual(ampacityAtA(size.areaMm2, given.insulation));
        expect(size.drop.percent).toBeLessThanOrEqual(given.dropLimitPercent);
      }),
    );
  });

  it('never gives a longer run a thinner wire, nor a larger load a smaller fuse', () => {
    fc.assert(
      fc.property(load, fc.double({ min: 1, max: 3, noNaN: true }), (given, factor) => {
        const size = sizeFeed(given);
        const longer = sizeFeed({ ...given, oneWayM: given.oneWayM * Math.min(factor, 2) });
        if (size.ok && longer.ok) expect(longer.awg).toBeLessThanOrEqual(size.awg);
        const larger = sizeFeed({ ...given, currentA: given.currentA * factor });
        if (size.ok && larger.ok) expect(larger.fuseA).toBeGreaterThanOrEqual(size.fuseA);
      }),
    );
  });
});

describe('fuses', () => {
  // ISO 8820-3, from memory.
  it('opens within the band of its load', () => {
    expect(openingBand(10, 10)).toBeUndefined();
    expect(openingBand(20, 10)).toMatchObject({ fastestS: 0.15, slowestS: 5 });
    expect(openingBand(60, 10)?.slowestS).toBe(0.1);
  });

  it('opens faster the larger the load', () => {
    const slowest = BLADE_OPENING_BAND.map((row) => row.slowestS);
    expect([...slowest].sort((a, b) => b - a)).toEqual(slowest);
  });
});

describe('capacitorInrush', () => {
  // Computed: V/R, and half of RC, whose square pulse has the heat C·V²/2R of the exponential one.
  it('has the heat of the charging capacitor', () => {
    const { peakA, peakS } = capacitorInrush(2200, 0.05);
    expect(peakA).toBeCloseTo(288, 6);
    expect(peakA ** 2 * peakS).toBeCloseTo((0.0022 * 14.4 ** 2) / (2 * 0.05), 6);
  });

  it('of a small device opens no fuse, of an amplifier a small one', () => {
    expect(ridesThrough(capacitorInrush(470), 2)).toBe(true);
    expect(ridesThrough(capacitorInrush(47_000), 2)).toBe(false);
    expect(ridesThrough(capacitorInrush(47_000), 30)).toBe(true);
  });

  it('refuses a slip, naming it', () => {
    expect(() => capacitorInrush(0)).toThrow(/capacitorUF.*0.1 µF and 100000 µF, got 0/);
  });
});

describe('currentAt12V', () => {
  // Computed: volts x amperes over 12 V and efficiency.
  it.each([
    [{ kind: 'amps', amps: 3, atV: 15 }, 0.85, 4.41],
    [{ kind: 'watts', watts: 45, delivered: true }, 0.85, 4.41],
    [{ kind: 'amps', amps: 2, atV: 9 }, 0.85, 1.76],
    [{ kind: 'watts', watts: 240, delivered: true }, 0.85, 23.53],
    [{ kind: 'watts', watts: 60, delivered: true }, 0.85, 5.88],
    [{ kind: 'watts', watts: 60, delivered: true }, 0.55, 9.09],
    [{ kind: 'watts', watts: 60 }, 0.55, 5],
    [{ kind: 'amps', amps: 2, atV: 13.8 }, 0.85, 2],
  ] as const)('%j at an efficiency of %d is %d A', (load, efficiency, amps) => {
    expect(currentAt12V(load, efficiency)).toBeCloseTo(amps, 2);
  });

  it('turns 3 A at 5 V into less at 12 V (energy over efficiency, computed)', () => {
    expect(currentAt12V({ kind: 'amps', amps: 3, atV: 5 })).toBeCloseTo(1.47, 2);
  });
  it('takes watts over volts, and amperes at 12 V as they are', () => {
    expect(currentAt12V({ kind: 'watts', watts: 60 })).toBe(5);
    expect(currentAt12V({ kind: 'amps', amps: 2, atV: 12 })).toBe(2);
  });
});
