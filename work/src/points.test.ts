import { DEFAULT_SETTINGS } from '@lucky-thread/contract';
import type { FeedPlanInput, JobView, ModelView } from '@lucky-thread/contract';
import { benchCar, meterReading, seededRandom } from '@lucky-thread/core/bench';
import type { BenchVehicle } from '@lucky-thread/core/bench';
import { feedersOf, rankSets, readRelayBase } from '@lucky-thread/core/choose';
import { advise } from '@lucky-thread/core/identify';
import type { Reading, Verdict } from '@lucky-thread/core/identify';
import type { SlotSource, StitchPlace } from '@lucky-thread/core/vehicle';
import { PARKED, stateAt } from '@lucky-thread/core/vehicle';
import {
  feedSizeOf,
  findSessionOf,
  heavyFeeds,
  jobSourcesOf,
  loomsOf,
  plannedTapsOf,
  setsInputOf,
  slotsOf,
  tappedFeeds,
} from './index';

const reach = { steps: [], fasteners: [], tools: [], seconds: 40 };
const slot = (position: string, legend: string, ratingA: number): SlotSource => ({
  kind: 'slot',
  id: `dash/${position}`,
  position,
  legend,
  ratingA,
  family: 'mini',
  column: 0,
  row: 0,
  lie: 'tall',
  contacts: [
    { id: 'a', landmark: 'upper' },
    { id: 'b', landmark: 'lower' },
  ],
  clearance: 'clear',
});
const terminal = (name: string) => ({
  kind: 'relayTerminal',
  id: `relay/${name}`,
  name,
  terminal: name,
});
const MODEL = {
  notes: [],
  places: [
    {
      id: 'dash',
      kind: 'fusePanel',
      name: 'Dash panel',
      reach,
      columns: 1,
      rows: 1,
      sources: [slot('F1', 'CIG', 15), slot('F2', 'ROOM', 10), slot('F3', 'ABS', 30)],
    },
    {
      id: 'relay',
      kind: 'relaySocket',
      name: 'Empty base',
      reach,
      sources: ['30', '85', '86', '87'].map(terminal),
    },
    {
      id: 'bar',
      kind: 'stud',
      name: 'Bus bar',
      reach,
      sources: [{ kind: 'stud', id: 'bar/B1', name: 'B1', threadMm: 6 }],
    },
    {
      id: 'post',
      kind: 'groundPoint',
      name: 'Post',
      reach,
      sources: [{ kind: 'ground', id: 'post/G1', name: 'G1' }],
    },
  ],
} as unknown as ModelView;

const NO_LOAD = 1e9;
const BENCH: BenchVehicle = {
  battery: { restV: 12.6, internalOhm: 0.009, crankingA: 180, chargingV: 14.2 },
  circuits: [],
  wires: [
    { id: 'relay/30', behind: { is: 'feed', supply: 'battery', loadOhm: NO_LOAD } },
    { id: 'relay/85', behind: { is: 'ground', ohm: 0.05 } },
    { id: 'relay/86', behind: { is: 'feed', supply: 'runContact', loadOhm: NO_LOAD } },
    { id: 'relay/87', behind: { is: 'turnOn', loadOhm: 40 } },
    { id: 'bar/B1', behind: { is: 'feed', supply: 'battery', loadOhm: NO_LOAD } },
  ],
};
const PLACES: readonly StitchPlace[] = ['off', 'acc', 'run', 'crank', 'justOff', 'asleep', 'lamps'];

/** What a meter shows at every point of the simulated car, in every state that look-alikes differ in. */
function readings(): Reading[] {
  const car = benchCar(BENCH);
  const random = seededRandom(5);
  return (BENCH.wires ?? []).flatMap(({ id }) =>
    PLACES.map((place): Reading => ({
      id: `${id} ${place}`,
      sourceId: id,
      contact: undefined,
      state: stateAt(place),
      value: {
        kind: 'volts',
        volts: meterReading(car, { pointId: id, state: stateAt(place) }, random),
      },
    })),
  );
}

function jobFor(currentA: number, plan: readonly FeedPlanInput[] = []): JobView {
  return {
    id: 'job',
    vehicle: { modelId: 'm', year: 2020, trim: '', market: '', steering: 'left' },
    device: { name: 'Heater', feeds: [{ id: 'c', name: 'Supply', role: 'constant', currentA }] },
    plan,
    harness: [],
  } as unknown as JobView;
}
const contextOf = (job: JobView) => ({ job, model: MODEL, taps: [], settings: DEFAULT_SETTINGS });

function verdictsFor(job: JobView): Map<string, Verdict> {
  const { verdicts } = advise(findSessionOf(contextOf(job), readings(), { state: PARKED }));
  return new Map(verdicts.map((one) => [one.sourceId, one]));
}

