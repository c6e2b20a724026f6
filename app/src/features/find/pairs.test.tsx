import { act, fireEvent, renderHook, screen } from '@testing-library/react-native';
import type { FindAdvice, NextAction } from '@lucky-thread/core/identify';
import { advise } from '@lucky-thread/core/identify';
import { PARKED, stateAt } from '@lucky-thread/core/vehicle';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { PairPad } from '../../instruments/PairPad';
import { probingOpened } from '../../store/probeSlice';
import { makeStore } from '../../store/store';
import { fakeServer } from '../../testing/fakeServer';
import { renderInApp } from '../../testing/render';
import { Words } from '../../ui/Words';
import type { Arrival } from './NextDock';
import { NextDock } from './NextDock';
import { useFollowPlan } from './useFollowPlan';

jest.mock('../../store/outboxStorage', () => ({
  outboxStorage: {
    all: () => Promise.resolve([]),
    // Kept for ever: what is sent is tested with the outbox.
    keep: () => new Promise(() => undefined),
    drop: () => Promise.resolve(),
  },
}));

beforeEach(() => {
  fakeServer();
});

const RUN = stateAt('run');
const POP: Extract<NextAction, { kind: 'pair' }> = {
  ...{
    kind: 'pair',
    needIds: ['rl+'],
    by: 'pop',
    plusId: 'harness/W1',
    minusId: 'harness/W2',
    state: RUN,
  },
  ...{ seconds: 5, instruction: 'Touch 9 V across W1 (+) and W2 (−), and listen.' },
  ...{ because: 'A speaker pops.', caution: 'A blink, not longer.' },
};
const OHMS: typeof POP = { ...POP, by: 'ohms', state: stateAt('off') };

function dock(
  next: NextAction,
  { state = RUN, found = 0, spare = '', went = [] as string[] } = {},
): Arrival[] {
  const arrivals: Arrival[] = [];
  renderInApp(
    <NextDock
      {...{ next, state, thinking: false, deferred: [], clip: 'ground', found }}
      onArrived={(at) => arrivals.push(at)}
      onDefer={() => undefined}
      onFilled={() => went.push('on')}
      spare={new Set([spare])}
      nameOf={(id) => id}
      lookUp={() => <Words>none</Words>}
    />,
  );
  return arrivals;
}

describe('two wires to be tried together', () => {
  it('are asked for with the reason, and the caution at this very step', () => {
    dock(POP);
    expect(screen.getByTestId('next')).toHaveTextContent(/9 V across W1/);
    expect(screen.getByText('A speaker pops.')).toBeTruthy();
    expect(screen.getByText('A blink, not longer.')).toBeTruthy();
    expect(screen.queryByTestId('arrived')).toBeNull();
  });

  it('need not all be tried where the car has no more speakers, and nothing else is missing', () => {
    const went: string[] = [];
    dock(POP, { found: 3, spare: 'rl+', went });
    fireEvent.press(screen.getByTestId('no-more-speakers'));
    expect(went).toEqual(['on']);
    screen.unmount();
    dock(POP, { found: 3, spare: 'another' });
    expect(screen.queryByTestId('no-more-speakers')).toBeNull();
  });

  it('are measured with the key off: the way there is a button of its own', () => {
    const arrivals = dock(OHMS);
    expect(screen.getByTestId('arrived')).toHaveTextContent(/It is: key off/);
    fireEvent.press(screen.getByTestId('arrived'));
    expect(arrivals).toEqual([{ state: stateAt('off'), sourceIds: ['harness/W1'] }]);
  });

  it('come into the hand once the plan asks for them and the car is as it must be', () => {
    const store = makeStore();
    store.dispatch(probingOpened({ jobId: 'job', state: RUN, deferred: [] }));
    const probing = () => {
      const one = store.getState().probe['job'];
      if (one === undefined) throw new Error('the job is not being probed');
      return one;
    };
    const base = advise({ sources: [], readings: [], state: PARKED, needs: [] });
    const advice = (next: NextAction): FindAdvice => ({ ...base, next });
    const hook = renderHook(
      (props: { readonly next: NextAction }) =>
        useFollowPlan({
          ...{ jobId: 'job', probing: probing(), thinking: false },
          advice: advice(props.next),
        }),
      {
        wrapper: ({ children }: { readonly children: ReactNode }) => (
          <Provider store={store}>{children}</Provider>
        ),
        initialProps: { next: OHMS as NextAction },
      },
    );
    expect(probing().sourceId).toBeUndefined();
    hook.rerender({ next: POP });
    act(() => hook.result.current(undefined));
    hook.rerender({ next: POP });
    expect(probing().sourceId).toBe('harness/W1');
  });
});

describe('PairPad', () => {
  it('keeps which speaker popped and which way its cone moved, between both wires', () => {
    const taken: string[] = [];
    const { store } = renderInApp(
      <PairPad
        {...{ jobId: 'job', by: 'pop', plusId: 'harness/W1', minusId: 'harness/W2', state: RUN }}
        simulated={false}
        onTaken={() => taken.push('taken')}
      />,
    );
    fireEvent.press(screen.getByTestId('popped-rear left'));
    fireEvent.press(screen.getByTestId('pop-in'));
    expect(taken).toEqual(['taken']);
    expect(store.getState().outbox).toEqual([
      expect.objectContaining({
        jobId: 'job',
        request: expect.objectContaining({
          ...{ sourceId: 'harness/W1', otherId: 'harness/W2', instrument: 'pop' },
          ...{ cone: 'in', speaker: 'rear left' },
        }) as unknown,
      }),
    ]);
  });

  it('takes typed ohms between them', async () => {
    const { store } = renderInApp(
      <PairPad
        {...{ jobId: 'job', by: 'ohms', plusId: 'harness/W1', minusId: 'harness/W2' }}
        state={stateAt('off')}
        simulated={false}
      />,
    );
    fireEvent.press(screen.getByTestId('pad-volts'));
    fireEvent.press(screen.getByText('4'));
    await act(async () => {
      fireEvent.press(screen.getByTestId('keypad-log'));
      await Promise.resolve();
    });
    expect(store.getState().outbox).toEqual([
      expect.objectContaining({
        request: expect.objectContaining({ instrument: 'ohmmeter', ohms: 4 }) as unknown,
      }),
    ]);
  });
});
