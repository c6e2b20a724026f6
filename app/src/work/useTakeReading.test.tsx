import { act, renderHook } from '@testing-library/react-native';
import { stateAt } from '@lucky-thread/core/vehicle';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { makeStore } from '../store/store';
import { useTakeReading } from './useTakeReading';

function taking() {
  const store = makeStore();
  const hook = renderHook(
    (props: { readonly sourceId: string }) => useTakeReading({ ...props, ...AT }),
    {
      wrapper: ({ children }: { readonly children: ReactNode }) => (
        <Provider store={store}>{children}</Provider>
      ),
      initialProps: { sourceId: 'dash/F1' },
    },
  );
  return { ...hook, store };
}

jest.mock('../store/outboxStorage', () => ({
  // Kept for ever: nothing is sent from here.
  outboxStorage: { keep: () => new Promise(() => undefined) },
}));

// What would be sent later is none of this file’s business.
beforeAll(() => {
  jest.useFakeTimers({ doNotFake: ['setImmediate', 'queueMicrotask', 'nextTick', 'Date'] });
});

const AT = { jobId: 'job', state: stateAt('off') };

describe('useTakeReading', () => {
  it('stays the same while nothing of it changes, so that a pad is not drawn anew', () => {
    const { result, rerender } = taking();
    const first = result.current;
    rerender({ sourceId: 'dash/F1' });
    expect(result.current).toBe(first);
    rerender({ sourceId: 'dash/F2' });
    expect(result.current.glow).not.toBe(first.glow);
  });

  it('takes one reading where a thumb bounces, and the next one after it', async () => {
    const { result, store } = taking();
    const press = () => Promise.all([result.current.glow('lit'), result.current.glow('lit')]);
    await act(async () => expect(await press()).toEqual([true, false]));
    expect(store.getState().outbox).toHaveLength(1);
    await act(async () => void (await result.current.glow('dark')));
    expect(store.getState().outbox).toHaveLength(2);
  });
});
