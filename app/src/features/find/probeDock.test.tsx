import { DEFAULT_SETTINGS } from '@lucky-thread/contract';
import { PARKED } from '@lucky-thread/core/vehicle';
import type { JobContext } from '@lucky-thread/work';
import { screen } from '@testing-library/react-native';
import { FRESH } from '../../store/probeSlice';
import { renderInApp } from '../../testing/render';
import { ProbeDock } from './ProbeDock';

const SLOT = {
  ...{ kind: 'slot', id: 'dash/F1', position: 'F1', legend: 'ACC', ratingA: 10, family: 'mini' },
  ...{ clearance: 'clear', lie: 'tall', row: 0, column: 0, contacts: [] },
};
const CONTEXT = {
  job: {
    ...{ id: 'job', deferred: [], harness: [] },
    vehicle: { modelId: 'm', year: 2020, trim: '', market: '', steering: 'left' },
    device: { name: 'Dashcam', feeds: [] },
  },
  model: {
    handbook: [],
    places: [{ id: 'dash', kind: 'fusePanel', reach: { steps: [] }, sources: [SLOT] }],
  },
  ...{ taps: [], settings: DEFAULT_SETTINGS },
} as unknown as JobContext;

it.each([
  [false, 'dash/F1', /comes with the job’s readings/],
  [true, undefined, /Touch a slot or a wire/],
] as const)('opens no pad: readings there %s, in hand %s', (resumed, sourceId, words) => {
  const probing = { ...FRESH, state: PARKED, cannot: [], sourceId, resumed };
  const rest = { rows: [], advice: undefined, thinking: true, problem: undefined };
  renderInApp(
    <ProbeDock
      context={CONTEXT}
      finding={{ ...rest, probing, retry: jest.fn() }}
      onFilled={jest.fn()}
    />,
  );
  expect(screen.getByTestId('no-pad')).toHaveTextContent(words);
  expect(screen.queryByTestId('pad-lit')).toBeNull();
});
