import { act, renderHook } from '@testing-library/react-native';
import type { JobView } from '@lucky-thread/contract';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { PARKED } from '@lucky-thread/core/vehicle';
import { commandsIn } from '../../store/outboxSlice';
import { probingOpened } from '../../store/probeSlice';
import { makeStore } from '../../store/store';
import { useDefer } from './useDefer';

jest.mock('../../store/outboxStorage', () => ({
  // A device that keeps nothing and never answers: what is made stays to be seen.
  outboxStorage: { keep: () => new Promise(() => undefined), all: async () => [] },
}));

const JOB = { id: 'j', deferred: ['crank'] } as unknown as JobView;

function deferring() {
  const store = makeStore();
  store.dispatch(probingOpened({ jobId: 'j', state: PARKED, deferred: ['crank'] }));
  const wrapper = (props: { readonly children: ReactNode }) => (
    <Provider store={store}>{props.children}</Provider>
  );
  const { result } = renderHook(() => useDefer(JOB), { wrapper });
  const made = () => commandsIn(store.getState().outbox, 'j').map(({ body }) => body);
  return { store, defer: result.current, made };
}

describe('leaving checks for later', () => {
  it('is one change for each, and the plan does without them at once', () => {
    const { store, defer, made } = deferring();
    act(() => defer(['asleep', 'waited'], true));
    expect(made()).toEqual([
      { place: 'asleep', left: true },
      { place: 'waited', left: true },
    ]);
    expect(store.getState().probe.j?.cannot).toEqual(['crank', 'asleep', 'waited']);
  });

  it('is no change where the job has it already', () => {
    const { defer, made } = deferring();
    act(() => defer(['crank'], true));
    expect(made()).toEqual([]);
    act(() => defer(['crank', 'engine'], false));
    expect(made()).toEqual([{ place: 'crank', left: false }]);
  });

  it('of what can be had at any time is no change of the job', () => {
    const { defer, made } = deferring();
    act(() => defer(['acc'], true));
    expect(made()).toEqual([]);
  });
});
