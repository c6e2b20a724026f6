import { DEFAULT_SETTINGS } from '@lucky-thread/contract';
import type { FeedPlanInput, JobView, ModelView } from '@lucky-thread/contract';
import { matchingListOf } from './index';

const reach = { steps: [], fasteners: [], tools: [] };
const MODEL = {
  notes: [],
  places: [
    {
      id: 'dash',
      kind: 'fusePanel',
      name: 'Dash panel',
      reach,
      sources: [
        {
          kind: 'slot',
          id: 'dash/F1',
          position: 'F1',
          legend: 'RADIO',
          ratingA: 15,
          family: 'mini',
          lie: 'tall',
          clearance: 'clear',
          contacts: [
            { id: 'a', landmark: 'upper' },
            { id: 'b', landmark: 'lower' },
          ],
        },
      ],
    },
    {
      id: 'radio',
      kind: 'loom',
      name: 'Behind the radio',
      reach,
      sources: [{ kind: 'wire', id: 'radio/W1', name: 'W1', colour: 'OG', gaugeMm2: 0.75 }],
    },
    {
      id: 'post',
      kind: 'groundPoint',
      name: 'Post',
      reach,
      sources: [{ kind: 'ground', id: 'post/G1', name: 'G1', threadMm: 6 }],
    },
  ],
} as unknown as ModelView;
const FEEDS = [
  { id: 'c', name: 'Constant', role: 'constant', currentA: 2, leadColour: 'yellow' },
  { id: 'i', name: 'Illumination', role: 'illumination', currentA: 0.05, leadColour: 'orange' },
  { id: 'g', name: 'Ground', role: 'ground', currentA: 1, leadColour: 'black' },
];

function listOf(plan: readonly FeedPlanInput[], more: object = {}) {
  const job = {
    id: 'job',
    vehicle: { modelId: 'm', year: 2020, trim: '', market: '', steering: 'left' },
    device: { name: 'Set', family: 'radio', feeds: FEEDS, ...more },
    plan,
    harness: [{ id: 'radio/W1', name: 'W1', colour: 'WH' }],
  } as unknown as JobView;
  return matchingListOf({ job, model: MODEL, taps: [], settings: DEFAULT_SETTINGS }, []);
}
const PLAN = [
  { feedId: 'c', sourceId: 'dash/F1', oneWayM: 2 },
  { feedId: 'i', sourceId: 'radio/W1', oneWayM: 0.5 },
];

describe('a matching list', () => {
  it('has every lead with its partner: place, wire as it is seen here, joint, fuse and gauge', () => {
    const [constant, illumination, ground] = listOf(PLAN).pairs;
    expect(constant).toMatchObject({
      lead: { words: 'yellow', colour: 'YE' },
      to: { place: 'Dash panel', source: 'F1 RADIO', joint: 'fuse tap', lengthM: 2 },
    });
    expect(constant?.to?.side).toMatch(/still to be read/);
    // Three quarters of a fuse may flow for good (common practice): 2 A ask for 3 A.
    expect(constant?.to?.fuseA).toBeGreaterThanOrEqual(2.6);
    // The wire has faded: what is seen here counts, not what the drawing says.
    expect(illumination?.to).toMatchObject({ place: 'Behind the radio', colour: 'WH' });
    expect(illumination?.to?.side).toBeUndefined();
    expect(ground?.to).toMatchObject({ place: 'Post', source: 'G1', fuseA: undefined });
    expect(ground?.to?.joint).toMatch(/^ring /);
  });

  it('says what is open, and what has no size yet', () => {
    const pairs = listOf([{ feedId: 'c', sourceId: 'dash/F1' }]).pairs;
    expect(pairs[0]?.to).toMatchObject({ joint: 'to be sized first', fuseA: undefined });
    expect(pairs[1]?.to).toBeUndefined();
  });

  it('names every lead of the kit once: matched, or left over with its end', () => {
    const { pairs, left } = listOf(PLAN);
    const words = [...pairs, ...left].map(({ lead }) => lead.words);
    expect(new Set(words).size).toBe(words.length);
    expect(words).toContain('blue/white');
    for (const { end } of left) expect(end.length).toBeGreaterThan(10);
    expect(listOf(PLAN, { family: undefined }).left).toEqual([]);
  });
});
