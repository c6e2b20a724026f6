import type { JobContext } from '@lucky-thread/work';
import { act, renderHook } from '@testing-library/react-native';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { stateAt } from '@lucky-thread/core/vehicle';
import { carChanged, slotTouched } from '../store/probeSlice';
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
const mockAsked: object[] = [];
jest.mock('@lucky-thread/work', () => ({
  findSessionOf: (of: object) => {
    mockAsked.push(of);
    return {};
  },
}));

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

it('puts no session together anew for a reading that is only being saved', () => {
  mockReadings = { rows: [{ state: stateAt('run'), saved: 'sending' }], loaded: true };
  const store = makeStore();
  const wrapper = ({ children }: { readonly children: ReactNode }) => (
    <Provider store={store}>{children}</Provider>
  );
  const { rerender } = renderHook(() => useFind(CONTEXT), { wrapper });
  const asked = mockAsked.length;
  mockReadings = { rows: [{ state: stateAt('run'), saved: 'saved' }], loaded: true };
  rerender({});
  expect(mockAsked).toHaveLength(asked);
  act(() => void store.dispatch(carChanged({ jobId: 'job', change: { kind: 'key', to: 'acc' } })));
  expect(mockAsked.length).toBeGreaterThan(asked);
});
