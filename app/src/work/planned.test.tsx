import type { JobContext } from '@lucky-thread/work';
import { renderHook } from '@testing-library/react-native';
import { usePlanned } from './planned';

/** A job with something noted on it, as far as its plan goes. */
const noted = (...items: readonly string[]): JobContext =>
  ({
    job: {
      closing: items.map((item) => ({ item, value: null, by: 'Installer', at: '' })),
      ...{ steps: [], proofs: [], version: items.length, updatedAt: items.join(), phase: 'prove' },
    },
  }) as unknown as JobContext;

it('stays itself while findings come in, and changes with the guide that the set-up goes by', () => {
  const hook = renderHook<JobContext, { context: JobContext }>(
    ({ context }) => usePlanned(context),
    { initialProps: { context: noted('guide:3.2') } },
  );
  const before = hook.result.current;
  expect(before.job.closing.map(({ item }) => item)).toEqual(['guide:3.2']);
  hook.rerender({ context: noted('guide:3.2', 'drain-before') });
  expect(hook.result.current).toBe(before);
  hook.rerender({ context: noted('guide:3.4', 'drain-before') });
  expect(hook.result.current.job.closing.map(({ item }) => item)).toEqual(['guide:3.4']);
});
