import fc from 'fast-check';
import type { CircuitFunction, STITCH_PLACES } from '../vehicle';
import { stateAt } from '../vehicle';
import type { TapClaim } from './index';
import {
  EVIDENCE_GRADES,
  claimProbability,
  claimStatus,
  compareWithClaim,
  loggedClaim,
} from './index';

const CLAIM: TapClaim = {
  id: 't1',
  sourceId: 'F1',
  function: 'accessory',
  grade: 'probed',
  applicability: { yearFrom: 2020, yearTo: 2021, trims: [], markets: [] },
  seen: ['off', 'acc', 'run', 'crank'],
  confirmed: 0,
  contradicted: 0,
};
const CAR = { year: 2020, trim: 'Base', market: 'Islands' };

describe('claimProbability', () => {
  it('grades probed above legend above forum above asserted', () => {
    const chances = EVIDENCE_GRADES.map((grade) => claimProbability({ ...CLAIM, grade }, CAR));
    expect([...chances].sort((a, b) => b - a)).toEqual(chances);
  });
  // Pseudo-counts of the grade, and a contradiction for eight: computed.
  it('is right over right and wrong', () => {
    expect(claimProbability(CLAIM, CAR)).toBeCloseTo(49 / 50, 9);
    const chances = [12 / 13, 3 / 5, 2 / 4, 1 / 3];
    EVIDENCE_GRADES.slice(1).forEach((grade, at) => {
      expect(claimProbability({ ...CLAIM, grade }, CAR)).toBeCloseTo(chances[at] ?? 0, 9);
    });
    const seen = { ...CLAIM, grade: 'forum', confirmed: 4, contradicted: 1 } as const;
    expect(claimProbability(seen, CAR)).toBeCloseTo(6 / (6 + 10), 9);
    expect(claimProbability(seen, { ...CAR, year: 2022 })).toBeCloseTo((0.8 * 6) / 16, 9);
  });

  it('falls with distance and is nothing for another generation’s years', () => {
    const exact = claimProbability(CLAIM, CAR);
    expect(claimProbability(CLAIM, { ...CAR, year: 2022 })).toBeLessThan(exact);
    expect(claimProbability(CLAIM, { ...CAR, year: 2024 })).toBe(0);
  });
  it('rises with every confirmation and falls with every contradiction', () => {
    fc.assert(
      fc.property(fc.nat(20), fc.nat(20), (confirmed, contradicted) => {
        const claim = { ...CLAIM, confirmed, contradicted };
        const chance = claimProbability(claim, CAR);
        expect(
          claimProbability({ ...claim, confirmed: confirmed + 1 }, CAR),
        ).toBeGreaterThanOrEqual(chance);
        expect(claimProbability({ ...claim, contradicted: contradicted + 1 }, CAR)).toBeLessThan(
          chance,
        );
      }),
    );
  });
});

it('names a claim disputed as soon as a reading contradicts it', () => {
  expect(claimStatus({ ...CLAIM, contradicted: 1, confirmed: 5 })).toBe('disputed');
  expect(claimStatus(CLAIM)).toBe('verified');
  expect(claimStatus({ ...CLAIM, grade: 'forum' })).toBe('reported');
  expect(claimStatus({ ...CLAIM, grade: 'forum', confirmed: 1 })).toBe('verified');
});

it('takes the weightiest claim on a slot', () => {
  const weak = { ...CLAIM, id: 't2', grade: 'forum', function: 'constant' } as const;
  expect(loggedClaim('F1', [weak, CLAIM], CAR)?.tapPointId).toBe('t1');
  expect(loggedClaim('F1', [CLAIM, weak], CAR)).toEqual({
    tapPointId: 't1',
    function: 'accessory',
    probability: 0.98,
    seen: CLAIM.seen,
  });
  expect(loggedClaim('F2', [weak, CLAIM], CAR)).toBeUndefined();
  // Another generation’s years say nothing of this car.
  expect(loggedClaim('F1', [CLAIM], { ...CAR, year: 2030 })).toBeUndefined();
});

describe('compareWithClaim', () => {
  type Place = (typeof STITCH_PLACES)[number];
  const compare = (of: CircuitFunction, place: Place, volts: number) =>
    compareWithClaim(of, {
      state: stateAt(place),
      value: { kind: 'volts', volts },
      contact: undefined,
    });
  const LIVE = { live: 'agrees', dead: 'contradicts' } as const;
  const DEAD = { live: 'contradicts', dead: 'agrees' } as const;
  const EITHER = { live: 'silent', dead: 'silent' } as const;
  const MOSTLY_DEAD = { live: 'silent', dead: 'agrees' } as const;

  // Common practice, after the terminals of DIN 72552 (15, 15R, 30, 50, 58): where each function is live in every car, in none,
  // or in some. Accessories drop or hold while cranking; a few ignition feeds are held for minutes.
  it.each<[CircuitFunction, Partial<Record<Place, object>>]>([
    ['constant', { off: LIVE, acc: LIVE, run: LIVE, engine: LIVE, crank: LIVE, asleep: LIVE }],
    ['timedConstant', { off: LIVE, run: LIVE, engine: LIVE, asleep: DEAD, waited: EITHER }],
    ['accessory', { off: DEAD, acc: LIVE, run: LIVE, asleep: DEAD, justOff: DEAD, crank: EITHER }],
    [
      'retainedAccessory',
      { off: MOSTLY_DEAD, run: LIVE, justOff: LIVE, asleep: DEAD, acc: EITHER },
    ],
    ['ignitionRun', { off: DEAD, acc: DEAD, run: LIVE, engine: LIVE, crank: DEAD, asleep: DEAD }],
    ['ignitionRunCrank', { off: MOSTLY_DEAD, acc: DEAD, run: LIVE, crank: LIVE, asleep: DEAD }],
    ['lamps', { off: DEAD, run: DEAD, asleep: DEAD }],
    ['starter', { crank: LIVE, run: DEAD, off: DEAD, acc: DEAD }],
    ['spare', { off: DEAD, run: DEAD, crank: DEAD, lamps: DEAD }],
    ['dataBus', { run: EITHER }],
  ])('%s', (of, places) => {
    for (const [place, expected] of Object.entries(places) as [Place, object][])
      expect([place, { live: compare(of, place, 12.3), dead: compare(of, place, 0) }]).toEqual([
        place,
        expected,
      ]);
  });

  it('expects the lamps’ feed live with the light switch and the key on; without the key in most cars', () => {
    const lit = (key: 'run' | 'off', volts: number) =>
      compareWithClaim('lamps', {
        state: { ...stateAt(key), lamps: true },
        value: { kind: 'volts', volts },
        contact: undefined,
      });
    expect([lit('run', 12.3), lit('run', 0)]).toEqual(['agrees', 'contradicts']);
    expect([lit('off', 12.3), lit('off', 0)]).toEqual(['silent', 'silent']);
  });

  it('hears nothing in half a voltage, nor in a contact of an empty slot', () => {
    expect(compare('accessory', 'run', 5)).toBe('silent');
    const reading = { state: stateAt('off'), value: { kind: 'volts', volts: 12 } } as const;
    expect(compareWithClaim('accessory', { ...reading, contact: 'a' })).toBe('silent');
  });
});
