import { DEFAULT_SETTINGS } from '@lucky-thread/contract';
import type { JobView, ModelView } from '@lucky-thread/contract';
import { feedSheet, rankSets } from '@lucky-thread/core/choose';
import { advise } from '@lucky-thread/core/identify';
import type { Reading, Verdict } from '@lucky-thread/core/identify';
import type { StitchPlace } from '@lucky-thread/core/vehicle';
import { PARKED, stateAt } from '@lucky-thread/core/vehicle';
import {
  buildPlanOf,
  bunchesOf,
  closedPlaces,
  feedSizeOf,
  findSessionOf,
  isJoined,
  jobSourcesOf,
  logFindingsOf,
  loomsOf,
  setsInputOf,
  sheetGivenOf,
  tappedFeeds,
  titleOf,
  wiresAt,
} from './index';

const MODEL = {
  notes: [],
  places: [
    {
      id: 'harness',
      kind: 'loom',
      name: 'Behind the radio',
      reach: { steps: [], fasteners: [], tools: [], seconds: 120 },
      sources: [
        { kind: 'wire', id: 'harness/W1', name: 'W1', colour: 'RD' },
        { kind: 'wire', id: 'harness/W2', name: 'W2', colour: 'BU/PK', tapedWith: 'harness/W1' },
        { kind: 'wire', id: 'harness/W3', name: 'W3', colour: 'YE' },
      ],
    },
  ],
} as unknown as ModelView;
const JOB = {
  id: 'job',
  vehicle: { modelId: 'm', year: 2020, trim: '', market: '', steering: 'left' },
  device: {
    name: 'Dashcam',
    feeds: [{ id: 's', name: 'Supply', role: 'switched', currentA: 0.5, liveInAcc: true }],
  },
  plan: [{ feedId: 's', sourceId: 'harness/W3', oneWayM: 2 }],
  // W3 has faded; W9 is one that only this job has.
  harness: [
    { id: 'harness/W3', name: 'W3', colour: 'WH' },
    { id: 'harness/W9', name: 'W9' },
  ],
} as unknown as JobView;
const CONTEXT = { job: JOB, model: MODEL, taps: [], settings: DEFAULT_SETTINGS };

function read(sourceId: string, place: StitchPlace, volts: number): Reading {
  const id = `${sourceId} ${place}`;
  return {
    id,
    sourceId,
    contact: undefined,
    state: stateAt(place),
    value: { kind: 'volts', volts },
  };
}
/** What an accessory wire shows in every state that its look-alikes differ in. */
const ACCESSORY = [
  read('harness/W3', 'off', 0),
  read('harness/W3', 'asleep', 0),
  read('harness/W3', 'acc', 12.2),
  read('harness/W3', 'run', 12.4),
  read('harness/W3', 'crank', 0.1),
  read('harness/W3', 'justOff', 0),
];

function verdictsOf(readings: readonly Reading[]): Map<string, Verdict> {
  const { verdicts } = advise(findSessionOf(CONTEXT, readings, { state: PARKED }));
  return new Map(verdicts.map((one) => [one.sourceId, one]));
}

