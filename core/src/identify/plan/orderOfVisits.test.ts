import fc from 'fast-check';
import { stateAt } from '../../vehicle';
import type { Candidate } from './orderOfVisits';
import { cheapestOrder } from './orderOfVisits';
import { plainOrder } from '../plain/plainOrder';

const PLACES = ['off', 'run', 'acc', 'engine', 'crank'] as const;
const SETS = 1 << PLACES.length;

/** Chances that fall with every further place, as those of passing one more check do. */
function passing(losses: readonly number[]): Float64Array {
  return Float64Array.from({ length: SETS }, (_, set) =>
    losses.reduce((chance, loss, place) => ((set >> place) % 2 === 1 ? chance * loss : chance), 1),
  );
}

const candidates: fc.Arbitrary<Candidate[]> = fc.array(
  fc
    .record({
      wanted: fc.integer({ min: 1, max: SETS - 1 }),
      losses: fc.array(fc.double({ min: 0.05, max: 1, noNaN: true }), {
        minLength: PLACES.length,
        maxLength: PLACES.length,
      }),
    })
    .map(({ wanted, losses }) => ({ wanted, passing: passing(losses) })),
  { minLength: 1, maxLength: 4 },
);

describe('the order of visits', () => {
  it('is the cheapest of all orders there are (against trying every one)', () => {
    fc.assert(
      fc.property(
        candidates,
        fc.integer({ min: -1, max: PLACES.length - 1 }),
        fc.array(fc.nat(3)),
        (list, standing, shared) => {
          const isHere = (index: number): boolean =>
            standing >= 0 && ((list[index]?.wanted ?? 0) >> standing) % 2 === 1;
          const round = {
            places: PLACES,
            state: stateAt(PLACES[standing] ?? 'asleep'),
            standing,
            share: new Set(shared.filter(isHere)),
          };
          const [quick, plain] = [cheapestOrder(list, round), plainOrder(list, round)];
          expect(quick.seconds).toBeCloseTo(plain.seconds, 6);
          expect(quick.first).toBe(plain.first);
        },
      ),
      { numRuns: 200 },
    );
  });

  it('goes where a check may fail before it spends time on the others', () => {
    const doubtful: Candidate = { wanted: 0b00011, passing: passing([0.2, 1, 1, 1, 1]) };
    const round = { places: PLACES, state: stateAt('acc'), standing: 2, share: new Set<number>() };
    expect(PLACES[cheapestOrder([doubtful], round).first]).toBe('off');
  });
});
