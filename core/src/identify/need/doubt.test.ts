import fc from 'fast-check';
import { farthest } from '../../testing/farthest';
import type { StitchPlace } from '../../vehicle';
import { placeOf, stateAt } from '../../vehicle';
import { advise } from '../advise';
import { HYPOTHESES, UNKNOWN_LEVELS, isLive } from '../circuit/hypotheses';
import { LEVELS } from '../circuit/levels';
import type { Reading } from '../reading/reading';
import type { Verdict } from '../verdict/verdict';
import type { Doubt } from './doubt';
import { doubtOf, doubtTaken, expectation, isOpen, passingChances, remove } from './doubt';
import type { Need } from './needs';
import { preparedNeedOf } from './needs';

const PLACES = ['off', 'acc', 'run', 'crank', 'asleep'] as const;
const NONE = HYPOTHESES.length;
/** How often a circuit that nobody knows is live. */
const UNKNOWN_LIVE = UNKNOWN_LEVELS[LEVELS.indexOf('battery')] ?? 0;
const NEEDS: readonly Need[] = [
  { id: 'memory', role: 'constant' },
  { id: 'supply', role: 'switched' },
  { id: 'held', role: 'switched', holdsCranking: true },
];

/** What a slot is taken for after readings. */
function verdictOf(
  legend: string | undefined,
  seen: readonly (readonly [StitchPlace, number])[],
): Verdict {
  const readings = seen.map(([place, volts], index): Reading => ({
    ...{ id: `r${index}`, sourceId: 'F1', contact: undefined, state: stateAt(place) },
    value: { kind: 'volts', volts },
  }));
  const source = { id: 'F1', name: 'F1', legend, fitted: true, tappable: true, logged: undefined };
  const [verdict] = advise({
    sources: [source],
    readings,
    state: stateAt('off'),
    needs: NEEDS,
  }).verdicts;
  if (verdict === undefined) throw new Error('no verdict');
  return verdict;
}

const legends = fc.constantFrom(undefined, 'RADIO', 'ACC', 'BAT', 'IGN', 'WIPER');
const seens = fc.uniqueArray(
  fc.tuple(fc.constantFrom(...PLACES), fc.constantFrom(0, 0.4, 6, 9.8, 12.3)),
  { maxLength: 3, selector: ([place]) => place },
);
const cases = fc.record({
  legend: legends,
  seen: seens,
  need: fc.constantFrom(...NEEDS),
  place: fc.constantFrom(...PLACES),
  live: fc.boolean(),
});

const sum = (weights: readonly number[]): number => weights.reduce((total, one) => total + one, 0);
/** All that speaks against a source; danger counts four times. */
const against = ({ believed, byReadings, critical }: Doubt): number =>
  sum(believed) + sum(byReadings) + 4 * sum(critical.slice(0, NONE));
const isLiveAt = (index: number, place: StitchPlace): boolean => {
  const hypothesis = HYPOTHESES[index];
  return hypothesis !== undefined && isLive(hypothesis, stateAt(place));
};

