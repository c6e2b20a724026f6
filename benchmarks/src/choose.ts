import { benchCar, generateVehicle, meterReading, seededRandom } from '@lucky-thread/core/bench';
import type { JobFeed, SetFeed, SourceSet } from '@lucky-thread/core/choose';
import {
  JOIN_METHODS,
  METHOD_FACTS,
  SET_RULES,
  bestSets,
  chooseMethod,
  rankSets,
} from '@lucky-thread/core/choose';
import type { Verdict } from '@lucky-thread/core/identify';
import { advise } from '@lucky-thread/core/identify';
import { sizeFeed } from '@lucky-thread/core/size';
import { sourcesOf } from '@lucky-thread/core/trial';
import type { Slot } from '@lucky-thread/core/vehicle';
import { stateAt } from '@lucky-thread/core/vehicle';
import { line, measure } from './measure';

const SLOTS = 60;
const ROUNDS = 60;
const PLACES = ['asleep', 'off', 'acc', 'run', 'crank'] as const;
const NEEDS = [
  { id: 'memory', role: 'constant' as const },
  { id: 'supply', role: 'switched' as const, liveInAcc: true },
  { id: 'steady', role: 'switched' as const },
];

/** Ranking of all sets, sizes of the best ones and every joining method, for 60 slots and 3 feeds, against plain search. */
export async function chooseBenchmark(): Promise<void> {
  const { slots, verdicts } = readCar();
  const feeds = NEEDS.map((need, index): JobFeed => ({
    need,
    name: need.id,
    currentA: 0.5 + index,
    loggedSourceIds: new Set(),
  }));
  const half = Math.ceil(slots.length / 2);
  const panels = [
    { id: 'dash', name: 'dash panel', slots: slots.slice(0, half) },
    { id: 'bay', name: 'bay panel', slots: slots.slice(half) },
  ];
  const ours = () => {
    const ranked = rankSets({ panels, verdicts, feeds });
    for (const set of ranked.sets)
      for (const feed of feeds) {
        const slot = slots.find((one) => one.id === set.slots[feed.need.id]);
        if (slot !== undefined) sizeAndJoin(slot, feed.currentA);
      }
    return ranked;
  };
  const { rankings } = ours();
  const setFeeds = feeds.map((feed): SetFeed => ({
    feedId: feed.need.id,
    currentA: feed.currentA,
    candidates: (rankings[feed.need.id]?.candidates ?? []).map(({ sourceId, score }) => ({
      sourceId,
      panelId: panels[0]?.slots.some((slot) => slot.id === sourceId) === true ? 'dash' : 'bay',
      score,
    })),
  }));
  // Plain search sizes and joins every candidate and looks at every set there is.
  const plain = () => {
    for (const feed of setFeeds)
      for (const { sourceId } of feed.candidates) {
        const slot = slots.find((one) => one.id === sourceId);
        if (slot !== undefined) sizeAndJoin(slot, feed.currentA);
      }
    return exhaustive(setFeeds);
  };
  const times = await measure(ROUNDS, {
    ours,
    plain,
    branch: () => bestSets(setFeeds),
    exhaustive: () => exhaustive(setFeeds),
  });
  const best = plain();
  const found = ours().sets[0];
  const count = setFeeds.reduce((product, feed) => product * feed.candidates.length, 1);
  line(
    `rank, size and join, ${slots.length} slots, 3 feeds, ${JOIN_METHODS.length} methods: median`,
    `${(times.ours?.median ?? 0).toFixed(2)} ms`,
  );
  line('  p95', `${(times.ours?.p95 ?? 0).toFixed(2)} ms`);
  line(
    '  ratio plain search / ours',
    ((times.plain?.median ?? 0) / (times.ours?.median ?? 1)).toFixed(1),
  );
  line(
    `  best set alone, of ${count} sets: ratio exhaustive / branch and bound`,
    ((times.exhaustive?.median ?? 0) / (times.branch?.median ?? 1)).toFixed(0),
  );
  line('  same optimum', Math.abs((best?.score ?? 0) - (found?.score ?? 1)) < 1e-9 ? 'yes' : 'NO');
}

function readCar(): { readonly slots: readonly Slot[]; readonly verdicts: Map<string, Verdict> } {
  let seed = 1;
  while (generateVehicle(seed).slots.length !== SLOTS) seed += 1;
  const vehicle = generateVehicle(seed);
  const car = benchCar(vehicle.truth);
  const random = seededRandom(seed);
  const sources = sourcesOf(vehicle);
  const readings = PLACES.flatMap((place) =>
    sources.map((source) => ({
      id: `${source.id}-${place}`,
      sourceId: source.id,
      contact: undefined,
      state: stateAt(place),
      value: {
        kind: 'volts' as const,
        volts: meterReading(car, { pointId: source.id, state: stateAt(place) }, random),
      },
    })),
  );
  const { verdicts } = advise({ sources, readings, state: stateAt('off'), needs: NEEDS });
  return {
    slots: vehicle.slots.map((slot, index): Slot => ({
      id: slot.id,
      position: slot.id,
      legend: slot.legend,
      ratingA: slot.ratingA,
      family: slot.family,
      column: index,
      row: 0,
      lie: 'tall',
      contacts: [
        { id: 'a', landmark: 'upper' },
        { id: 'b', landmark: 'lower' },
      ],
      clearance: 'clear',
    })),
    verdicts: new Map(verdicts.map((one) => [one.sourceId, one])),
  };
}

function sizeAndJoin(slot: Slot, currentA: number): void {
  sizeFeed({
    currentA,
    oneWayM: 4,
    returnPath: 'body',
    systemV: 12,
    dropLimitPercent: 3,
    insulation: 105,
    slot: { family: slot.family, ratingA: slot.ratingA ?? 10 },
  });
  for (const place of new Set(JOIN_METHODS.flatMap((method) => METHOD_FACTS[method].places)))
    chooseMethod({
      place,
      currentA,
      addedMm2: 0.75,
      reversible: 'any',
      circuit: 'power',
      school: 'crimp only',
      tapFits: true,
    });
}

/** The best of every set there is. */
function exhaustive(feeds: readonly SetFeed[]): SourceSet | undefined {
  let best: SourceSet | undefined;
  const walk = (at: number, chosen: readonly SetFeed['candidates'][number][]): void => {
    const feed = feeds[at];
    if (feed !== undefined) {
      for (const one of feed.candidates)
        if (!chosen.some((other) => other.sourceId === one.sourceId))
          walk(at + 1, [...chosen, one]);
      return;
    }
    const panels = [...new Set(chosen.map((one) => one.panelId))];
    const score =
      chosen.reduce((sum, one) => sum + one.score, 0) - SET_RULES.panelCost * panels.length;
    if (best === undefined || score > best.score)
      best = {
        slots: Object.fromEntries(
          feeds.map((one, index) => [one.feedId, chosen[index]?.sourceId ?? '']),
        ),
        panels,
        score,
      };
  };
  walk(0, []);
  return best;
}
