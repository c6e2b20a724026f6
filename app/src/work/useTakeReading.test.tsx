import { renderHook } from '@testing-library/react-native';
import { stateAt } from '@lucky-thread/core/vehicle';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { makeStore } from '../store/store';
import { useTakeReading } from './useTakeReading';

function taking() {
  const store = makeStore();
  return renderHook((props: { readonly sourceId: string }) => useTakeReading({ ...props, ...AT }), {
    wrapper: ({ children }: { readonly children: ReactNode }) => (
      <Provider store={store}>{children}</Provider>
    ),
    initialProps: { sourceId: 'dash/F1' },
  });
}

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
});