describe('terminals of a relay socket, studs and grounds', () => {
  it('are sources of a job, and all but grounds are read for what they are', () => {
    const job = jobFor(25);
    expect(jobSourcesOf(contextOf(job)).map(({ source }) => source.id)).toContain('post/G1');
    const verdicts = verdictsFor(job);
    expect(verdicts.has('post/G1')).toBe(false);
    expect(verdicts.get('bar/B1')?.function).toBe('constant');
    expect(verdicts.get('relay/30')?.function).toBe('constant');
    expect(verdicts.get('relay/86')?.function).toBe('ignitionRun');
    expect(loomsOf(contextOf(job)).map((loom) => loom.id)).toEqual(['relay', 'bar']);
  });

  it('tell an empty base that was wired from one that is fed from behind', () => {
    const verdicts = verdictsFor(jobFor(1));
    const base = MODEL.places[1]?.sources.filter((one) => one.kind === 'relayTerminal') ?? [];
    const read = readRelayBase(base, verdicts);
    expect(read).toMatchObject({ constant: ['30'], switched: ['86'] });
    expect(read.text).toMatch(/unused base: a constant feed at 30, a switched feed at 86/);
    const fedBack = new Map([...verdicts, ['relay/87', verdicts.get('relay/30') as Verdict]]);
    expect(readRelayBase(base, fedBack).text).toMatch(/Leave it alone/);
    expect(readRelayBase(base, new Map()).text).toMatch(/Read 30, 85, 86, 87/);
  });
});

describe('a feed that no slot carries', () => {
  const heavy = jobFor(25);

  it('is looked for where a stud carries it, and nowhere else', () => {
    const slotsOnly = { notes: [], places: MODEL.places.slice(0, 1) };
    expect(heavyFeeds({ job: heavy, model: slotsOnly }).map((feed) => feed.id)).toEqual(['c']);
    expect(heavyFeeds({ job: heavy, model: MODEL })).toEqual([]);
  });

  it('goes to the stud with a ring and a fuse of its own; a terminal is refused for it', () => {
    const { rankings } = rankSets(setsInputOf(contextOf(heavy), verdictsFor(heavy)));
    const { candidates = [], unfit = [] } = rankings.c ?? {};
    expect(candidates.map((one) => one.sourceId)).toEqual(['bar/B1']);
    expect(candidates[0]?.because).toMatch(/ring on stud B1/);
    expect(candidates[0]?.cautions.join(' ')).toMatch(/fuse of its own within 45 cm/);
    expect(unfit.find((one) => one.sourceId === 'relay/30')?.wayOut).toMatch(/battery/);
    const job = jobFor(25, [{ feedId: 'c', sourceId: 'bar/B1', oneWayM: 1.5 }]);
    const [tapped] = tappedFeeds(contextOf(job));
    if (tapped === undefined) throw new Error('the feed is tapped');
    const size = feedSizeOf(tapped, DEFAULT_SETTINGS);
    // Three quarters of the fuse may flow for good (common practice): 25 A asks for 35 A or more.
    expect(size?.ok === true && size.fuseA).toBeGreaterThanOrEqual(33.3);
    expect(plannedTapsOf(contextOf(job), [])).toMatchObject([
      { at: 'wire', position: 'stud B1', method: 'ring at a stud or bus bar', cuts: false },
    ]);
  });

  it('is refused where the fuse before the stud is too small for it', () => {
    const plan = [{ feedId: 'c', sourceId: 'bar/B1', feedFuseA: 30 }];
    const job = jobFor(25, plan);
    const { rankings } = rankSets(setsInputOf(contextOf(job), verdictsFor(job)));
    expect(rankings.c?.candidates).toEqual([]);
    expect(rankings.c?.unfit.find((one) => one.sourceId === 'bar/B1')?.constraint).toMatch(
      /30 A fuse before it/,
    );
  });
});

describe('the fuse that feeds a terminal', () => {
  it('is proposed among those that live with it; what must not be touched never is', () => {
    const verdicts = verdictsFor(jobFor(1));
    const found = feedersOf(terminal('30') as never, { slots: slotsOf(MODEL), verdicts });
    // By its legend the cabin's lamp hangs on the battery; brakes do too, and are left alone.
    expect(found.map(({ slot: one }) => one.position)).toContain('F2');
    expect(found.map(({ slot: one }) => one.position)).not.toContain('F3');
  });

  it('forbids what it feeds where it must not be touched itself', () => {
    const plan = [{ feedId: 'c', sourceId: 'relay/30', fedBy: 'dash/F3', feedFuseA: 30 }];
    const job = jobFor(1, plan);
    const { rankings } = rankSets(setsInputOf(contextOf(job), verdictsFor(job)));
    expect(rankings.c?.unfit.find((one) => one.sourceId === 'relay/30')?.constraint).toMatch(
      /fed by F3 ABS/,
    );
  });
});
