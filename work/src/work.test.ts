import { DEFAULT_SETTINGS, matrixOf } from '@lucky-thread/contract';
import type { FeedPlanInput, JobView, TapPointView } from '@lucky-thread/contract';
import type { Reading } from '@lucky-thread/core/identify';
import { advise } from '@lucky-thread/core/identify';
import type { StitchPlace } from '@lucky-thread/core/vehicle';
import type { Place, SlotSource } from '@lucky-thread/core/vehicle';
import { PARKED, stateAt } from '@lucky-thread/core/vehicle';
import type { JobContext } from './index';
import {
  contactReadings,
  feedLoadOf,
  feedSizeOf,
  findSessionOf,
  heavyFeeds,
  isAtSlot,
  logFindingsOf,
  orientationAt,
  plannedTapsOf,
  setsInputOf,
  sheetGivenOf,
  slotFeeds,
  slotsOf,
  supplyLandmarkOf,
  tapOfOthers,
  tappedFeeds,
} from './index';

function slot(id: string, legend: string, ratingA: number | undefined = 15): SlotSource {
  return {
    kind: 'slot',
    id,
    position: id.toUpperCase(),
    legend,
    ratingA,
    family: 'mini',
    lie: 'tall',
    row: 0,
    column: 0,
    clearance: 'clear',
    contacts: [
      { id: 'a', landmark: 'upper contact' },
      { id: 'b', landmark: 'lower contact' },
    ],
  } as unknown as SlotSource;
}
const PANEL = {
  id: 'p',
  kind: 'fusePanel',
  reach: { steps: [] },
  sources: [slot('f1', 'ACC'), slot('f2', 'BAT'), slot('f3', 'IG', 3)],
} as unknown as Place;
const MODEL = { notes: [], places: [PANEL] };
const JOB = {
  id: 'job',
  vehicle: { modelId: 'm', year: 2020, trim: '', market: '', steering: 'left' },
  device: {
    name: 'Dashcam',
    feeds: [
      { id: 'g', name: 'Ground', role: 'ground', currentA: 1 },
      { id: 's', name: 'Supply', role: 'switched', currentA: 6 },
    ],
  },
  plan: [{ feedId: 's', sourceId: 'f1', oneWayM: 3 }],
  harness: [],
} as unknown as JobView;

function tapOf(jobId: string): TapPointView {
  return {
    id: `tap of ${jobId}`,
    jobId,
    sourceId: 'f1',
    function: 'accessory',
    grade: 'probed',
    yearFrom: 2020,
    yearTo: 2020,
    trim: '',
    market: '',
    readings: [],
    confirmedJobs: 0,
    contradictedJobs: 0,
  } as unknown as TapPointView;
}

describe('feeds and slots of a job', () => {
  it('are those that a slot has to fill, with the slot that was chosen', () => {
    expect(slotsOf(MODEL).map((one) => one.id)).toEqual(['f1', 'f2', 'f3']);
    expect(slotFeeds({ job: JOB }).map((feed) => feed.id)).toEqual(['s']);
    expect(tappedFeeds({ job: JOB, model: MODEL })).toMatchObject([
      { feed: { id: 's' }, source: { id: 'f1' } },
    ]);
    const elsewhere = { ...JOB, plan: [{ feedId: 's', sourceId: 'gone' }] };
    expect(tappedFeeds({ job: elsewhere, model: MODEL })).toEqual([]);
  });
});

describe('the size of a feed', () => {
  const [tapped] = tappedFeeds({ job: JOB, model: MODEL });
  if (tapped === undefined) throw new Error('the feed has no slot');

  it('follows plan and shop, the plan first', () => {
    const plan: FeedPlanInput = { ...tapped.plan, sizing: { dropLimitPercent: 1 } };
    expect(feedLoadOf(tapped, DEFAULT_SETTINGS)).toMatchObject({ dropLimitPercent: 3, oneWayM: 3 });
    expect(feedLoadOf(tapped, DEFAULT_SETTINGS, plan)).toMatchObject({ dropLimitPercent: 1 });
    const usual = feedSizeOf(tapped, DEFAULT_SETTINGS);
    const strict = feedSizeOf(tapped, DEFAULT_SETTINGS, plan);
    if (usual?.ok !== true || strict?.ok !== true) throw new Error('6 A over 3 m can be wired');
    expect(usual.fuseA).toBeGreaterThanOrEqual(6 / 0.8);
    expect(strict.areaMm2).toBeGreaterThan(usual.areaMm2);
  });

  it('is never above what the tap carries that goes in under a tight cover', () => {
    const micro = (clearance: 'clear' | 'tight') => ({
      ...tapped,
      feed: { ...tapped.feed, currentA: 6 },
      plan: { ...tapped.plan, oneWayM: 1 },
      source: { ...slot('f1', 'ACC'), family: 'micro2' as const, clearance },
    });
    expect(feedLoadOf(micro('tight'), DEFAULT_SETTINGS)?.slot.holderA).toBe(7.5);
    const failed = (clearance: 'clear' | 'tight') => {
      const size = feedSizeOf(micro(clearance), DEFAULT_SETTINGS);
      return size?.ok === false ? size.failed.constraint : undefined;
    };
    expect(failed('tight')).toBe('holder');
    expect(failed('clear')).not.toBe('holder');
  });

  it('waits for the length, and for a slot with a rating', () => {
    const { oneWayM: _length, ...plan } = tapped.plan;
    expect(feedSizeOf(tapped, DEFAULT_SETTINGS, plan)).toBeUndefined();
    const unrated = { ...slot('f9', 'SPARE'), ratingA: undefined };
    expect(feedSizeOf({ ...tapped, source: unrated }, DEFAULT_SETTINGS)).toBeUndefined();
  });
});

