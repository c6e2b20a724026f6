import fc from 'fast-check';
import type { SetFeed, SetRules, SourceSet } from './index';
import { SET_RULES, bestSets } from './index';

/** Every set there is, by plain enumeration: the reference. */
function everySet(feeds: readonly SetFeed[], rules: SetRules): SourceSet[] {
  const sets: SourceSet[] = [];
  const walk = (at: number, chosen: readonly SetFeed['candidates'][number][]): void => {
    const feed = feeds[at];
    if (feed !== undefined) {
      for (const one of feed.candidates) walk(at + 1, [...chosen, one]);
      return;
    }
    if (new Set(chosen.map((one) => one.sourceId)).size < chosen.length) return;
    const panels = [...new Set(chosen.map((one) => one.panelId))].sort();
    const overloaded = panels.some(
      (panelId) =>
        chosen.reduce(
          (sum, one, index) => sum + (one.panelId === panelId ? (feeds[index]?.currentA ?? 0) : 0),
          0,
        ) > rules.panelLimitA,
    );
    if (overloaded) return;
    sets.push({
      slots: Object.fromEntries(
        feeds.map((one, index) => [one.feedId, chosen[index]?.sourceId ?? '']),
      ),
      panels,
      score: chosen.reduce((sum, one) => sum + one.score, 0) - rules.panelCost * panels.length,
    });
  };
  walk(0, []);
  return sets.sort((left, right) => right.score - left.score);
}

const cases = fc
  .record({
    slots: fc.array(fc.constantFrom('dash', 'boot', 'bay'), { minLength: 3, maxLength: 7 }),
    scores: fc.array(fc.array(fc.integer({ min: 0, max: 12 }), { minLength: 7, maxLength: 7 }), {
      minLength: 1,
      maxLength: 4,
    }),
    currents: fc.array(fc.integer({ min: 1, max: 14 }), { minLength: 4, maxLength: 4 }),
    panelCost: fc.constantFrom(0, 0.25, 3),
  })
  .map(({ slots, scores, currents, panelCost }) => ({
    rules: { ...SET_RULES, panelCost, count: 3 },
    feeds: scores.map((row, index): SetFeed => ({
      feedId: `feed${index}`,
      currentA: currents[index] ?? 1,
      candidates: slots.flatMap((panelId, slot) => {
        const score = row[slot] ?? 0;
        return score === 0 ? [] : [{ sourceId: `F${slot}`, panelId, score: score / 4 }];
      }),
    })),
  }));

describe('bestSets', () => {
  it('finds the true optimum and the next best ones (against every set there is)', () => {
    fc.assert(
      fc.property(cases, ({ feeds, rules }) => {
        const all = everySet(feeds, rules);
        const found = bestSets(feeds, rules);
        expect(found.map((one) => Number(one.score.toFixed(9)))).toEqual(
          all.slice(0, 3).map((one) => Number(one.score.toFixed(9))),
        );
      }),
      { numRuns: 300 },
    );
  });

  it('never gives one slot to two feeds, and opens no second panel without gain', () => {
    const candidates = [
      { sourceId: 'F1', panelId: 'dash', score: 1 },
      { sourceId: 'F2', panelId: 'dash', score: 0.9 },
      { sourceId: 'B1', panelId: 'boot', score: 1 },
    ];
    const feeds = ['memory', 'wake'].map((feedId) => ({ feedId, currentA: 1, candidates }));
    const [best] = bestSets(feeds);
    expect(best?.panels).toEqual(['dash']);
    expect(new Set(Object.values(best?.slots ?? {})).size).toBe(2);
  });

  it('gives lock and unlock the one wire that carries both by its ohms, and no other two', () => {
    const ladder = [{ sourceId: 'kick/1', panelId: 'kick', score: 1 }];
    const feed = (role: string): SetFeed => ({
      ...{ feedId: role, role, currentA: 0.25, candidates: ladder },
    });
    expect(bestSets([feed('lock'), feed('unlock')])[0]?.slots).toEqual({
      lock: 'kick/1',
      unlock: 'kick/1',
    });
    expect(bestSets([feed('lock'), feed('door')])).toEqual([]);
    expect(bestSets([feed('lock'), { ...feed('lock'), feedId: 'second' }])).toEqual([]);
  });

  it('is the same whatever the order of feeds and candidates', () => {
    fc.assert(
      fc.property(cases, ({ feeds, rules }) => {
        const turned = [...feeds]
          .reverse()
          .map((feed) => ({ ...feed, candidates: [...feed.candidates].reverse() }));
        const [a, b] = [bestSets(feeds, rules)[0], bestSets(turned, rules)[0]];
        expect(b?.score).toBe(a?.score);
        expect(b?.slots).toEqual(a?.slots);
      }),
      { numRuns: 100 },
    );
  });

  it('is empty when a feed has no source', () => {
    expect(bestSets([{ feedId: 'memory', currentA: 1, candidates: [] }])).toEqual([]);
  });
});
