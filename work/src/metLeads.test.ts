import { DEFAULT_SETTINGS } from '@lucky-thread/contract';
import type { FeedPlanInput, JobView, ModelView } from '@lucky-thread/contract';
import { matchingListOf, mayChain, mayMeet, slotFeeds, takenByOthers, withFeedPlan } from './index';

const MODEL = {
  notes: [],
  places: [
    {
      id: 'dash',
      kind: 'fusePanel',
      name: 'Dash panel',
      reach: { steps: [], fasteners: [], tools: [] },
      sources: [{ kind: 'slot', id: 'dash/F1', position: 'F1', ratingA: 15, family: 'mini' }],
    },
  ],
} as unknown as ModelView;
const FEEDS = [
  { id: 'c1', name: 'Memory', role: 'constant', currentA: 2 },
  { id: 'c2', name: 'Amplifier memory', role: 'constant', currentA: 1.5 },
  { id: 's', name: 'Accessory', role: 'switched', currentA: 0.5 },
  { id: 'i1', name: 'Ignition 1', role: 'switched', currentA: 10, direction: 'out' },
  { id: 'i2', name: 'Ignition 2', role: 'switched', currentA: 10, direction: 'out' },
];
const HARNESS = ['W1', 'W2', 'W3'].map((name) => ({ id: `harness/${name}`, name, colour: 'YE' }));

function jobWith(plan: readonly FeedPlanInput[]): JobView {
  return {
    id: 'job',
    vehicle: { modelId: 'm', year: 2020, trim: '', market: '', steering: 'left' },
    device: { name: 'Set', feeds: FEEDS },
    plan,
    harness: HARNESS,
  } as unknown as JobView;
}
const planOf = (...pairs: readonly (readonly [string, string])[]): FeedPlanInput[] =>
  pairs.map(([feedId, sourceId]) => ({ feedId, sourceId, oneWayM: 1 }));
const contextOf = (plan: readonly FeedPlanInput[]) => ({
  ...{ job: jobWith(plan), model: MODEL, taps: [], settings: DEFAULT_SETTINGS },
});
const takenFor = (id: string, plan: readonly FeedPlanInput[]): string[] =>
  slotFeeds(contextOf(plan))
    .filter((feed) => feed.id === id)
    .flatMap((feed) => takenByOthers(contextOf(plan), feed));

describe('two leads on one wire', () => {
  const takes = { role: 'constant' } as const;
  const gives = { role: 'switched', direction: 'out' } as const;

  it('meet where both take the same, and not in one slot', () => {
    expect(mayMeet(takes, takes, false)).toBe(true);
    expect(mayMeet(takes, takes, true)).toBe(false);
    expect(mayMeet(takes, { role: 'switched' }, false)).toBe(false);
    expect(mayMeet({ role: 'lock' }, { role: 'unlock' }, false)).toBe(true);
  });

  it('never meet where either gives, nor as a speaker’s', () => {
    expect(mayMeet(gives, gives, false)).toBe(false);
    expect(mayMeet({ role: 'switched' }, gives, false)).toBe(false);
    expect(mayMeet({ role: 'speakerPlus' }, { role: 'speakerPlus' }, false)).toBe(false);
  });

  it('leave the wire to each other, and to nothing else', () => {
    const plan = planOf(['c1', 'harness/W1']);
    expect(takenFor('c2', plan)).toEqual([]);
    expect(takenFor('s', plan)).toEqual(['harness/W1']);
    expect(takenFor('c2', planOf(['c1', 'dash/F1']))).toEqual(['dash/F1']);
    const [first] = plan;
    const added = { feedId: 'c2', sourceId: 'harness/W1' };
    expect(withFeedPlan(jobWith(plan), added, false)).toEqual([first, added]);
    expect(withFeedPlan(jobWith(plan), added, true)).toEqual([added]);
  });

  it('are one joint in the matching list, each with the other’s name', () => {
    const { pairs } = matchingListOf(
      contextOf(planOf(['c1', 'harness/W1'], ['c2', 'harness/W1'], ['s', 'harness/W2'])),
      [],
    );
    expect(pairs.map(({ to }) => to?.together)).toEqual([
      ['Amplifier memory'],
      ['Memory'],
      ...[undefined, undefined, undefined],
    ]);
  });
});

describe('a lead that goes on from wire to wire', () => {
  it('is one that gives, and joins no slot', () => {
    expect(mayChain({ direction: 'out' }, false)).toBe(true);
    expect(mayChain({ direction: 'out' }, true)).toBe(false);
    expect(mayChain({ direction: 'in' }, false)).toBe(false);
    expect(mayChain({}, false)).toBe(false);
  });

  it('names its wires in order, and keeps them from the others', () => {
    const [plan = { feedId: '', sourceId: '' }] = planOf(['i1', 'harness/W1']);
    const chained = { ...plan, alsoAt: ['harness/W3', 'harness/W2'] };
    const list = matchingListOf(contextOf([chained]), []);
    expect(list.pairs.find(({ id }) => id === 'i1')?.to?.onTo).toEqual([
      'W3 YE, Bunch of wires',
      'W2 YE, Bunch of wires',
    ]);
    expect(takenFor('i2', [chained])).toEqual(['harness/W1', 'harness/W3', 'harness/W2']);
  });
});
