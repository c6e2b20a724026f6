import type { JobView, ReadingView, TapPointView } from '@lucky-thread/contract';
import { api } from './api';
import { showJob, showReading, showRenewed } from './arrivals';
import { makeStore } from './store';
import { patientServer, settled } from '../testing/fakeServer';

/** Requests that are on their way, and how each is answered when it is. */
let waiting: ((body: unknown) => void)[] = [];

beforeEach(() => {
  jest.useFakeTimers({ doNotFake: ['setImmediate', 'queueMicrotask'] });
  waiting = [];
  patientServer((answer) => waiting.push(answer));
});

afterEach(() => jest.useRealTimers());

const job = (version: number): JobView => ({ id: 'job', version }) as unknown as JobView;
const reading = (id: string, withdrawnAt: string | null = null): ReadingView =>
  ({ id, withdrawnAt }) as unknown as ReadingView;

it('shows the job as stored where the first answer about it was written before that', async () => {
  const store = makeStore();
  const asked = store.dispatch(api.endpoints.job.initiate('job'));
  await settled();
  showJob(store.dispatch, job(4));
  waiting[0]?.(job(3));
  await settled();
  expect(api.endpoints.job.select('job')(store.getState()).data).toEqual(job(4));
  asked.unsubscribe();
});

it('shows readings as stored where the list that arrives after them was written before', async () => {
  const store = makeStore();
  const asked = store.dispatch(api.endpoints.readings.initiate('job'));
  await settled();
  waiting[0]?.([reading('a')]);
  await settled();
  const again = store.dispatch(api.endpoints.readings.initiate('job', { forceRefetch: true }));
  await settled();
  showReading(store.dispatch, 'job', reading('a', 'now'));
  showReading(store.dispatch, 'job', reading('b'));
  // At once, without waiting for what is on its way …
  const shown = () => api.endpoints.readings.select('job')(store.getState()).data;
  expect(shown()).toEqual([reading('a', 'now'), reading('b')]);
  waiting[1]?.([reading('a')]);
  await settled();
  // … and not taken back by it.
  expect(shown()).toEqual([reading('a', 'now'), reading('b')]);
  asked.unsubscribe();
  again.unsubscribe();
});

it('shows a tap point that is logged once, however often it is answered', async () => {
  const store = makeStore();
  const asked = store.dispatch(api.endpoints.jobTaps.initiate('job'));
  await settled();
  const tap = (id: string, fuseA: number) => ({ id, jobId: 'job', fuseA }) as TapPointView;
  waiting[0]?.([tap('a', 5)]);
  await settled();
  showRenewed(store.dispatch, { tap: tap('b', 5), asked: [] });
  showRenewed(store.dispatch, { tap: tap('b', 10), asked: [] });
  const shown = api.endpoints.jobTaps.select('job')(store.getState()).data;
  expect(shown?.map(({ id, fuseA }) => [id, fuseA])).toEqual([
    ['a', 5],
    ['b', 10],
  ]);
  asked.unsubscribe();
});