describe('the session of a job', () => {
  const live = (sourceId: string): Reading => ({
    id: sourceId,
    sourceId,
    contact: undefined,
    state: stateAt('run'),
    value: { kind: 'volts', volts: 12.4 },
  });

  it('takes what others logged as a claim, and never what the job itself logged', () => {
    const of = (jobId: string) =>
      findSessionOf({ job: JOB, model: MODEL, taps: [tapOf(jobId)] }, [], { state: PARKED });
    expect(of('another').sources[0]?.logged).toMatchObject({ function: 'accessory' });
    expect(of('job').sources[0]?.logged).toBeUndefined();
  });

  it('holds readings at slots alone, so that it can be judged', () => {
    const session = findSessionOf(
      { job: JOB, model: MODEL, taps: [] },
      [live('f1'), live('harness/W1')],
      { state: PARKED },
    );
    expect(session.readings.map((reading) => reading.sourceId)).toEqual(['f1']);
    expect(advise(session).verdicts).toHaveLength(3);
  });

  it('leaves out slots too small for a feed, and sends none to the panel that no slot carries', () => {
    const needs = (sources: SlotSource[]) =>
      findSessionOf({ job: JOB, model: { places: [{ ...PANEL, sources }] }, taps: [] }, [], {
        state: PARKED,
      }).needs;
    expect(needs([slot('f1', 'ACC'), slot('f3', 'IG', 3)])[0]?.excluded).toEqual(['f3']);
    const small = { places: [{ ...PANEL, sources: [slot('f3', 'IG', 3)] }] };
    expect(needs([slot('f3', 'IG', 3)])).toEqual([]);
    expect(heavyFeeds({ job: JOB, model: small }).map((feed) => feed.id)).toEqual(['s']);
    expect(heavyFeeds({ job: JOB, model: MODEL })).toEqual([]);
  });
});

const CONTEXT = {
  job: JOB,
  model: MODEL,
  taps: [],
  settings: DEFAULT_SETTINGS,
} as unknown as JobContext;

function read(place: StitchPlace, volts: number, contact?: 'a' | 'b'): Reading {
  const id = `${place} ${contact ?? ''} ${volts}`;
  return { id, sourceId: 'f1', contact, state: stateAt(place), value: { kind: 'volts', volts } };
}
const SUPPLY_AT_B = [read('run', 0, 'a'), read('run', 12.3, 'b')];

describe('the supply side', () => {
  const tapped = tappedFeeds(CONTEXT).find(isAtSlot);
  if (tapped === undefined) throw new Error('the feed has no slot');

  it('is what was read at this very slot', () => {
    expect(orientationAt('f1', SUPPLY_AT_B)).toEqual({ kind: 'found', supply: 'b' });
    expect(orientationAt('f2', SUPPLY_AT_B).kind).toBe('incomplete');
    // With its fuse in a slot says nothing of its contacts: a second job still shows what the first one logged.
    expect(contactReadings('f1', [read('run', 12.4), read('off', 0)])).toEqual([]);
    expect(contactReadings('f1', [read('run', 12.4), ...SUPPLY_AT_B])).toHaveLength(2);
    expect(supplyLandmarkOf(CONTEXT, SUPPLY_AT_B, tapped)).toBe('lower contact');
  });

  it('is else what another job logged, never this one’s own entry', () => {
    const logged = (jobId: string) =>
      ({ ...tapOf(jobId), supplyLandmark: 'door side' }) as unknown as TapPointView;
    const of = (jobId: string) => supplyLandmarkOf({ job: JOB, taps: [logged(jobId)] }, [], tapped);
    expect(of('another')).toBe('door side');
    expect(of('job')).toBeUndefined();
    expect(tapOfOthers({ job: JOB, taps: [logged('another')] }, 'f2')).toBeUndefined();
  });
});

