import fc from 'fast-check';
import type { FeedLoad } from './index';
import {
  CONDUCTOR_SIZES,
  SOURCE_OHM,
  coordinate,
  longestRunM,
  planSwitching,
  sizeFeed,
} from './index';

const LOAD: FeedLoad = {
  currentA: 2,
  oneWayM: 5,
  returnPath: 'lead',
  systemV: 12,
  dropLimitPercent: 3,
  insulation: 105,
  slot: { family: 'mini', ratingA: 15 },
};

function sized(of: Partial<FeedLoad> = {}) {
  const size = sizeFeed({ ...LOAD, ...of });
  if (!size.ok) throw new Error(size.failed.text);
  return size;
}

/** Density of copper, g/cm³ (CRC Handbook: 8.96), so that 1 mm² weighs 8.96 g a metre. */
const COPPER = 8.96;

describe('the next thicker conductor', () => {
  it('is the next of the same system, with what it weighs more over the whole lead, and its drop', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 7.4, noNaN: true }),
        fc.double({ min: 0.5, max: 7, noNaN: true }),
        fc.constantFrom<FeedLoad['returnPath']>('lead', 'body'),
        (currentA, oneWayM, returnPath) => {
          const { conductors, nextUp } = sized({ currentA, oneWayM, returnPath });
          const main = conductors.awg ?? conductors.metric;
          if (main === undefined) throw new Error('no conductor');
          const { system, areaMm2 } = main.size;
          const thicker = CONDUCTOR_SIZES.filter(
            (one) => one.system === system && one.areaMm2 > areaMm2,
          ).sort((one, other) => one.areaMm2 - other.areaMm2)[0];
          expect(nextUp?.name).toBe(thicker?.name);
          if (thicker === undefined || nextUp === undefined) return;
          const metres = oneWayM * (returnPath === 'lead' ? 2 : 1);
          const grams = COPPER * metres * (thicker.areaMm2 - areaMm2);
          expect(nextUp.moreGrams / grams).toBeCloseTo(1, 2);
          expect(nextUp.percent).toBeLessThan(main.drop.percent);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('is none at the thickest that is at hand', () => {
    const { conductors } = sized();
    const name = conductors.awg?.size.name ?? '';
    const stock = { fusesA: [2, 3, 4, 5, 7.5, 10, 15], conductors: [name] };
    expect(sized({ stock }).nextUp).toBeUndefined();
  });

  it('is not the thinner one that would do without spare: that one saves copper', () => {
    expect(sized().withoutSpare).toBeUndefined();
    const spare = sized({ spareA: 3, oneWayM: 7 });
    expect(spare.withoutSpare?.moreGrams).toBeLessThan(0);
    expect(spare.nextUp?.moreGrams).toBeGreaterThan(0);
    expect(spare.withoutSpare?.name).toBe(sized({ oneWayM: 7 }).conductors.awg?.size.name);
  });
});

describe('the limits that a size was held against', () => {
  const text = (of: Partial<FeedLoad>): string =>
    sized(of)
      .reasons.map(({ constraint, text: said }) => `${constraint}: ${said}`)
      .join('\n');

  it('name the slot at a slot, and what the car’s wire stands at a wire', () => {
    const atSlot = text({});
    expect(atSlot).toContain('holder: The added side of the holder carries 10 A.');
    expect(atSlot).toContain('slot: The slot is rated 15 A.');
    const atWire = text({ slot: { family: 'mini', ratingA: 10, at: 'wire', holderA: 20 } });
    expect(atWire).toContain('holder: The in-line holder carries 20 A.');
    expect(atWire).toContain('slot: The car’s wire stands a fuse of 10 A.');
    expect(atWire).not.toContain('The slot is rated');
  });

  it('name the inrush, and where the lead lies, only where there is one', () => {
    expect(text({})).not.toMatch(/inrush|°C insulation (at|in)|together/);
    const hot = text({
      inrush: { peakA: 6, peakS: 0.01 },
      engineSpace: true,
      ambientC: 60,
      bundle: 4,
    });
    expect(hot).toMatch(/inrush: 6 A for 0\.01 s: the fastest .+ fuse takes .+ s\./);
    expect(hot).toMatch(/105 °C insulation in the engine space, at 60 °C, 4 together, not less/);
    expect(text({ bundle: 3 })).not.toMatch(/together/);
  });
});

describe('the longest run, where a dead short ends it', () => {
  it.each(['lead', 'body'] as const)(
    'is where the fuse just opens in time, back by %s',
    (returnPath) => {
      const load = { ...LOAD, currentA: 0.2, dropLimitPercent: 10, returnPath };
      const limit = longestRunM(load, '0.5 mm²');
      if (!limit.ok) throw new Error(limit.failed.text);
      const fuseA = Number(/no longer opens the (\d+) A fuse/.exec(limit.because)?.[1]);
      const problemAt = (oneWayM: number): string | undefined =>
        coordinate({
          ...{
            fuseA,
            areaMm2: 0.5,
            insulation: 105,
            systemV: 12,
            sourceOhm: SOURCE_OHM,
            around: {},
          },
          copperM: oneWayM * (returnPath === 'lead' ? 2 : 1),
        }).problem;
      expect(problemAt(0.999 * limit.value)).toBeUndefined();
      expect(problemAt(1.001 * limit.value)).toMatch(
        /too little for a \d+ A fuse to open within 5 s/,
      );
    },
  );
});

describe('a relay’s contact', () => {
  // Common practice: a 40/30 A changeover relay carries three quarters of that for good.
  it.each([
    [30, false, 'carries it'],
    [
      31,
      false,
      '31 A is more than the 30 A that a relay’s normally open contact carries for good.',
    ],
    [22.5, true, 'carries it'],
    [
      23,
      true,
      '23 A is more than the 22.5 A that a relay’s normally closed contact carries for good.',
    ],
  ])('of %d A, live while the trigger is off: %s, %s', (currentA, inverted, said) => {
    const plan = planSwitching({ currentA, switchA: 1, trigger: 'positive', inverted });
    expect(plan.ok ? 'carries it' : plan.problem).toBe(said);
  });
});