describe('the wires of a job', () => {
  it('are those that it has laid open, as seen here, and those of its own', () => {
    const sources = jobSourcesOf(CONTEXT).map(({ source }) => source);
    expect(sources.map((source) => source.id)).toEqual(['harness/W3', 'harness/W9']);
    expect(sources.map(titleOf)).toEqual(['W3 WH', 'W9']);
    expect(sources[0]).toMatchObject({ colour: 'YE', seenColour: 'WH' });
    expect(MODEL.places.flatMap(wiresAt)).toHaveLength(3);
  });

  it('and those that another job logged, though the loom is still shut', () => {
    const taps = [{ sourceId: 'harness/W1' }];
    const shut = { ...CONTEXT, job: { ...JOB, harness: [] } };
    expect(jobSourcesOf({ ...shut, taps }).map(({ source }) => source.id)).toEqual(['harness/W1']);
    expect(jobSourcesOf(shut)).toEqual([]);
    expect(loomsOf({ ...shut, taps })).toMatchObject([
      { name: 'Behind the radio', wires: [{ id: 'harness/W1' }] },
    ]);
  });

  it('lie in bunches: those that are open, and places that nobody has opened', () => {
    const radio = {
      ...MODEL.places[0],
      id: 'radio',
      kind: 'connector',
      name: 'Radio connector',
      sources: [
        {
          kind: 'cavity',
          id: 'radio/1',
          name: '1',
          column: 0,
          row: 0,
          colour: 'PK',
          seenColour: 'WH',
        },
      ],
    };
    const panel = { ...radio, id: 'dash', kind: 'fusePanel', sources: [] };
    const model = { notes: [], places: [radio, panel, ...MODEL.places] } as unknown as ModelView;
    expect(closedPlaces({ job: JOB, model }).map(({ id }) => id)).toEqual(['radio']);
    expect(bunchesOf({ job: JOB, model }).map(({ id }) => id)).toEqual(['harness', 'radio']);
    const shut = { ...JOB, harness: [] };
    expect(bunchesOf({ job: shut, model }).map(({ id }) => id)).toEqual(['radio', 'harness']);
    // Wires that only the job knows have a bunch of their own where the model has none.
    const bare = { notes: [], places: [] } as unknown as ModelView;
    expect(bunchesOf({ job: shut, model: bare })).toEqual([
      { id: 'harness', name: 'Bunch of wires' },
    ]);
    const open = wiresAt(model.places[0] as (typeof model.places)[number]);
    // What is laid open is the wire as one sees it.
    expect(open).toEqual([{ id: 'radio/1', name: '1', colour: 'WH' }]);
    const laid = { ...JOB, harness: open };
    const cavity = jobSourcesOf({ job: laid, model }).find(({ source }) => source.id === 'radio/1');
    expect(cavity?.source).toMatchObject({ kind: 'cavity', colour: 'PK', seenColour: 'WH' });
  });

  it('cost the work of getting at them until one of them is read or laid open', () => {
    const logged = {
      sourceId: 'harness/W1',
      jobId: 'another',
      function: 'accessory',
      grade: 'probed',
      yearFrom: 2020,
      yearTo: 2020,
      trim: '',
      market: '',
      readings: [],
      confirmedJobs: 0,
      contradictedJobs: 0,
    } as unknown as Parameters<typeof findSessionOf>[0]['taps'][number];
    const shut = { ...CONTEXT, job: { ...JOB, harness: [] }, taps: [logged] };
    const reach = (of: Parameters<typeof findSessionOf>[0], readings: readonly Reading[] = []) =>
      findSessionOf(of, readings, { state: PARKED }).sources.map((source) => source.reachS);
    expect(reach(shut)).toEqual([120]);
    expect(reach(shut, [read('harness/W1', 'off', 0)])).toEqual([undefined]);
    expect(reach(CONTEXT)).toEqual([undefined, undefined]);
  });

  it('are taped both ways, whichever of two says so', () => {
    const harness = [
      { id: 'harness/W8', name: 'W8' },
      { id: 'harness/W9', name: 'W9', tapedWith: 'harness/W8' },
    ];
    const of = { ...CONTEXT, job: { ...JOB, harness } };
    expect(jobSourcesOf(of).map(({ source }) => source)).toMatchObject([
      { id: 'harness/W8', tapedWith: 'harness/W9' },
      { id: 'harness/W9', tapedWith: 'harness/W8' },
    ]);
    const { sources } = findSessionOf(of, [], { state: PARKED });
    expect(sources.map((source) => source.tappable)).toEqual([false, false]);
  });

  it('are judged, chosen, sized, joined, proved and logged as slots are', () => {
    const verdicts = verdictsOf(ACCESSORY);
    const verdict = verdicts.get('harness/W3');
    expect(verdict).toMatchObject({ status: 'resolved', function: 'accessory' });

    const { sets, rankings } = rankSets(setsInputOf(CONTEXT, verdicts));
    expect(sets[0]?.slots).toEqual({ s: 'harness/W3' });
    expect(rankings.s?.candidates[0]).toMatchObject({ sure: true, fit: undefined });

    const [tapped] = tappedFeeds(CONTEXT);
    if (tapped === undefined || !isJoined(tapped)) throw new Error('the feed is at a wire');
    const size = feedSizeOf(tapped, DEFAULT_SETTINGS);
    if (size?.ok !== true) throw new Error('half an ampere over 2 m can be wired');
    const given = sheetGivenOf(CONTEXT, tapped, { size });
    if (given === undefined) throw new Error('a wire has a sheet');
    const sheet = feedSheet(given);
    expect(sheet.wayRound).toBeUndefined();
    expect(sheet.methods.ranked.map((one) => one.method)).not.toContain('fuseTap');
    expect(sheet.methods.ranked[0]?.wantsFuse).toBe(true);

    const { order } = buildPlanOf(CONTEXT, ACCESSORY);
    const said = order.steps.map((step) => step.what).join(' ');
    expect(said).toMatch(/read W3 WH once more/);
    expect(said).toMatch(/join it to W3 WH/);
    expect(said).not.toMatch(/Pull F/);

    const found = logFindingsOf(CONTEXT, tapped.source, { verdict, readings: ACCESSORY });
    expect(found).toMatchObject({ ok: true, function: 'accessory', supplyContact: null });
    // Read down from plus: evidence, but no volts against ground.
    const [first] = ACCESSORY;
    if (first === undefined) throw new Error('the wire was read');
    const down = { ...first, id: 'down', clip: 'constant' as const };
    const readings = [...ACCESSORY, down];
    expect(logFindingsOf(CONTEXT, tapped.source, { verdict, readings })).toEqual(found);
  });

  it('are left alone where the job must leave no trace', () => {
    const vehicle = { ...JOB.vehicle, noTrace: true };
    const leased = { ...CONTEXT, job: { ...JOB, vehicle } };
    const { rankings } = rankSets(setsInputOf(leased, verdictsOf(ACCESSORY)));
    expect(rankings.s?.candidates).toEqual([]);
    expect(rankings.s?.unfit[0]?.constraint).toMatch(/no trace/);
  });

  it('are no candidates before their readings prove them: no legend speaks for them', () => {
    const { rankings } = rankSets(setsInputOf(CONTEXT, verdictsOf(ACCESSORY.slice(2, 4))));
    expect(rankings.s?.candidates).toEqual([]);
    expect(rankings.s?.unfit).toMatchObject([
      { sourceId: 'harness/W3', constraint: expect.stringMatching(/^Not proven/) },
    ]);
  });
});
