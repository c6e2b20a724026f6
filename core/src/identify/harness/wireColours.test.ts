import { isStriped, mateEvidence } from './wireColours';

// Common practice: the two leads of a speaker have one base colour, and the minus its stripe.
describe('how well two colours go together as one speaker’s', () => {
  it.each([
    ['GY', 'GY/BK', 8],
    ['GY', 'GY', 3],
    ['GY/BK', 'GY/BK', 3],
    ['GY', 'VT/BK', 0.35],
    ['GY', undefined, 1],
    [undefined, 'GY', 1],
    [undefined, undefined, 1],
    ['GY', 'no colour', 1],
    ['gy', 'gy/bk', 8],
  ])('%s and %s: %d', (left, right, evidence) => {
    expect(mateEvidence(left, right)).toBe(evidence);
    expect(mateEvidence(right, left)).toBe(evidence);
  });

  it('goes by the stripe for minus', () => {
    expect(isStriped('GY/BK')).toBe(true);
    for (const plain of ['GY', 'GY/', '', undefined]) expect(isStriped(plain)).toBe(false);
  });
});
