import { act, renderHook, waitFor } from '@testing-library/react-native';
import type { JobPage } from '@lucky-thread/contract';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { patientServer, settled } from '../testing/fakeServer';
import { forgotten } from '../testing/render';
import { itemGone, itemKept } from './outboxSlice';
import type { OutboxItem } from './outboxSlice';
import { useJobs } from './shown';
import { makeStore } from './store';

/** Lists that are on their way, and how each is answered when it is. */
let waiting: ((jobs: readonly string[]) => void)[] = [];

beforeEach(() => {
  waiting = [];
  patientServer((answer) => {
    waiting.push((ids) => answer({ jobs: ids.map((id) => ({ id })), unreadable: [], next: null }));
  });
});

const CHANGE = { key: 'c', kind: 'job', jobId: 'j', status: 'sending' } as unknown as OutboxItem;

async function shown() {
  const store = forgotten(makeStore());
  store.dispatch(itemKept(CHANGE));
  const wrapper = (props: { readonly children: ReactNode }) => (
    <Provider store={store}>{props.children}</Provider>
  );
  const { result, unmount } = renderHook(() => useJobs({}), { wrapper });
  await act(settled);
  const ids = () =>
    result.current.data?.pages.flatMap((page: JobPage) => page.jobs.map((job) => job.id));
  const answer = (at: number, jobs: readonly string[]) =>
    act(async () => {
      waiting[at]?.(jobs);
      await settled();
    });
  const stored = () =>
    act(async () => {
      store.dispatch(itemGone(CHANGE.key));
      await settled();
    });
  return { store, ids, answer, stored, unmount };
}

it.each([
  ['came before the change was stored', true],
  ['is still on its way when the change is stored', false],
])('asks anew for a list of jobs that %s', async (_when, first) => {
  const { ids, answer, stored, unmount } = await shown();
  expect(waiting).toHaveLength(1);
  if (first) await answer(0, ['as it was']);
  await stored();
  if (!first) await answer(0, ['as it was']);
  await waitFor(() => expect(waiting).toHaveLength(2));
  await answer(1, ['as it is']);
  await waitFor(() => expect(ids()).toEqual(['as it is']));
  unmount();
});

it('asks once for a list while nothing is stored', async () => {
  const { store, ids, answer, unmount } = await shown();
  await answer(0, ['as it is']);
  await waitFor(() => expect(ids()).toEqual(['as it is']));
  await act(async () => {
    store.dispatch(itemKept({ ...CHANGE, key: 'd' }));
    await settled();
  });
  expect(waiting).toHaveLength(1);
  expect(ids()).toEqual(['as it is']);
  unmount();
});
