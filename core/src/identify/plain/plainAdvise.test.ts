import fc from 'fast-check';
import { farthest } from '../../testing/farthest';
import { CIRCUIT_FUNCTIONS, STITCH_PLACES, stateAt } from '../../vehicle';
import { advise, newAdviser } from '../advise';
import type { FindAdvice, FindSession } from '../advise';
import type { Need } from '../need/needs';
import type { NextAction } from '../plan/nextAction';
import { plainAdvise } from './plainAdvise';

const LEGENDS = ['BAT', 'CIG', 'IGN', 'METER', 'ILLUM', 'A/BAG', 'CTRL', 'ACC', undefined];
const NEEDS: readonly Need[] = [
  { id: 'memory', role: 'constant' },
  { id: 'supply', role: 'switched', liveInAcc: true },
  { id: 'steady', role: 'switched', holdsCranking: true },
  { id: 'dim', role: 'illumination' },
];
const SLOT_PLACES = ['off', 'acc', 'run', 'crank', 'engine', 'asleep', 'lamps'] as const;

const sessions: fc.Arbitrary<FindSession> = fc
  .record({
    legends: fc.array(fc.constantFrom(...LEGENDS), { minLength: 1, maxLength: 18 }),
    read: fc.array(
      fc.tuple(fc.nat(8), fc.constantFrom(...SLOT_PLACES), fc.constantFrom(12.4, 0.02, 0, 5.1)),
      { maxLength: 14 },
    ),
    needs: fc.subarray([...NEEDS], { minLength: 1, maxLength: 3 }),
    place: fc.constantFrom(...STITCH_PLACES),
    until: fc.constantFrom('role' as const, 'function' as const),
  })
  .map(({ legends, read, needs, place, until }) => ({
    sources: legends.map((legend, index) => ({
      id: `F${index}`,
      name: `F${index}`,
      legend,
      fitted: true,
      tappable: true,
      logged: undefined,
    })),
    readings: read
      .filter(([slot]) => slot < legends.length)
      .map(([slot, at, volts], index) => ({
        id: `r${index}`,
        sourceId: `F${slot}`,
        contact: undefined,
        state: stateAt(at),
        value: { kind: 'volts' as const, volts },
      })),
    state: stateAt(place),
    needs,
    until,
  }));

/** Chances of a legend are short decimals: one that ends in a five would be rounded up here and down there. */
const ASIDE = 1.23e-10;

/**
 * What is done next, with each slot named by what is known of it: of two that are alike in that, either may come first, for
 * sums in another order differ in their last digit.
 */
function apartFromTies(
  next: NextAction,
  { verdicts }: FindAdvice,
  { sources }: FindSession,
): unknown {
  if (next.kind !== 'visit') return next;
  const knownOf = (id: string): string => {
    const legend = sources.find((one) => one.id === id)?.legend ?? 'none';
    const found = verdicts.find(({ sourceId }) => sourceId === id)?.posterior.functions;
    const chances = CIRCUIT_FUNCTIONS.map((name) => ((found?.[name] ?? NaN) + ASIDE).toFixed(6));
    return [legend, ...chances].join(' ');
  };
  const { sourceIds, withLamp, ...visit } = next.visit;
  return {
    ...{ kind: next.kind, because: next.because, caution: next.caution, visit },
    touched: sourceIds.map(knownOf),
    withLamp: withLamp.map(knownOf),
  };
}

/** Every chance of every slot, slot by slot. */
function chancesIn({ verdicts }: Pick<FindAdvice, 'verdicts'>): number[] {
  return verdicts.flatMap(({ posterior }) =>
    CIRCUIT_FUNCTIONS.map((name) => posterior.functions[name]),
  );
}

describe('the quick advice against the plain one', () => {
  it('is the same: chances, sources found and the next visit', () => {
    // The adviser is kept over all sessions, as the worker keeps it: nothing of one may leak into the next.
    const adviser = newAdviser();
    fc.assert(
      fc.property(sessions, (session) => {
        const plain = plainAdvise(session);
        const quick = adviser(session);
        expect(apartFromTies(quick.next, quick, session)).toEqual(
          apartFromTies(plain.next, plain, session),
        );
        expect(quick.filled).toEqual(plain.filled);
        expect(quick.tentative).toEqual(plain.tentative);
        expect(farthest(chancesIn(quick), chancesIn(plain))).toBeLessThan(1e-9);
      }),
      { numRuns: 60 },
    );
  });

  it('is the same from an adviser that is kept and from one that is not', () => {
    const adviser = newAdviser();
    fc.assert(
      fc.property(sessions, (session) => {
        expect(adviser(session)).toEqual(advise(session));
      }),
      { numRuns: 20 },
    );
  });
});
