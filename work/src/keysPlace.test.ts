import type { JobView, ModelView } from '@lucky-thread/contract';
import { DEFAULT_SETTINGS } from '@lucky-thread/contract';
import { feedSheet, rankSets } from '@lucky-thread/core/choose';
import type { Verdict } from '@lucky-thread/core/identify';
import { advise } from '@lucky-thread/core/identify';
import type { StitchPlace } from '@lucky-thread/core/vehicle';
import { PARKED, stateAt } from '@lucky-thread/core/vehicle';
import {
  drawnBy,
  feedProofsOf,
  feedSizeOf,
  findSessionOf,
  heavyFeeds,
  setsInputOf,
  sheetGivenOf,
  tappedFeeds,
} from './index';
import { loadKindOf } from './jobFeeds';

type Model = Parameters<typeof findSessionOf>[0]['model'];

const COLUMN = {
  ...{ id: 'column', kind: 'connector', name: 'Ignition plug' },
  reach: { steps: [], fasteners: [], tools: [] },
  sources: ['1', '2'].map((name) => ({
    ...{ kind: 'cavity', id: `column/${name}`, name, gaugeMm2: 4, gaugeMeasured: true },
  })),
};
const PANEL = {
  ...{ id: 'dash', kind: 'fusePanel', name: 'Dash', location: '', notes: '' },
  reach: { steps: [], fasteners: [], tools: [] },
  sources: [
    {
      ...{ kind: 'slot', id: 'dash/F1', position: 'F1', legend: 'WIPER', ratingA: 25 },
      ...{ family: 'standard', clearance: 'clear' },
    },
  ],
};
const model = (...places: readonly object[]): Model => ({ notes: [], places }) as unknown as Model;

/** A starter as it is sold: one main feed in, the key’s wires out. */
const JOB = {
  id: 'job',
  vehicle: { modelId: 'm', year: 2015 },
  device: {
    name: 'Starter',
    feeds: [
      { id: 'main', name: 'Main feed', role: 'constant', currentA: 21 },
      { id: 'run', name: 'Ignition', role: 'switched', currentA: 10, direction: 'out' },
    ],
  },
  plan: [
    { feedId: 'main', sourceId: 'column/1', oneWayM: 1.5 },
    { feedId: 'run', sourceId: 'column/2', oneWayM: 1.5 },
  ],
  proofs: [],
  harness: [
    { id: 'column/1', name: '1', colour: 'RD', gaugeMm2: 4 },
    { id: 'column/2', name: '2', colour: 'YE', gaugeMm2: 4 },
  ],
} as unknown as JobView;

const BOTH = model(PANEL, COLUMN);
const CONTEXT = {
  job: JOB,
  model: BOTH as unknown as ModelView,
  taps: [],
  settings: DEFAULT_SETTINGS,
};

function read(sourceId: string, place: StitchPlace, volts: number) {
  const value = { kind: 'volts' as const, volts };
  return { id: `${sourceId} ${place}`, sourceId, contact: undefined, state: stateAt(place), value };
}
const KEYED = (['off', 'asleep', 'acc', 'justOff'] as const).flatMap((place) => [
  read('column/2', place, 0),
  read('dash/F1', place, 0),
]);
const LIVE = (['run', 'crank', 'engine'] as const).flatMap((place) => [
  read('column/2', place, place === 'crank' ? 10 : 12.2),
  read('dash/F1', place, place === 'crank' ? 10 : 12.2),
]);
const READINGS = [
  ...KEYED,
  ...LIVE,
  ...(['off', 'asleep', 'acc', 'run', 'justOff', 'lamps'] as const).map((place) =>
    read('column/1', place, 12.2),
  ),
  // Live with every switch worked that might pull it down.
  ...(['parkingBrake', 'lock', 'unlock', 'hood', 'horn'] as const).map((place) =>
    read('column/1', place, 12.2),
  ),
  read('column/1', 'crank', 10),
];

function tapped(id: string) {
  const found = tappedFeeds(CONTEXT).find(({ feed }) => feed.id === id);
  if (found === undefined) throw new Error(`${id} is not tapped`);
  return found;
}

