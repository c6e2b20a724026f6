import { act, renderHook } from '@testing-library/react-native';
import type { JobView } from '@lucky-thread/contract';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { PARKED } from '@lucky-thread/core/vehicle';
import { api } from '../../store/api';
import { probingOpened } from '../../store/probeSlice';
import { makeStore } from '../../store/store';
import { useDefer } from './useDefer';

const mockSent: unknown[] = [];
let mockAnswers: { data?: unknown; error?: unknown }[] = [];
jest.mock('../../store/api', () => {
  const actual = jest.requireActual<object>('../../store/api');
  return {
    ...actual,
    useUpdateJobMutation: () => [
      async (given: unknown) => {
        mockSent.push(given);
        return mockAnswers.shift() ?? { data: {} };
      },
    ],
  };
});

const JOB = { id: 'j', version: 4, deferred: ['crank'] } as unknown as JobView;

function deferring() {
  const store = makeStore();
  store.dispatch(probingOpened({ jobId: 'j', state: PARKED, deferred: ['crank'] }));
  const wrapper = (props: { readonly children: ReactNode }) => (
    <Provider store={store}>{props.children}</Provider>
  );
  const { result } = renderHook(() => useDefer(JOB), { wrapper });
  return { store, defer: result.current };
}

beforeEach(() => {
  mockSent.length = 0;
  mockAnswers = [];
});

describe('leaving checks for later', () => {
  it('is one change, however many states it is about', async () => {
    const { store, defer } = deferring();
    await act(() => defer(['asleep', 'waited'], true));
    expect(mockSent).toEqual([
      { id: 'j', body: { version: 4, deferred: ['crank', 'asleep', 'waited'] } },
    ]);
    expect(store.getState().probe.j?.cannot).toEqual(['crank', 'asleep', 'waited']);
    store.dispatch(api.util.resetApiState());
  });

  it('is made once more on the job as it is now when somebody was faster', async () => {
    const { store, defer } = deferring();
    const current = { id: 'j', version: 9, deferred: ['engine'] };
    mockAnswers = [
      { error: { status: 409, data: { type: 'stale', title: 'Stale', status: 409, current } } },
    ];
    await act(() => defer(['asleep'], true));
    expect(mockSent.at(-1)).toEqual({
      id: 'j',
      body: { version: 9, deferred: ['engine', 'asleep'] },
    });
    expect(mockSent).toHaveLength(2);
    store.dispatch(api.util.resetApiState());
  });

  it('of what can be had at any time is no change of the job', async () => {
    const { store, defer } = deferring();
    await act(() => defer(['acc'], true));
    expect(mockSent).toEqual([]);
    store.dispatch(api.util.resetApiState());
  });
});
