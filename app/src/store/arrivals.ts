import type { JobView, ReadingView, TapPointView } from '@lucky-thread/contract';
import { api } from './api';
import { newerJob } from './newerJob';
import type { Renewed } from './shopCommands/shopCommand';
import type { AppDispatch } from './store';

/** Puts the job as the server has it into the cache, lists of jobs too when they are shown next, and tells the other tabs. */
export function showJob(dispatch: AppDispatch, job: JobView): void {
  const show = () =>
    dispatch(api.util.updateQueryData('job', job.id, (shown) => newerJob(shown, job)));
  show();
  // An answer that is on its way may have been written before the change, and may be the first there is to show.
  void dispatch(api.util.getRunningQueryThunk('job', job.id))?.then(show);
  channel()?.postMessage({ jobId: job.id });
}

/** Puts the stored reading into the cached list and tells the other tabs. */
export function showReading(dispatch: AppDispatch, jobId: string, view: ReadingView): void {
  const show = () =>
    dispatch(
      api.util.updateQueryData('readings', jobId, (list) => {
        const at = list.findIndex((one) => one.id === view.id);
        if (at < 0) list.push(view);
        else list[at] = view;
      }),
    );
  show();
  void dispatch(api.util.getRunningQueryThunk('readings', jobId))?.then(show);
  channel()?.postMessage({ jobId });
}

/** Puts what the answer to a command on the shop's things renews on the screen. */
export function showRenewed(
  dispatch: AppDispatch,
  { model, job, shop, tap, asked }: Renewed,
): void {
  if (model !== undefined) void dispatch(api.util.upsertQueryData('model', model.id, model));
  if (job !== undefined) void dispatch(api.util.upsertQueryData('job', job.id, job));
  if (shop !== undefined) void dispatch(api.util.upsertQueryData('shop', undefined, shop));
  if (tap !== undefined && tap.jobId !== null)
    dispatch(
      api.util.updateQueryData('jobTaps', tap.jobId, (taps: readonly TapPointView[]) => [
        ...taps.filter(({ id }) => id !== tap.id),
        tap,
      ]),
    );
  if (asked.length > 0) dispatch(api.util.invalidateTags([...asked]));
}

/** What else a change to a job shows up in. */
const OF_JOBS = ['Taps', 'TapLists', 'Jobs', 'JobLists'] as const;

let shared: BroadcastChannel | undefined;

function channel(): BroadcastChannel | undefined {
  if (typeof BroadcastChannel === 'undefined') return undefined;
  return (shared ??= new BroadcastChannel('lucky-thread'));
}

/** Follows what other tabs store; returns the release. */
export function followOtherTabs(dispatch: AppDispatch): () => void {
  const listen = (event: MessageEvent<{ jobId: string }>): void => {
    dispatch(api.util.invalidateTags([{ type: 'Readings', id: event.data.jobId }, ...OF_JOBS]));
  };
  const open = channel();
  open?.addEventListener('message', listen);
  return () => open?.removeEventListener('message', listen);
}
