import fc from 'fast-check';
import { Matrix, solve } from 'ml-matrix';
import type { SpeakerPlace } from '../vehicle';
import { SPEAKER_PLACES } from '../vehicle';
import {
  POWER_HALF,
  SPEAKER_HALF,
  arrangementsOf,
  phaseTests,
  phaseVerdict,
  seenFromTheWheel,
  speakerLoad,
} from './index';
import type { Branches, Heard } from './index';

/**
 * The same network node by node: one unknown per joint between two speakers, and the output at 1 V (nodal analysis, solved by a
 * general-purpose library).
 */
function loadByNodes(branches: Branches): number {
  let amperes = 0;
  for (const branch of branches) {
    const inner = branch.length - 1;
    const volts = [1, ...innerVolts(branch, inner), 0];
    amperes += ((volts[0] ?? 0) - (volts[1] ?? 0)) / (branch[0] ?? 1);
  }
  return 1 / amperes;
}

function innerVolts(branch: readonly number[], inner: number): number[] {
  if (inner === 0) return [];
  const conductances = Matrix.zeros(inner, inner);
  const fed = Matrix.zeros(inner, 1);
  for (let node = 0; node < inner; node += 1) {
    const [before, after] = [1 / (branch[node] ?? 1), 1 / (branch[node + 1] ?? 1)];
    conductances.set(node, node, before + after);
    if (node > 0) conductances.set(node, node - 1, -before);
    if (node < inner - 1) conductances.set(node, node + 1, -after);
    if (node === 0) fed.set(0, 0, before);
  }
  return solve(conductances, fed).to1DArray();
}

describe('what speakers come to on one output', () => {
  // Common practice, and any handbook's table of loudspeaker networks.
  it.each([
    [[[4], [4]], 2],
    [[[8], [8]], 4],
    [[[4, 4]], 8],
    [
      [
        [4, 4],
        [4, 4],
      ],
      4,
    ],
    [[[4], [8]], 8 / 3],
    [[[2, 2]], 4],
  ])('%j is %d Ω', (branches, ohm) => {
    expect(speakerLoad(branches)).toBeCloseTo(ohm, 12);
  });

  const speakers = fc.array(fc.constantFrom(2, 3, 4, 6, 8, 16), { minLength: 1, maxLength: 5 });

  it('agrees with nodal analysis, whatever hangs there', () => {
    fc.assert(
      fc.property(fc.array(speakers, { minLength: 1, maxLength: 3 }), (branches) => {
        expect(speakerLoad(branches)).toBeCloseTo(loadByNodes(branches), 9);
      }),
    );
  });

  it('shares the power out whole, most in the fewest ohms of a branch side by side', () => {
    fc.assert(
      fc.property(speakers, (ohms) => {
        for (const one of arrangementsOf(ohms)) {
          expect(one.shares.flat().reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9);
          expect(one.branches.flat().sort()).toEqual([...ohms].sort());
        }
      }),
    );
    const [best] = arrangementsOf([8, 8], 4);
    expect(best?.shares).toEqual([[0.5], [0.5]]);
    const unlike = arrangementsOf([4, 8], 2).find(({ branches }) => branches.length === 2);
    expect(unlike?.shares[0]?.[0]).toBeCloseTo(2 / 3, 12);
  });

  it('puts what the output stands first, and of it what takes most power', () => {
    const ways = arrangementsOf([4, 4], 4);
    expect(ways.map(({ ohm, stands }) => [ohm, stands])).toEqual([
      [8, true],
      [2, false],
    ]);
    expect(arrangementsOf([4, 4], 2)[0]?.ohm).toBe(2);
    expect(arrangementsOf([4, 4, 4, 4], 4)[0]?.branches).toEqual([
      [4, 4],
      [4, 4],
    ]);
    fc.assert(
      fc.property(speakers, fc.constantFrom(2, 4), (ohms, least) => {
        const stands = arrangementsOf(ohms, least).map((one) => one.stands);
        expect(stands).toEqual([...stands].sort((left, right) => Number(right) - Number(left)));
      }),
    );
  });

  it('counts every way once: three alike can hang in three ways', () => {
    expect(arrangementsOf([4, 4, 4])).toHaveLength(3);
    // Bell's numbers, for speakers that are all different.
    expect(arrangementsOf([2, 3, 4])).toHaveLength(5);
    expect(arrangementsOf([2, 3, 4, 6])).toHaveLength(15);
  });

  it('refuses what is no speaker', () => {
    expect(() => speakerLoad([])).toThrow(RangeError);
    expect(() => speakerLoad([[4], []])).toThrow(/open end/);
    expect(() => speakerLoad([[0]])).toThrow(/0 Ω is none/);
    expect(() => arrangementsOf([])).toThrow(RangeError);
    expect(() => arrangementsOf([4, 4, 4, 4, 4, 4, 4])).toThrow(/not 7/);
  });
});

