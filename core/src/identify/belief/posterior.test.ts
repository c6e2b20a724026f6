import fc from 'fast-check';
import { CIRCUIT_FUNCTIONS, STITCH_PLACES, stateAt } from '../../vehicle';
import { posterior } from './posterior';
import { plainPosterior } from '../plain';
import type { Reading, ReadingValue } from '../reading/reading';
import { sourcePrior } from './sourcePrior';

const values = fc.oneof(
  fc.record({
    kind: fc.constant('volts' as const),
    volts: fc.double({ min: -2, max: 15, noNaN: true }),
  }),
  fc.record({
    kind: fc.constant('glow' as const),
    glow: fc.constantFrom('lit' as const, 'dim' as const, 'dark' as const, 'pulsing' as const),
  }),
  fc.record({
    kind: fc.constant('led' as const),
    glow: fc.constantFrom('lit' as const, 'dim' as const, 'dark' as const),
  }),
  fc.record({
    kind: fc.constant('ohms' as const),
    ohm: fc.option(fc.double({ min: 0, max: 1e5, noNaN: true })),
  }),
);

const readings = fc.array(
  fc
    .tuple(fc.constantFrom(...STITCH_PLACES), values, fc.constantFrom('ground', 'constant'))
    .map(([place, value, clip]) => ({ place, value, clip })),
  { maxLength: 12 },
);

function readingsOf(
  drawn: readonly { place: (typeof STITCH_PLACES)[number]; value: ReadingValue; clip: string }[],
): Reading[] {
  return drawn.map(({ place, value, clip }, index) => ({
    id: `r${index}`,
    sourceId: 'F1',
    contact: undefined,
    state: stateAt(place),
    value,
    clip: clip as 'ground' | 'constant',
  }));
}

/** Legends of every class, none at all, and a wire. */
const sources = fc.constantFrom(
  { legend: 'CIG', logged: undefined },
  { legend: 'A/BAG', logged: undefined },
  { legend: 'METER', logged: undefined },
  { legend: undefined, logged: undefined },
  { legend: undefined, logged: undefined, kind: 'wire' as const },
);

function expectAlike(fast: readonly number[], plain: readonly number[]): void {
  expect(fast).toHaveLength(plain.length);
  // One assertion for all: thousands of them would take most of the time.
  const apart = plain.map((chance, index) => Math.abs((fast[index] ?? NaN) - chance));
  expect(Math.max(...apart)).toBeLessThan(5e-10);
}

describe('posterior', () => {
  it('is Bayes’ rule, worked out plainly', () => {
    fc.assert(
      fc.property(sources, readings, (source, drawn) => {
        const prior = sourcePrior(source);
        const own = readingsOf(drawn);
        const [fast, plain] = [posterior(prior, own), plainPosterior(prior, own)];
        for (const name of CIRCUIT_FUNCTIONS)
          expect(fast.functions[name]).toBeCloseTo(plain.functions[name], 9);
        expectAlike(fast.hypotheses, plain.hypotheses);
        expectAlike(fast.byReadings, plain.byReadings);
        expectAlike(fast.criticalBy, plain.criticalBy);
      }),
      { numRuns: 50 },
    );
  });

  it('does not depend on the order of the readings', () => {
    fc.assert(
      fc.property(sources, readings, fc.integer({ min: 1, max: 11 }), (source, drawn, turn) => {
        const prior = sourcePrior(source);
        const own = readingsOf(drawn);
        const turned = [...own.slice(turn), ...own.slice(0, turn)];
        const [one, other] = [posterior(prior, own), posterior(prior, turned)];
        for (const name of Object.keys(one.functions) as (keyof typeof one.functions)[])
          expect(other.functions[name]).toBeCloseTo(one.functions[name], 9);
      }),
    );
  });

  it('shares its chances out completely, the dangerous part within them', () => {
    fc.assert(
      fc.property(sources, readings, (source, drawn) => {
        const given = posterior(sourcePrior(source), readingsOf(drawn));
        const sum = (list: readonly number[]): number =>
          list.reduce((total, one) => total + one, 0);
        expect(sum(Object.values(given.functions))).toBeCloseTo(1, 9);
        expect(sum(given.byReadings)).toBeCloseTo(1, 9);
        expect(sum(given.criticalBy)).toBeCloseTo(given.critical, 9);
        expect(given.critical).toBeLessThanOrEqual(1 + 1e-9);
      }),
    );
  });
});
