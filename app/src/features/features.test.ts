import { besideHeavy } from './find/besideHeavy';
import type { JobView, ModelSummary, ReadingView } from '@lucky-thread/contract';
import { PARKED } from '@lucky-thread/core/vehicle';
import type { OutboxItem } from '../store/outboxSlice';
import { countingRows, mergeReadings } from '../work/jobReadings';
import { parseVolts, readingRequest } from '../meter/readingRequest';
import { problemAt } from '../ui/problemAt';
import { EMPTY_DRAFT, jobRequest, withModel } from './job/newJob';
import { furthest, isDone, knotsOf, nextActionOf } from '../work/phases';
import { movedTo, withFeedPlan, feedSizeOf } from '@lucky-thread/work';
import { DEFAULT_SETTINGS } from '@lucky-thread/contract';
import { fieldProblem } from '../sizing/fieldProblem';
import { planProblems } from './size/planProblems';

describe('volts as typed', () => {
  it.each([
    ['12.4', 12.4],
    ['12,4', 12.4],
    ['−0.3', -0.3],
    ['.5', 0.5],
    ['12.', 12],
    ['', undefined],
    ['12.4.1', undefined],
    ['twelve', undefined],
    ['−', undefined],
  ])('%p is %p', (text, volts) => {
    expect(parseVolts(text)).toBe(volts);
  });
});

describe('a reading request', () => {
  const touch = { sourceId: 'F1', contact: undefined, state: PARKED, at: new Date(0) };
  it('is checked before it is kept', () => {
    expect(readingRequest(touch, { instrument: 'meter', volts: 12.4 })).toMatchObject({
      ok: true,
      request: { takenAt: '1970-01-01T00:00:00.000Z' },
    });
    expect(readingRequest(touch, { instrument: 'meter', volts: 999 })).toMatchObject({
      ok: false,
      problems: [{ path: 'volts' }],
    });
  });
});

describe('readings on screen', () => {
  const stored = (id: string, takenAt: string): ReadingView => ({
    id,
    sourceId: 'F1',
    contact: null,
    state: { ...PARKED },
    instrument: 'meter',
    volts: 12,
    glow: null,
    highVolts: null,
    ohms: null,
    cone: null,
    speaker: null,
    otherId: null,
    clip: null,
    takenAt,
    takenBy: 'Installer',
    withdrawnAt: null,
  });
  const kept = (readingId: string, status: OutboxItem['status']): OutboxItem => ({
    kind: 'reading',
    key: readingId,
    jobId: 'j',
    readingId,
    status,
    request: {
      sourceId: 'F1',
      state: { ...PARKED },
      instrument: 'lamp',
      glow: 'lit',
      takenAt: '2026-01-02',
    },
  });

  it('are stored and kept ones together, each once, in order of taking', () => {
    const rows = mergeReadings(
      [stored('b', '2026-01-03'), stored('a', '2026-01-01')],
      [kept('c', 'unsaved'), kept('a', 'sending')],
    );
    expect(rows.map((row) => [row.id, row.saved])).toEqual([
      ['a', 'saved'],
      ['c', 'unsaved'],
      ['b', 'saved'],
    ]);
  });
  it('count unless withdrawn or refused', () => {
    const leaving: OutboxItem = {
      kind: 'withdrawal',
      key: 'w',
      jobId: 'j',
      readingId: 'a',
      status: 'unsaved',
    };
    const rows = mergeReadings(
      [stored('a', '2026-01-01')],
      [leaving, kept('c', 'refused'), kept('d', 'unsaved')],
    );
    expect(countingRows(rows).map((row) => row.id)).toEqual(['d']);
  });
});

describe('phases', () => {
  const job = {
    phase: 'choose',
    device: {
      name: 'X',
      feeds: [
        { id: 'a', name: 'A', role: 'switched', currentA: 1 },
        { id: 'g', name: 'G', role: 'ground', currentA: 1 },
      ],
    },
    loggedFeedIds: [] as string[],
  } as unknown as JobView;
  it('stand done before, here, and ahead after', () => {
    expect(knotsOf({ phase: 'choose', done: false })).toMatchObject({
      find: 'done',
      choose: 'here',
      size: 'ahead',
    });
    expect(nextActionOf({ ...job, done: false })).toBe('Choose the taps');
  });
  it('are done when every feed that needs a slot is logged', () => {
    expect(isDone(job)).toBe(false);
    expect(isDone({ ...job, loggedFeedIds: ['a'] })).toBe(true);
    expect(isDone({ ...job, loggedFeedIds: ['a'], reopened: 'it rattles' })).toBe(false);
    expect(nextActionOf({ ...job, done: true })).toMatch(/^Done/);
  });
  it('never fall back', () => {
    expect(furthest('size', 'find')).toBe('size');
    expect(furthest('find', 'size')).toBe('size');
  });
});

describe('a plan', () => {
  it('gives a slot to one feed only', () => {
    const plan = [
      { feedId: 'a', sourceId: 'F1' },
      { feedId: 'b', sourceId: 'F2' },
    ];
    expect(
      withFeedPlan(
        { plan, device: { name: '', feeds: [] } },
        { feedId: 'b', sourceId: 'F1' },
        true,
      ),
    ).toEqual([{ feedId: 'b', sourceId: 'F1' }]);
  });
});

