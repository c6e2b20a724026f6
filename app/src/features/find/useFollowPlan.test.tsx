import { act, renderHook } from '@testing-library/react-native';
import type { FindAdvice } from '@lucky-thread/core/identify';
import { advise } from '@lucky-thread/core/identify';
import { PARKED, stateAt } from '@lucky-thread/core/vehicle';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import type { Probing } from '../../store/probeSlice';
import { carBroughtTo, probingOpened, slotTouched } from '../../store/probeSlice';
import { makeStore } from '../../store/store';
import { useFollowPlan } from './useFollowPlan';

const JOB = 'job-1';

/** Advice to visit these slots at run. */
function atRun(...sourceIds: readonly string[]): FindAdvice {
  const advice = advise({ sources: [], readings: [], state: PARKED, needs: [] });
  const visit = {
    state: stateAt('run'),
    place: 'run' as const,
    sourceIds,
    withLamp: [],
    seconds: 5,
    firstSeconds: 5,
  };
  return {
    ...advice,
    next: { kind: 'visit', visit, instruction: '', because: '', caution: undefined },
  };
}

function following(advice: FindAdvice) {
  const store = makeStore();
  store.dispatch(probingOpened({ jobId: JOB, state: PARKED, deferred: [] }));
  const probing = (): Probing => {
    const one = store.getState().probe[JOB];
    if (one === undefined) throw new Error('the job is not being probed');
    return one;
  };
  const wrapper = (props: { readonly children: ReactNode }) => (
    <Provider store={store}>{props.children}</Provider>
  );
  const hook = renderHook(
    (props: { readonly advice: FindAdvice; readonly thinking: boolean }) =>
      useFollowPlan({ jobId: JOB, probing: probing(), ...props }),
    { wrapper, initialProps: { advice, thinking: false } },
  );
  const arrive = (): void => {
    act(() => {
      store.dispatch(carBroughtTo({ jobId: JOB, state: stateAt('run'), sourceId: 'F2' }));
      hook.result.current('F2');
    });
    hook.rerender({ advice, thinking: true });
  };
  return { ...hook, store, sourceId: () => probing().sourceId, arrive };
}

describe('useFollowPlan', () => {
  it('takes up the slot that the plan names once the car is where it was to be brought', () => {
    const { rerender, sourceId, arrive } = following(atRun('F2', 'F1'));
    arrive();
    expect(sourceId()).toBe('F2');
    rerender({ advice: atRun('F1'), thinking: false });
    expect(sourceId()).toBe('F1');
  });

  it('is the same function whatever is in hand', () => {
    const { result, rerender, arrive } = following(atRun('F2', 'F1'));
    const first = result.current;
    arrive();
    rerender({ advice: atRun('F1'), thinking: false });
    expect(result.current).toBe(first);
  });

  it('waits for the answer that belongs to the new state', () => {
    const { rerender, sourceId, arrive } = following(atRun('F2', 'F1'));
    arrive();
    rerender({ advice: atRun('F9'), thinking: true });
    expect(sourceId()).toBe('F2');
  });

  it('leaves a slot alone that the user touched', () => {
    const { store, rerender, sourceId, arrive } = following(atRun('F2', 'F1'));
    arrive();
    rerender({ advice: atRun('F1'), thinking: false });
    act(() => {
      store.dispatch(slotTouched({ jobId: JOB, sourceId: 'F7' }));
    });
    rerender({ advice: atRun('F1'), thinking: false });
    expect(sourceId()).toBe('F7');
  });

  it('leaves a slot alone that was touched while the answer was on its way', () => {
    const { store, rerender, sourceId, arrive } = following(atRun('F2', 'F1'));
    arrive();
    act(() => {
      store.dispatch(slotTouched({ jobId: JOB, sourceId: 'F7' }));
    });
    rerender({ advice: atRun('F2', 'F1'), thinking: true });
    rerender({ advice: atRun('F1'), thinking: false });
    expect(sourceId()).toBe('F7');
  });
});
