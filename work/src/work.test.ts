import { DEFAULT_SETTINGS } from '@lucky-thread/contract';
import type { FeedPlanInput, JobView, TapPointView } from '@lucky-thread/contract';
import type { Reading } from '@lucky-thread/core/identify';
import { advise } from '@lucky-thread/core/identify';
import type { Panel, Slot } from '@lucky-thread/core/vehicle';
import { PARKED, stateAt } from '@lucky-thread/core/vehicle';
import { feedLoadOf, feedSizeOf, findSessionOf, slotFeeds, slotsOf, tappedFeeds } from './index';

function slot(id: string, legend: string, ratingA: number | undefined = 15): Slot {
  return {
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
  } as unknown as Slot;
}
const PANEL = {
  id: 'p',
  slots: [slot('f1', 'ACC'), slot('f2', 'BAT'), slot('f3', 'IG', 3)],
} as unknown as Panel;
const MODEL = { panels: [PANEL] };
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
  plan: [{ feedId: 's', slotId: 'f1', oneWayM: 3 }],
} as unknown as JobView;

function tapOf(jobId: string): TapPointView {
  return {
    id: `tap of ${jobId}`,
    jobId,
    slotId: 'f1',
    function: 'accessory',
    grade: 'probed',
    yearFrom: 2020,
    yearTo: 2020,
    trim: '',
    market: '',
    matrix: [],
    confirmedJobs: 0,
    contradictedJobs: 0,
  } as unknown as TapPointView;
}

describe('feeds and slots of a job', () => {
  it('are those that a slot has to fill, with the slot that was chosen', () => {
    expect(slotsOf(MODEL).map((one) => one.id)).toEqual(['f1', 'f2', 'f3']);
    expect(slotFeeds({ job: JOB }).map((feed) => feed.id)).toEqual(['s']);
    expect(tappedFeeds({ job: JOB, model: MODEL })).toMatchObject([
      { feed: { id: 's' }, slot: { id: 'f1' } },
    ]);
    const elsewhere = { ...JOB, plan: [{ feedId: 's', slotId: 'gone' }] };
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
      slot: { ...slot('f1', 'ACC'), family: 'micro2' as const, clearance },
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
    const unrated = { ...tapped, slot: slot('f9', 'SPARE', undefined) };
    expect(
      feedSizeOf({ ...unrated, slot: { ...unrated.slot, ratingA: undefined } }, DEFAULT_SETTINGS),
    ).toBeUndefined();
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

  it('leaves out slots too small for a feed, unless that leaves none', () => {
    const excluded = (slots: Slot[]) =>
      findSessionOf({ job: JOB, model: { panels: [{ ...PANEL, slots }] }, taps: [] }, [], {
        state: PARKED,
      }).needs[0]?.excluded;
    expect(excluded([slot('f1', 'ACC'), slot('f3', 'IG', 3)])).toEqual(['f3']);
    expect(excluded([slot('f3', 'IG', 3)])).toEqual([]);
  });
});
