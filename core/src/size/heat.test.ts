import { coordinate } from './coordination';
import { chooseFuse } from './chooseFuse';
import { fuseShareAt } from './fuseInHeat';
import { SOURCE_OHM } from './feedLoad';
import { sizeFeed } from './index';

const SLOT = { family: 'mini', ratingA: 20, holderA: 20 } as const;
const LOAD = {
  currentA: 4,
  oneWayM: 4,
  returnPath: 'body',
  systemV: 12,
  dropLimitPercent: 3,
  insulation: 105,
  slot: SLOT,
} as const;

// Makers' curves in general, from memory.
it.each([
  [20, 1],
  [30, 1],
  [60, 0.93],
  [85, 0.87],
])('a blade fuse in %d °C carries %d of its rating', (ambientC, share) => {
  expect(fuseShareAt(ambientC)).toBeCloseTo(share, 3);
  expect(fuseShareAt(ambientC + 5)).toBeLessThanOrEqual(share);
});

it('takes a larger fuse where the heat takes its share', () => {
  // 5.5 A over 75 % is 7.33 A: 7.5 A carries it, but not with 0.87 of itself.
  const cool = chooseFuse({ currentA: 5.5, slot: SLOT });
  const hot = chooseFuse({ currentA: 5.5, slot: SLOT, ambientC: 85 });
  expect([cool.ok && cool.fuseA, hot.ok && hot.fuseA]).toEqual([7.5, 10]);
});

it('gives small electronics 2 A at least, unless their inrush is known', () => {
  const small = chooseFuse({ currentA: 0.3, slot: SLOT });
  expect(small.ok && small.fuseA).toBe(2);
  const known = chooseFuse({ currentA: 0.3, slot: SLOT, inrush: { peakA: 0.4, peakS: 0.01 } });
  expect(known.ok && known.fuseA).toBeLessThanOrEqual(2);
});

it('states the drop for copper no cooler than what surrounds it: 16 % more at 85 °C than at 40 °C', () => {
  const at = (ambientC: number) => {
    const size = sizeFeed({ ...LOAD, ambientC, dropLimitPercent: 20 });
    if (!size.ok) throw new Error('4 A over 4 m can be wired');
    // Per mm² and ampere, whatever wire was chosen.
    return size.drop.dropV * size.areaMm2;
  };
  // Computed: (1 + 0.00393 x 65) / (1 + 0.00393 x 20) = 1.164.
  expect(at(85) / at(40)).toBeCloseTo(1.164, 2);
  expect(at(20) / at(40)).toBeCloseTo(1, 6);
});

it.each([
  [5, 0.35],
  [30, 2.5],
])('refuses a %d A fuse on %d mm² with 60 °C insulation: above its ampacity', (fuseA, areaMm2) => {
  const lead = {
    fuseA,
    areaMm2,
    insulation: 60,
    around: {},
    copperM: 2,
    sourceOhm: SOURCE_OHM,
    systemV: 12,
  } as const;
  expect(coordinate(lead)).toMatchObject({
    ok: false,
    problem: expect.stringMatching(/lets more flow for good/),
  });
});