const FOUR: readonly SpeakerPlace[] = ['front left', 'front right', 'rear left', 'rear right'];

describe('the phase of a car’s speakers (common practice: by ear, one against one)', () => {
  it('is tested front against front first, each other one against the first', () => {
    expect(phaseTests(FOUR).map(({ against, speaker }) => `${against}/${speaker}`)).toEqual([
      'front left/front right',
      'front left/rear left',
      'front left/rear right',
    ]);
    expect(phaseTests(['rear left'])).toEqual([]);
    expect(phaseTests([])).toEqual([]);
  });

  it('says what to listen to next until all were heard', () => {
    expect(phaseVerdict(FOUR, {})).toMatchObject({ next: { speaker: 'front right' } });
    expect(phaseVerdict(FOUR, { 'front right': 'asWired' })).toMatchObject({
      next: { speaker: 'rear left' },
    });
    expect(phaseVerdict(['front left'], {})).toEqual({ kind: 'right' });
  });

  it('finds those that are reversed, whichever they are, as long as they are the fewer', () => {
    fc.assert(
      fc.property(
        fc.subarray([...SPEAKER_PLACES], { minLength: 3 }),
        fc.nat(),
        (speakers, draw) => {
          const ordered = SPEAKER_PLACES.filter((one) => speakers.includes(one));
          const odd = ordered[draw % ordered.length] ?? 'centre';
          const [first] = ordered;
          const heard: Partial<Record<SpeakerPlace, Heard>> = {};
          for (const one of ordered.slice(1))
            heard[one] = (one === odd) === (first === odd) ? 'asWired' : 'swapped';
          expect(phaseVerdict(speakers, heard)).toEqual({
            ...{ kind: 'swap', speakers: [odd], eitherHalf: false },
          });
        },
      ),
    );
  });

  it('leaves halves to a cell, and trusts the first speaker whose cone was seen', () => {
    const two: readonly SpeakerPlace[] = ['front left', 'front right'];
    expect(phaseVerdict(two, { 'front right': 'swapped' })).toMatchObject({ eitherHalf: true });
    const three = {
      ...({ 'front right': 'swapped', 'rear left': 'swapped', 'rear right': 'swapped' } as const),
    };
    expect(phaseVerdict(FOUR, three)).toMatchObject({ speakers: ['front left'] });
    expect(phaseVerdict(FOUR, three, true)).toMatchObject({
      speakers: ['front right', 'rear left', 'rear right'],
      eitherHalf: false,
    });
  });
});

describe('the radio’s plug (ISO 10487, from memory)', () => {
  it('has its pairs from rear right over the front to rear left, plus on odd numbers', () => {
    expect(SPEAKER_HALF.map(({ number, carries }) => `${number} ${carries}`)).toEqual([
      '1 rear right +',
      '2 rear right −',
      '3 front right +',
      '4 front right −',
      '5 front left +',
      '6 front left −',
      '7 rear left +',
      '8 rear left −',
    ]);
    expect(POWER_HALF.find(({ number }) => number === 8)?.carries).toMatch(/ground/);
    expect(POWER_HALF.find(({ number }) => number === 6)?.carries).toMatch(/illumination/);
    expect(POWER_HALF.find(({ number }) => number === 4)?.carries).toMatch(/^constant/);
    expect(POWER_HALF.find(({ number }) => number === 7)?.carries).toMatch(/^switched/);
  });

  it('is the car’s left and right; driver and passenger change over with the wheel', () => {
    expect(seenFromTheWheel('front left', 'left')).toBe('driver’s front');
    expect(seenFromTheWheel('front left', 'right')).toBe('passenger’s front');
    expect(seenFromTheWheel('rear right', 'right')).toBe('driver’s rear');
    expect(seenFromTheWheel('left tweeter', 'right')).toBe('passenger’s tweeter');
    expect(seenFromTheWheel('centre', 'right')).toBe('centre');
  });
});
