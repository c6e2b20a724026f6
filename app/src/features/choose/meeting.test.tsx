import { fireEvent, screen } from '@testing-library/react-native';
import type { FeedPlanInput } from '@lucky-thread/contract';
import type { Candidate } from '@lucky-thread/core/choose';
import type { Source } from '@lucky-thread/core/vehicle';
import type { TappedFeed } from '@lucky-thread/work';
import { useState } from 'react';
import { renderInApp } from '../../testing/render';
import { ChainChoice, Meeting } from './Meeting';

const wire = (name: string): Source => ({
  kind: 'wire',
  id: `harness/${name}`,
  name,
  colour: 'RD',
});
const WIRES = ['W1', 'W2', 'W3'].map(wire);
const SOURCES = new Map<string, Source>([
  ...WIRES.map((one) => [one.id, one] as const),
  ['dash/F1', { kind: 'slot', id: 'dash/F1', position: 'F1' } as unknown as Source],
]);
const CANDIDATES = [...SOURCES.keys()].map((sourceId) => ({ sourceId }) as unknown as Candidate);

function tappedFeed(direction: 'in' | 'out', plan: FeedPlanInput): TappedFeed {
  const feed = { id: 'i', name: 'Ignition', role: 'switched', currentA: 10, direction } as const;
  return { feed, plan, source: WIRES[0] ?? wire('W1') };
}

function Host({ direction, seen }: { direction: 'in' | 'out'; seen: FeedPlanInput[] }) {
  const [plan, setPlan] = useState<FeedPlanInput>({ feedId: 'i', sourceId: 'harness/W1' });
  return (
    <ChainChoice
      tapped={tappedFeed(direction, plan)}
      candidates={CANDIDATES}
      sources={SOURCES}
      onPlan={(next) => {
        seen.push(next);
        setPlan(next);
      }}
    />
  );
}

it('lets a lead that gives go on to other wires, in the order in which they are touched', () => {
  const seen: FeedPlanInput[] = [];
  renderInApp(<Host direction="out" seen={seen} />);
  expect(screen.queryByTestId('chain-i-dash/F1')).toBeNull();
  expect(screen.queryByTestId('chain-i-harness/W1')).toBeNull();
  expect(screen.queryByText(/bridges these wires/)).toBeNull();
  fireEvent.press(screen.getByTestId('chain-i-harness/W3'));
  fireEvent.press(screen.getByTestId('chain-i-harness/W2'));
  expect(screen.getByTestId('chain-i-harness/W2')).toHaveTextContent(/3\. in the chain/);
  expect(screen.getByText(/bridges these wires/)).toBeTruthy();
  fireEvent.press(screen.getByTestId('chain-i-harness/W3'));
  fireEvent.press(screen.getByTestId('chain-i-harness/W2'));
  expect(seen.map(({ alsoAt }) => alsoAt)).toEqual([
    ['harness/W3'],
    ['harness/W3', 'harness/W2'],
    ['harness/W2'],
    undefined,
  ]);
});

it('offers none to a lead that takes: it would bridge the car’s wires', () => {
  renderInApp(<Host direction="in" seen={[]} />);
  expect(screen.queryByTestId('chain-i')).toBeNull();
});

it('says which leads go into one joint, and nothing where one is alone', () => {
  renderInApp(<Meeting feedId="i" names={['Memory', 'Clock']} />);
  expect(screen.getByTestId('meets-i')).toHaveTextContent(/one joint with Memory and Clock/);
  screen.unmount();
  renderInApp(<Meeting feedId="i" names={[]} />);
  expect(screen.queryByTestId('meets-i')).toBeNull();
});