describe('a new job', () => {
  const model = {
    id: '01890a5d-ac96-774b-bcce-b302099a8057',
    yearTo: 2021,
    trims: ['Base'],
    markets: ['Islands'],
    steering: ['right'],
  } as unknown as ModelSummary;
  const device = {
    name: 'Dashcam',
    feeds: [{ id: 'a', name: 'A', role: 'switched' as const, currentA: 1 }],
  };
  it('is filled in from the model and makes a request', () => {
    const draft = { ...withModel(EMPTY_DRAFT, model), device };
    expect(jobRequest(draft)).toMatchObject({
      ok: true,
      body: { vehicle: { year: 2021, steering: 'right' } },
    });
  });
  it('takes another model’s year with the model, but keeps one that a VIN gave', () => {
    const other = { ...model, yearTo: 2016 };
    expect(withModel(withModel(EMPTY_DRAFT, model), other).year).toBe('2016');
    expect(withModel({ ...EMPTY_DRAFT, vin: 'x', year: '2019' }, other).year).toBe('2019');
  });
  it('says what is missing, by field', () => {
    const result = jobRequest(EMPTY_DRAFT);
    expect(result.ok).toBe(false);
    const problems = result.ok ? [] : result.problems;
    expect(problemAt(problems, 'vehicle.modelId')).toBeDefined();
    expect(problemAt(problems, 'vehicle.year')).toMatch(/year/);
  });
});

describe('a plan moved to another slot', () => {
  const plan = {
    feedId: 'a',
    sourceId: 'F1',
    oneWayM: 3,
    sizing: { spareA: 2 },
    reason: 'nothing else',
    measuredA: 2,
  };
  it('keeps lengths and wishes, and drops what was said of the old slot', () => {
    expect(movedTo(plan, { feedId: 'a', sourceId: 'F2' })).toEqual({
      feedId: 'a',
      sourceId: 'F2',
      oneWayM: 3,
      sizing: { spareA: 2 },
    });
  });
  it('keeps everything while the slot stays, and begins with the slot alone', () => {
    expect(movedTo(plan, { feedId: 'a', sourceId: 'F1' })).toBe(plan);
    expect(movedTo(undefined, { feedId: 'a', sourceId: 'F1' })).toEqual({
      feedId: 'a',
      sourceId: 'F1',
    });
  });
});

describe('lengths and other numbers of a plan', () => {
  it.each([0, -3, 500, Number.NaN])('refuse %p with the range, in the user’s units', (oneWayM) => {
    expect(fieldProblem('oneWayM', oneWayM, 'metric')).toMatch(/between 0.05 m and 30 m/);
    expect(fieldProblem('oneWayM', oneWayM, 'us')).toMatch(/between 0.16 ft and 98.43 ft/);
  });
  it('name each field of a plan that is wrong, and none that is right or left out', () => {
    const plan = { feedId: 'a', sourceId: 's', oneWayM: 3, sizing: { ambientC: 300, bundle: 2 } };
    expect(Object.keys(planProblems(plan, 'metric'))).toEqual(['ambientC']);
    expect(planProblems({ feedId: 'a', sourceId: 's' }, 'us')).toEqual({});
  });
  it('give no size until a length is typed; the plan’s wishes come before the shop’s', () => {
    const tapped = {
      feed: { currentA: 0.5 },
      source: { kind: 'slot', family: 'mini', ratingA: 10 },
      plan: { feedId: 'a', sourceId: 's' },
    } as unknown as Parameters<typeof feedSizeOf>[0];
    expect(feedSizeOf(tapped, DEFAULT_SETTINGS)).toBeUndefined();
    const plan = { ...tapped.plan, oneWayM: 3 };
    expect(feedSizeOf(tapped, DEFAULT_SETTINGS, plan)).toMatchObject({ ok: true, fuseA: 2 });
    const strict = { ...plan, sizing: { dropLimitPercent: 0.1 } };
    expect(feedSizeOf(tapped, DEFAULT_SETTINGS, strict)).toMatchObject({ ok: true, awg: 12 });
  });
  it('size from the van alone where the shop wants that', () => {
    const tapped = {
      feed: { currentA: 0.5 },
      source: { kind: 'slot', family: 'mini', ratingA: 10 },
      plan: { feedId: 'a', sourceId: 's', oneWayM: 3 },
    } as unknown as Parameters<typeof feedSizeOf>[0];
    const van = { only: true, conductors: ['2.5 mm²'], fusesA: [3] };
    expect(feedSizeOf(tapped, { ...DEFAULT_SETTINGS, van })).toMatchObject({
      ok: true,
      fuseA: 3,
      metricMm2: 2.5,
    });
  });
});

describe('the plan beside feeds that no slot carries', () => {
  const heavy = [{ id: 'h', name: 'Ignition feed', role: 'switched', currentA: 20 }] as const;
  const filled = { kind: 'filled', instruction: 'Every feed has a source.' } as const;
  it('does not say that every feed has a source', () => {
    expect(besideHeavy(filled, heavy, 1)?.instruction).toMatch(/^What a slot can carry/);
    expect(besideHeavy(filled, heavy, 0)?.instruction).toMatch(/^No slot here carries/);
    expect(besideHeavy(filled, [], 1)).toBe(filled);
  });
  it('leaves every other instruction as it is', () => {
    const exhausted = { kind: 'exhausted', needIds: [], instruction: 'No slot left.' } as const;
    expect(besideHeavy(exhausted, heavy, 1)).toBe(exhausted);
    expect(besideHeavy(undefined, heavy, 1)).toBeUndefined();
  });
});
