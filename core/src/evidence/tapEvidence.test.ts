import fc from 'fast-check';
import type { STITCH_PLACES } from '../vehicle';
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
  slotId: 'F1',
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
});

it('takes the weightiest claim on a slot', () => {
  const weak = { ...CLAIM, id: 't2', grade: 'forum', function: 'constant' } as const;
  expect(loggedClaim('F1', [weak, CLAIM], CAR)?.tapPointId).toBe('t1');
  expect(loggedClaim('F2', [weak, CLAIM], CAR)).toBeUndefined();
});

describe('compareWithClaim', () => {
  const at = (place: (typeof STITCH_PLACES)[number], volts: number) =>
    compareWithClaim(
      'accessory',
      { state: stateAt(place), value: { kind: 'volts', volts }, contact: undefined },
      place,
    );
  // Common practice: an accessory slot shows 0 V key off, about 12 V key on.
  it('agrees, contradicts or stays silent', () => {
    expect(at('run', 12.3)).toBe('agrees');
    expect(at('off', 12.3)).toBe('contradicts');
    expect(at('off', 0)).toBe('agrees');
    // Accessories drop or hold while cranking: no evidence against it.
    expect(at('crank', 10)).toBe('silent');
    expect(at('run', 5)).toBe('silent');
  });
});
