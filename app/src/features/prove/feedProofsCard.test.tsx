import { act, fireEvent, screen } from '@testing-library/react-native';
import type { CheckStanding } from '@lucky-thread/core/prove';
import { stateAt } from '@lucky-thread/core/vehicle';
import type { FeedProofs } from '@lucky-thread/work';
import { useEffect, useState } from 'react';
import type * as DrawnModule from '../../testing/drawnWords';
import { drawn } from '../../testing/drawnWords';
import { renderInApp } from '../../testing/render';
import { FeedProofsCard } from './FeedProofsCard';

jest.mock('../../ui/Words', () =>
  jest
    .requireActual<typeof DrawnModule>('../../testing/drawnWords')
    .watchingWords((words) => (/^(Far end|Original|Locks)/.test(words) ? words : undefined)),
);

const OPEN: CheckStanding = { is: 'open' };
const PASSED: CheckStanding = { is: 'passed', readingId: 'r', shows: '12.1 V' };
const ROWS = ['Far end: run', 'Far end: key off (door opened)', 'Original circuit: run'];

/** A feed with three readings to take and a thing to be seen; other objects at each call, as they come from the readings. */
function feedOf(standings: readonly CheckStanding[], shown = false): FeedProofs {
  const check = (id: string, spot: 'end' | 'original', place: 'run' | 'off') => ({
    ...{ id, spot, kind: 'supply', pointId: 'lead', state: stateAt(place), how: 'Touch it.' },
    ...{ expectV: 12, leastV: 11.5, mostV: undefined, because: '', caution: undefined },
  });
  const checks = [
    check('on', 'end', 'run'),
    check('off', 'end', 'off'),
    check('own', 'original', 'run'),
  ];
  return {
    tapped: {
      feed: { id: 'supply', name: 'Supply' },
      source: { kind: 'wire', id: 'harness/W1', name: 'W1', colour: 'RD' },
    },
    proofs: [
      {
        proof: { kind: 'supply', title: 'Live' },
        checks: checks.map((one, at) => ({ check: one, standing: standings[at] })),
        shown: false,
      },
      { proof: { kind: 'answers', title: 'Locks', how: 'They lock.' }, checks: [], shown },
    ],
  } as unknown as FeedProofs;
}

const none = (): void => undefined;

/** What the test does from outside: how the checks stand, and which is in hand. */
const hands: { show?: (of: FeedProofs, inHand: number) => void } = {};
function Host() {
  const [{ of, inHand }, setShown] = useState({ of: feedOf([OPEN, OPEN, OPEN]), inHand: 0 });
  useEffect(() => {
    hands.show = (next, at) => setShown({ of: next, inHand: at });
  }, []);
  const current = feedOf([]).proofs[0]?.checks[inHand]?.check;
  return <FeedProofsCard of={of} current={current} onCheck={none} onSeen={none} />;
}
async function drawnFor(of: FeedProofs, inHand: number): Promise<readonly string[]> {
  drawn.length = 0;
  await act(async () => hands.show?.(of, inHand));
  return [...drawn];
}

it('draws the row that a reading changes, and those that the check in hand leaves and comes to', async () => {
  renderInApp(<Host />);
  expect(drawn).toEqual([...ROWS, 'Locks']);
  expect(await drawnFor(feedOf([OPEN, PASSED, OPEN]), 0)).toEqual([ROWS[1]]);
  expect(screen.getByTestId('shows-supply-off')).toHaveTextContent('12.1 V');
  expect(await drawnFor(feedOf([OPEN, PASSED, OPEN]), 2)).toEqual([ROWS[0], ROWS[2]]);
  expect(await drawnFor(feedOf([OPEN, PASSED, OPEN], true), 2)).toEqual(['Locks']);
});

it('takes up a check at a touch, and what was seen, each by its own name', () => {
  const taken: string[] = [];
  renderInApp(
    <FeedProofsCard
      of={feedOf([OPEN, OPEN, OPEN])}
      current={undefined}
      onCheck={(feedId, checkId) => taken.push(`${feedId} ${checkId}`)}
      onSeen={(feedId, kind) => taken.push(`${feedId} ${kind}`)}
    />,
  );
  fireEvent.press(screen.getByTestId('check-supply-own'));
  fireEvent.press(screen.getByTestId('proof-supply-answers'));
  expect(taken).toEqual(['supply own', 'supply answers']);
});