describe('what is ranked, fitted and written on the sheet', () => {
  it('ranks all feeds with what was measured at their slots and what others logged', () => {
    const plan = [{ feedId: 's', sourceId: 'f1', measuredA: 2.5, sharedA: 1 }];
    const input = setsInputOf(
      { ...CONTEXT, job: { ...JOB, plan }, taps: [tapOf('another'), tapOf('job')] },
      new Map(),
    );
    expect(input.measuredA).toEqual({ f1: 2.5 });
    expect(input.sharedA).toEqual({ f1: 1 });
    expect(input.feeds).toEqual([
      expect.objectContaining({ name: 'Supply', currentA: 6, loggedSourceIds: new Set(['f1']) }),
    ]);
    const own = setsInputOf({ ...CONTEXT, taps: [tapOf('job')] }, new Map());
    expect(own.feeds[0]?.loggedSourceIds.size).toBe(0);
    expect(own.measuredA).toEqual({});
  });

  it('fits what is sized, and says where the supply is still to be read', () => {
    const [tap] = plannedTapsOf(CONTEXT, []);
    expect(tap).toMatchObject({ feedName: 'Supply', position: 'F1', originalA: 15, oneWayM: 3 });
    expect(tap).toHaveProperty('supplyLandmark', expect.stringMatching(/still to be read/));
    expect(plannedTapsOf(CONTEXT, SUPPLY_AT_B)[0]).toHaveProperty(
      'supplyLandmark',
      'lower contact',
    );
    const unmeasured = { ...JOB, plan: [{ feedId: 's', sourceId: 'f1' }] } as unknown as JobView;
    expect(plannedTapsOf({ ...CONTEXT, job: unmeasured }, [])).toEqual([]);
  });

  it('makes a sheet of the plan as it is being changed, for a slot whose rating is known', () => {
    const [tapped] = tappedFeeds(CONTEXT);
    const size = tapped === undefined ? undefined : feedSizeOf(tapped, DEFAULT_SETTINGS);
    if (tapped === undefined || size === undefined) throw new Error('6 A over 3 m can be wired');
    const plan: FeedPlanInput = { ...tapped.plan, sharedA: 2, ground: 'stud' };
    expect(sheetGivenOf(CONTEXT, { ...tapped, plan }, { size })).toMatchObject({
      currentA: 6,
      sharedA: 2,
      reversible: 'any',
      ground: { studMm: 6, harness: false },
    });
    expect(sheetGivenOf(CONTEXT, tapped, { size })?.sharedA).toBeUndefined();
    const leased = { ...JOB, vehicle: { ...JOB.vehicle, noTrace: true } } as unknown as JobView;
    expect(sheetGivenOf({ ...CONTEXT, job: leased }, tapped, { size })?.reversible).toBe(
      'no trace',
    );
    const unrated = { ...tapped, source: { ...slot('f1', 'ACC'), ratingA: undefined } };
    expect(sheetGivenOf(CONTEXT, unrated, { size })).toBeUndefined();
  });
});

describe('what goes into the log', () => {
  const READINGS = [
    read('off', 0),
    read('asleep', 0),
    read('acc', 12.2),
    read('run', 12.4),
    read('crank', 0.1),
    read('justOff', 0),
    ...SUPPLY_AT_B,
  ];
  const found = (readings: readonly Reading[]) => {
    const session = findSessionOf(CONTEXT, readings, { state: PARKED });
    const verdict = advise(session).verdicts.find((one) => one.sourceId === 'f1');
    return logFindingsOf(CONTEXT, slotsOf(MODEL)[0] as SlotSource, { verdict, readings });
  };

  it('is function, supply side and the matrix with its values, without the contacts', () => {
    const all = found(READINGS);
    expect(all).toMatchObject({ ok: true, function: 'accessory', supplyContact: 'b' });
    const run = all.ok ? matrixOf(all).find((cell) => cell.place === 'run') : undefined;
    expect(run?.values).toEqual(['12.40 V']);
  });

  it('says what is missing: look-alikes, or the supply side', () => {
    expect(found(READINGS.filter((one) => one.state.key !== 'crank'))).toMatchObject({
      ok: false,
      problem: { path: 'function', message: expect.stringMatching(/Still to be seen: .*crank/) },
    });
    expect(found(READINGS.filter((one) => one.contact === undefined))).toMatchObject({
      ok: false,
      problem: { path: 'supplyContact' },
    });
  });
});
