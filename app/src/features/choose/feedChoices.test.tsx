import { act, screen } from '@testing-library/react-native';
import type { FeedInput, FeedPlanInput } from '@lucky-thread/contract';
import type { Ranking } from '@lucky-thread/core/choose';
import type { Verdict } from '@lucky-thread/core/identify';
import type { Source } from '@lucky-thread/core/vehicle';
import type { JobContext } from '@lucky-thread/work';
import { withFeedPlan } from '@lucky-thread/work';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type * as DrawnModule from '../../testing/drawnWords';
import { drawn } from '../../testing/drawnWords';
import { renderInApp } from '../../testing/render';
import { useSteadyList } from '../../workers/useSteady';
import { FeedCard } from './FeedCard';
import { feedChoices } from './feedChoices';

jest.mock('../../ui/Words', () =>
  jest
    .requireActual<typeof DrawnModule>('../../testing/drawnWords')
    .watchingWords((words, kind) => (kind === 'title' ? words : undefined)),
);

const feed = (id: string, more: Partial<FeedInput> = {}): FeedInput => ({
  ...{ id, name: id, role: 'switched', currentA: 1, ...more },
});
const wire = (name: string) => ({
  ...{ kind: 'wire', id: `harness/${name}`, name, colour: 'RD' },
});
const WIRES = ['W1', 'W2', 'W3'].map(wire);
const SOURCES = new Map(WIRES.map((one) => [one.id, one as unknown as Source]));
const VERDICTS = new Map(WIRES.map((one) => [one.id, { stitch: [] } as unknown as Verdict]));
const FEEDS = [
  ...[feed('supply'), feed('clock', { role: 'constant' }), feed('lamps', { role: 'illumination' })],
  ...[feed('ground', { role: 'ground' }), feed('second')],
];

function contextOf(plan: readonly FeedPlanInput[], feeds = FEEDS): JobContext {
  const device = { name: 'Set', feeds };
  const model = { id: 'm', places: [] };
  return { job: { device, plan, harness: WIRES }, model, taps: [] } as unknown as JobContext;
}

/** Every wire could serve every feed; worked out anew, and so other objects each time. */
function rankings(): Record<string, Ranking> {
  const candidates = WIRES.map(({ id }) => ({
    ...{ sourceId: id, because: `because of ${id}`, cautions: [], wantsReason: undefined },
    headroom: { verdict: 'fits' },
  }));
  const ranking = { candidates, blocked: [], unfit: [] };
  return JSON.parse(
    JSON.stringify(Object.fromEntries(FEEDS.map(({ id }) => [id, ranking]))),
  ) as Record<string, Ranking>;
}

const candidatesOf = (plan: readonly FeedPlanInput[], feedId: string): string[] =>
  feedChoices(contextOf(plan), rankings())
    .find((one) => one.feed.id === feedId)
    ?.candidates.map(({ sourceId }) => sourceId.replace('harness/', '')) ?? [];

describe('what there is to choose', () => {
  it('is asked for each feed but the ground, and offers no source that serves another', () => {
    const plan = [{ feedId: 'clock', sourceId: 'harness/W1' }];
    const choices = feedChoices(contextOf(plan), rankings());
    expect(choices.map((one) => one.feed.id)).toEqual(['supply', 'clock', 'lamps', 'second']);
    expect(choices.map((one) => one.tapped?.source.id)).toEqual([
      ...[undefined, 'harness/W1', undefined, undefined],
    ]);
    expect(candidatesOf(plan, 'supply')).toEqual(['W2', 'W3']);
    expect(candidatesOf(plan, 'clock')).toEqual(['W1', 'W2', 'W3']);
  });

  it('offers two leads that take the same one joint, and names who meets there', () => {
    const plan = ['supply', 'second'].map((feedId) => ({ feedId, sourceId: 'harness/W1' }));
    expect(candidatesOf(plan.slice(0, 1), 'second')).toEqual(['W1', 'W2', 'W3']);
    expect(feedChoices(contextOf(plan), rankings()).map(({ met }) => met)).toEqual([
      ...[['second'], [], [], ['supply']],
    ]);
  });

  it('says why where nothing is, and has nothing where nothing was worked out', () => {
    const [choice] = feedChoices(contextOf([]), {});
    expect(choice).toMatchObject({ candidates: [], unfit: [], met: [] });
    expect(choice?.none).toMatch(/No source fits yet/);
  });
});

/** What the test does from outside. */
const hands: { choose?: (entry: FeedPlanInput) => void } = {};
function Cards() {
  const [plan, setPlan] = useState<readonly FeedPlanInput[]>([]);
  const choose = useCallback(
    (entry: FeedPlanInput) =>
      // A job that comes back from the server is other objects throughout.
      setPlan((before) => {
        const { job } = contextOf(before);
        return JSON.parse(JSON.stringify(withFeedPlan(job, entry, false))) as FeedPlanInput[];
      }),
    [],
  );
  useEffect(() => {
    hands.choose = choose;
  }, [choose]);
  const choices = useSteadyList(
    useMemo(() => feedChoices(contextOf(plan), rankings()), [plan]),
    (one) => one.feed.id,
  );
  return [...choices.values()].map((choice) => (
    <FeedCard
      key={choice.feed.id}
      choice={choice}
      family={undefined}
      model={MODEL}
      verdicts={VERDICTS}
      sources={SOURCES}
      onChoose={choose}
    >
      {false}
    </FeedCard>
  ));
}
const MODEL = contextOf([]).model;

it('draws anew the card of the feed that is chosen for, and those that may no longer have the source', async () => {
  renderInApp(<Cards />);
  expect([...new Set(drawn)]).toEqual(['supply', 'clock', 'lamps', 'second']);
  drawn.length = 0;
  await act(async () => hands.choose?.({ feedId: 'supply', sourceId: 'harness/W1' }));
  // The second switched lead may lie in the same joint: nothing of its card changes.
  expect([...new Set(drawn)]).toEqual(['supply', 'clock', 'lamps']);
  expect(screen.queryByTestId('candidate-clock-harness/W1')).toBeNull();
  drawn.length = 0;
  await act(async () => hands.choose?.({ feedId: 'supply', sourceId: 'harness/W1', oneWayM: 2 }));
  expect([...new Set(drawn)]).toEqual(['supply']);
});
