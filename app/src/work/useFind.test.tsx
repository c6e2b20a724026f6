import type { JobContext } from '@lucky-thread/work';
import { act, renderHook } from '@testing-library/react-native';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { stateAt } from '@lucky-thread/core/vehicle';
import { slotTouched } from '../store/probeSlice';
import { makeStore } from '../store/store';
import type { ReadingRow } from './jobReadings';
import { useFind } from './useFind';

let mockReadings: { rows: readonly Partial<ReadingRow>[]; loaded: boolean };
jest.mock('./jobReadings', () => ({
  useJobReadings: () => mockReadings,
  countingRows: (rows: unknown) => rows,
  coreReadings: () => [],
}));
// What the plan makes of it is another matter: it never answers here.
jest.mock('../workers/planner', () => ({ askPlanner: () => new Promise(() => undefined) }));
jest.mock('@lucky-thread/work', () => ({ findSessionOf: () => ({}) }));

const CONTEXT = { job: { id: 'job', deferred: ['crank'] } } as unknown as JobContext;

it('keeps a slot that is touched before the readings are there, and stands where the last of them left the car', () => {
  mockReadings = { rows: [], loaded: false };
  const store = makeStore();
  const wrapper = ({ children }: { readonly children: ReactNode }) => (
    <Provider store={store}>{children}</Provider>
  );
  const { result, rerender } = renderHook(() => useFind(CONTEXT).probing, { wrapper });
  act(() => void store.dispatch(slotTouched({ jobId: 'job', sourceId: 'dash/F5' })));
  // Nothing can be read yet: where the car stands is not known.
  expect(result.current).toMatchObject({ sourceId: 'dash/F5', resumed: false });
  mockReadings = { rows: [{ state: stateAt('run') }], loaded: true };
  rerender({});
  expect(result.current).toMatchObject({
    ...{ sourceId: 'dash/F5', state: stateAt('run') },
    ...{ cannot: ['crank'], resumed: true },
  });
});