describe('a device that works the key’s wires', () => {
  it('draws on its main feed in the key’s place, and gives to the others', () => {
    expect(loadKindOf(tapped('main').feed, CONTEXT)).toBe('inKeysPlace');
    expect(loadKindOf(tapped('run').feed, CONTEXT)).toBe('given');
    expect([drawnBy(tapped('main'), CONTEXT), drawnBy(tapped('run'), CONTEXT)]).toEqual([0, 0]);
    const plain = { job: { device: { ...JOB.device, feeds: JOB.device.feeds.slice(0, 1) } } };
    expect(loadKindOf(tapped('main').feed, plain)).toBe('beside');
  });

  it('is sized: a heavy holder, a fuse that lead and wire of the car stand, a joint that carries it', () => {
    const size = feedSizeOf(tapped('main'), DEFAULT_SETTINGS);
    expect(size).toMatchObject({ ok: true, fuseA: 30, holderA: 30 });
    if (size === undefined) return;
    const given = sheetGivenOf(CONTEXT, tapped('main'), { size });
    const sheet = given && feedSheet(given);
    expect(sheet?.headroom.verdict).toBe('ok');
    expect(sheet?.methods.ranked[0]?.name).toMatch(/crimp/);
  });

  it('is joined beside a load that a clamp showed: the key’s contacts carry that or the device’s, not both', () => {
    const { feed, source, plan } = tapped('main');
    const measured = { feed, source, plan: { ...plan, measuredA: 15 } };
    const size = feedSizeOf(measured, DEFAULT_SETTINGS);
    const given = size && sheetGivenOf(CONTEXT, measured, { size });
    expect(given && feedSheet(given).methods.ranked[0]?.name).toMatch(/crimp/);
  });

  it('goes to wires behind the key alone: a fuse’s place is neither searched nor offered', () => {
    const session = findSessionOf(CONTEXT, READINGS, { state: PARKED });
    expect(session.needs.find(({ id }) => id === 'run')?.excluded).toContain('dash/F1');
    const { verdicts } = advise(session);
    const byId = new Map<string, Verdict>(verdicts.map((one) => [one.sourceId, one]));
    const { sets, rankings } = rankSets(setsInputOf(CONTEXT, byId));
    const ranking = rankings.run;
    expect(ranking?.candidates.map(({ sourceId }) => sourceId)).toEqual(['column/2']);
    expect(ranking?.candidates[0]?.because).toMatch(/device gives current/);
    // More than may be added to one place is no matter where nothing is added.
    expect(sets[0]?.slots).toEqual({ main: 'column/1', run: 'column/2' });
    const slot = ranking?.unfit.find(({ sourceId }) => sourceId === 'dash/F1');
    expect(slot?.constraint).toMatch(/backwards/);
  });

  it('is not searched for in vain where no wire lies open', () => {
    const closed = { job: { ...JOB, harness: [] }, model: model(PANEL) };
    expect(heavyFeeds(closed).map(({ id }) => id)).toEqual(['main', 'run']);
    expect(heavyFeeds({ job: JOB, model: BOTH })).toEqual([]);
    // A switch's signal is given too, and is searched for as soon as something lies open.
    const lock = { id: 'lock', name: 'Lock', role: 'lock', currentA: 0.25, direction: 'out' };
    const device = { ...JOB.device, feeds: [lock] } as unknown as JobView['device'];
    expect(heavyFeeds({ ...closed, job: { ...closed.job, device } })).toEqual([]);
  });

  it('is proved with its plug pulled: its load comes with the hand-over', () => {
    const { verdicts } = advise(findSessionOf(CONTEXT, READINGS, { state: PARKED }));
    const checks = feedProofsOf({ context: CONTEXT, readings: READINGS, verdicts }).flatMap(
      ({ proofs }) => proofs.flatMap((one) => one.checks),
    );
    const ends = checks.map(({ check }) => check).filter(({ spot }) => spot === 'end');
    expect(ends.length).toBeGreaterThan(2);
    for (const { how } of ends) expect(how).toMatch(/plug pulled/);
    const live = ends.find(({ leastV }) => leastV !== undefined);
    // Nothing flows, so that no more is lost than between two readings and over the limit of the lead.
    expect(live?.leastV).toBeCloseTo(12.2 - 0.36 - 0.25, 2);
  });
});