describe('what speaks against a source', () => {
  it('is taken away by a reading as far as that was reckoned before', () => {
    fc.assert(
      fc.property(cases, ({ legend, seen, need, place, live }) => {
        const verdict = verdictOf(legend, seen);
        const doubt = doubtOf(preparedNeedOf(need), verdict);
        const hoped = doubtTaken(doubt, place, live);
        const before = against(doubt);
        // A place that was read says more at the second touch: that is looked at below.
        if (verdict.posterior.evidence.some(({ state }) => placeOf(state) === place)) return;
        const failing = remove(doubt, place, live);
        expect(before - against(doubt)).toBeCloseTo(hoped, 9);
        expect(failing).toBeLessThanOrEqual(1);
        expect(failing).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 60 },
    );
  });

  it('goes where a circuit shows something else there, and stays where it shows the same', () => {
    fc.assert(
      fc.property(cases, ({ legend, seen, need, place, live }) => {
        const verdict = verdictOf(legend, seen);
        const [before, after] = [0, 1].map(() => doubtOf(preparedNeedOf(need), verdict)) as [
          Doubt,
          Doubt,
        ];
        remove(after, place, live);
        const wasRead = verdict.posterior.evidence.some(({ state }) => placeOf(state) === place);
        const known = Array.from({ length: NONE }, (_, index) => index);
        const left = known.map((index) => {
          // Of a circuit of the right kind that one touch spoke against another touch leaves a fiftieth.
          const serves = (before.servingBy[index] ?? 0) > 0;
          return isLiveAt(index, place) !== live ? 0 : wasRead && serves ? 0.02 : 1;
        });
        const are = (list: ArrayLike<number>) => known.map((index) => list[index] ?? 0);
        const leaves = (list: ArrayLike<number>) =>
          are(list).map((one, at) => (left[at] ?? 0) * one);
        expect(farthest(are(after.believed), leaves(before.believed))).toBeLessThan(1e-12);
        expect(farthest(are(after.byReadings), leaves(before.byReadings))).toBeLessThan(1e-12);
        const stays = are(before.critical).map((one, at) => (left[at] === 0 ? 0 : one));
        expect(farthest(are(after.critical), stays)).toBeLessThan(1e-12);
        if (wasRead) return;
        const kept = live ? UNKNOWN_LIVE : 1 - UNKNOWN_LIVE;
        expect(after.believed[NONE]).toBeCloseTo(kept * (before.believed[NONE] ?? 0), 12);
        expect(after.byReadings[NONE]).toBeCloseTo(kept * (before.byReadings[NONE] ?? 0), 12);
      }),
      { numRuns: 60 },
    );
  });

  it('is all that does not serve, and is open while it is too much beside what does', () => {
    fc.assert(
      fc.property(cases, ({ legend, seen, need }) => {
        const verdict = verdictOf(legend, seen);
        const doubt = doubtOf(preparedNeedOf(need), verdict);
        const { hypotheses, byReadings, functions } = verdict.posterior;
        expect(sum(doubt.believed) + doubt.serving.believed).toBeCloseTo(
          sum(hypotheses.slice(0, NONE)) + functions.none,
          9,
        );
        const believed = doubt.serving.believed / (sum(doubt.believed) + doubt.serving.believed);
        const read = doubt.serving.byReadings / (sum(doubt.byReadings) + doubt.serving.byReadings);
        expect(sum(byReadings)).toBeCloseTo(1, 9);
        expect(isOpen(doubt)).toBe(
          !(believed >= doubt.sure.believed && read >= doubt.sure.byReadings),
        );
      }),
      { numRuns: 60 },
    );
  });
});

describe('whether doubt is left', () => {
  const left = (believed: number, byReadings: number): boolean =>
    isOpen({
      ...doubtOf(preparedNeedOf(NEEDS[0] as Need), verdictOf('BAT', [])),
      ...{ believed: [believed], byReadings: [byReadings] },
      serving: { believed: 1 - believed, byReadings: 1 - byReadings },
    });

  // Sure from 97 % on, and from 86 % on by the readings alone: no legend makes up for a state that nobody has seen.
  it.each([
    [0.02, 0.1, false],
    [0.04, 0.1, true],
    [0.02, 0.13, false],
    [0.02, 0.15, true],
    [0.5, 0.5, true],
  ])('with %d that would not serve, %d by the readings: %s', (believed, byReadings, is) => {
    expect(left(believed, byReadings)).toBe(is);
  });
});

describe('what a place is expected to show', () => {
  it('is what a source that serves shows there', () => {
    const of = (need: Need, place: StitchPlace) =>
      expectation(preparedNeedOf(need), verdictOf('ACC', []), place);
    expect(of(NEEDS[0] as Need, 'off')).toBe(true);
    expect(of(NEEDS[1] as Need, 'off')).toBe(false);
    expect(of(NEEDS[1] as Need, 'run')).toBe(true);
    expect(of(NEEDS[2] as Need, 'crank')).toBe(true);
  });

  it('is nothing where those that may serve differ, or none does', () => {
    const supply = preparedNeedOf(NEEDS[1] as Need);
    expect(expectation(supply, verdictOf(undefined, []), 'crank')).toBeUndefined();
    const nothing = { posterior: { ...verdictOf('ACC', []).posterior, hypotheses: [] } };
    expect(expectation(supply, nothing as unknown as Verdict, 'run')).toBeUndefined();
  });
});

describe('the chance that a source comes out as hoped at some places', () => {
  // By its definition, place by place: all circuits that show what is hoped, and the share of unknown ones that do.
  it('is that of the circuits that would, added up', () => {
    fc.assert(
      fc.property(
        legends,
        seens,
        fc.array(fc.option(fc.boolean(), { nil: undefined }), { minLength: 3, maxLength: 3 }),
        (legend, seen, hopes) => {
          const { posterior } = verdictOf(legend, seen);
          const places = ['off', 'run', 'crank'] as const;
          const checks = places.flatMap((place, at) => {
            const expectLive = hopes[at];
            return expectLive === undefined ? [] : [{ place, expectLive }];
          });
          const passing = passingChances({ verdict: { posterior } as Verdict, checks }, places);
          expect(passing).toHaveLength(8);
          passing.forEach((chance, set) => {
            const asked = places.flatMap((place, at) =>
              (set >> at) % 2 === 1 && hopes[at] !== undefined ? [[place, hopes[at]] as const] : [],
            );
            const known = posterior.hypotheses.slice(0, NONE).filter(
              (weight, index) =>
                // What has hardly a chance is left out.
                weight >= 1e-4 && asked.every(([place, live]) => isLiveAt(index, place) === live),
            );
            const unknown = asked.reduce(
              (share, [, live]) => share * (live ? UNKNOWN_LIVE : 1 - UNKNOWN_LIVE),
              posterior.functions.none,
            );
            expect(chance).toBeCloseTo(sum(known) + unknown, 9);
          });
        },
      ),
      { numRuns: 40 },
    );
  });
});
