import { currentAt12V, ringFor, wireTapFor } from './index';
import { ampacityAtA } from './conductor';
import type { FeedLoad } from './feedLoad';
import { assertLoad } from './feedLoad';
import { chooseConductors, leadOf } from './chooseConductor';

const LOAD: FeedLoad = {
  ...{ currentA: 2, oneWayM: 2, returnPath: 'body', systemV: 12, dropLimitPercent: 3 },
  ...{ insulation: 105, slot: { family: 'mini', ratingA: 15 } },
};

// DIN 46237 from memory: M6 6.5 mm, M8 8.4, M10 10.5; No. 8 is 4.17 mm and goes through the M4's 4.3.
it.each([
  [4.17, 'M4'],
  [4.2, 'M4'],
  [4.21, 'M5'],
  [6, 'M6'],
  [6.35, 'M6'],
  [6.4, 'M6'],
  [6.5, 'M8'],
  [8.3, 'M8'],
  [8.4, 'M10'],
  [12.7, 'M12'],
  [13, 'M14'],
])(
  'takes for a bolt of %d mm the ring %s: the smallest that lets it through with a little play',
  (mm, ring) => {
    expect(ringFor(mm).name.split(' ')[0]).toBe(ring);
  },
);

it('says which wire tap grips both wires, or why none does', () => {
  expect(wireTapFor(0.75, 0.5)).toEqual({
    ...{ ok: true, colour: 'red' },
    because: 'Grips 0.5–1 mm²: the car’s 0.75 mm² and the added 0.5 mm².',
  });
  // A twentieth beyond the range still holds.
  expect(wireTapFor(0.475, 1.05)).toMatchObject({ colour: 'red' });
  expect(wireTapFor(0.95, 2.625)).toMatchObject({ colour: 'blue' });
  expect(wireTapFor(3.8, 6.3)).toMatchObject({ colour: 'yellow' });
  expect(wireTapFor(0.47, 0.5).ok).toBe(false);
  expect(wireTapFor(1.5, 2.63).ok).toBe(false);
  expect(wireTapFor(4, 0.5)).toEqual({
    ok: false,
    problem:
      'No wire tap grips both 4 mm² of the car and 0.5 mm² added: too thin it falls off, too thick it is cut.',
    wayOut: 'Strip and solder, or crimp a splice that both fit into.',
  });
  expect(() => wireTapFor(NaN, 1)).toThrow(/areaMm2/);
  expect(() => wireTapFor(1, NaN)).toThrow(/areaMm2/);
});

it('refuses an efficiency that no converter has, whatever is printed', () => {
  for (const efficiency of [0.29, 1.01, NaN])
    for (const load of [
      { kind: 'watts', watts: 45 },
      { kind: 'amps', amps: 1, atV: 5 },
    ] as const)
      expect(() => currentAt12V(load, efficiency)).toThrow(/efficiency/);
  expect(() => currentAt12V({ kind: 'watts', watts: NaN })).toThrow(/watts/);
  expect(() => currentAt12V({ kind: 'amps', amps: NaN, atV: 5 })).toThrow(/printedA/);
  expect(() => currentAt12V({ kind: 'amps', amps: 1, atV: NaN })).toThrow(/printedV/);
  // What is printed at the car's own voltage is drawn as it is; 2.5 V off is the limit.
  expect(currentAt12V({ kind: 'amps', amps: 3, atV: 14.5 })).toBe(3);
  expect(currentAt12V({ kind: 'amps', amps: 3, atV: 9.5 })).toBe(3);
  expect(currentAt12V({ kind: 'amps', amps: 3, atV: 14.6 })).toBeCloseTo(3 * (14.6 / 12 / 0.85), 9);
  expect(currentAt12V({ kind: 'watts', watts: 24 })).toBe(2);
});

it('names the insulation that is none', () => {
  expect(() => assertLoad({ ...LOAD, insulation: 100 as never })).toThrow(
    /^insulation: must be one of 60, .*105.* °C, got 100$/,
  );
});

// Shares of 33 CFR 183.425, from memory: up to 3 all, 6 70 %, 24 60 %, more a half.
it('takes away from each conductor what lies in a bundle with it', () => {
  const alone = ampacityAtA(2.5, 105, { bundle: 1 });
  const share = (bundle: number): number => ampacityAtA(2.5, 105, { bundle }) / alone;
  expect([1, 3, 4, 6, 7, 24, 25, 100].map((bundle) => Number(share(bundle).toFixed(3)))).toEqual([
    ...[1, 1, 0.7, 0.7, 0.6, 0.6, 0.5, 0.5],
  ]);
});

describe('a conductor that is not to be had', () => {
  const refused = (more: Partial<FeedLoad>, fuseA: number) => {
    const made = chooseConductors({ ...LOAD, ...more }, fuseA);
    return made.ok ? undefined : [made.failed.constraint, made.failed.text, made.relax];
  };

  it('says which limit even the thickest breaks, and the way out', () => {
    expect(refused({ oneWayM: 60, currentA: 20 }, 30)).toEqual([
      'voltage drop',
      expect.stringMatching(/^Even .+ loses [\d.]+ % over 60 m; the limit is 3 %\.$/),
      expect.stringMatching(/^Shorten the run, allow more drop/),
    ]);
    const thin = { conductors: ['18 AWG'] } as never;
    expect(refused({ stock: thin, bundle: 30, ambientC: 80, insulation: 60 }, 15)?.[0]).toBe(
      'ampacity',
    );
    expect(refused({ stock: thin, bundle: 30, insulation: 60 }, 15)?.[1]).toMatch(
      /^Even 18 AWG carries only [\d.]+ A there; fuse and load want 15 A\.$/,
    );
  });
});

// A dead short at the far end has the whole way of copper in it, there and back.
it('counts the way back where a lead of its own comes back', () => {
  const copperM = (more: Partial<FeedLoad>): number => leadOf({ ...LOAD, ...more }, 5, 1).copperM;
  expect(copperM({ returnPath: 'body' })).toBe(2);
  expect(copperM({ returnPath: 'body', returnM: 5 })).toBe(2);
  expect(copperM({ returnPath: 'lead' })).toBe(4);
  expect(copperM({ returnPath: 'lead', returnM: 0.5 })).toBe(2.5);
});
