import type { ReadingRequest, ReadingView } from '@lucky-thread/contract';
import { v7 as uuidv7 } from 'uuid';
import { api } from './api';
import type { OutboxItem } from './outboxSlice';
import { itemGone, itemKept, itemMarked, outboxLoaded } from './outboxSlice';
import { outboxStorage } from './outboxStorage';
import { problemText } from './problemText';
import type { AppDispatch, AppThunk, RootState } from './store';

/** Wait between tries while the server does not answer, ms. */
const RETRY_MS = 4000;

/** Keeps a reading the moment it is made, then sends it. */
export function takeReading(jobId: string, request: ReadingRequest): AppThunk<string> {
  return (dispatch) => {
    const id = uuidv7();
    dispatch(keep({ kind: 'reading', key: id, jobId, readingId: id, status: 'sending', request }));
    return id;
  };
}

/** Takes a reading back; one that the server has never seen is simply forgotten. */
export function withdraw(jobId: string, readingId: string): AppThunk {
  return (dispatch, getState) => {
    const pending = getState().outbox.find(
      (item) => item.kind === 'reading' && item.readingId === readingId,
    );
    if (pending !== undefined && pending.status !== 'sending') {
      dispatch(forget(pending.key));
      return;
    }
    dispatch(keep({ kind: 'withdrawal', key: uuidv7(), jobId, readingId, status: 'sending' }));
  };
}

/** Drops a refused item. */
export function forget(key: string): AppThunk {
  return (dispatch) => {
    dispatch(itemGone(key));
    void outboxStorage.drop(key);
  };
}

/** Takes up what an earlier visit left unconfirmed. */
export function openOutbox(): AppThunk<Promise<void>> {
  return async (dispatch) => {
    dispatch(outboxLoaded(await outboxStorage.all()));
    await dispatch(flushOutbox());
  };
}

function keep(item: OutboxItem): AppThunk {
  return (dispatch) => {
    dispatch(itemKept(item));
    void outboxStorage.keep(item).then(() => dispatch(flushOutbox()));
  };
}

let flushing: Promise<void> | undefined;
let retry: ReturnType<typeof setTimeout> | undefined;

/** Sends what is kept, in order, until it is empty or the server does not answer. */
export function flushOutbox(): AppThunk<Promise<void>> {
  return (dispatch, getState) => {
    flushing ??= sendAll(dispatch, getState).finally(() => {
      flushing = undefined;
      const left = getState().outbox.some((item) => item.status !== 'refused');
      clearTimeout(retry);
      if (left) retry = setTimeout(() => void dispatch(flushOutbox()), RETRY_MS);
    });
    return flushing;
  };
}

async function sendAll(dispatch: AppDispatch, getState: () => RootState): Promise<void> {
  for (;;) {
    const item = getState().outbox.find((one) => one.status !== 'refused');
    if (item === undefined) return;
    const outcome = await send(dispatch, item);
    if (outcome.kind === 'stored') {
      showStored(dispatch, item.jobId, outcome.view);
      dispatch(forget(item.key));
    } else if (outcome.kind === 'refused') {
      dispatch(itemMarked({ key: item.key, status: 'refused', problem: outcome.problem }));
    } else {
      for (const one of getState().outbox)
        if (one.status === 'sending') dispatch(itemMarked({ key: one.key, status: 'unsaved' }));
      return;
    }
  }
}

type Outcome =
  | { readonly kind: 'stored'; readonly view: ReadingView }
  | { readonly kind: 'refused'; readonly problem: string }
  | { readonly kind: 'unanswered' };

async function send(dispatch: AppDispatch, item: OutboxItem): Promise<Outcome> {
  const { jobId, readingId: id } = item;
  const result =
    item.kind === 'reading'
      ? await dispatch(api.endpoints.putReading.initiate({ jobId, id, body: item.request }))
      : await dispatch(api.endpoints.withdrawReading.initiate({ jobId, id }));
  if (result.data !== undefined) return { kind: 'stored', view: result.data };
  const status =
    result.error !== undefined && 'status' in result.error ? result.error.status : undefined;
  // 401 waits for the user to sign in again; only what is wrong in itself is refused.
  if (typeof status === 'number' && status >= 400 && status < 500 && status !== 401)
    return { kind: 'refused', problem: problemText(result.error) };
  return { kind: 'unanswered' };
}

/** Puts the stored reading into the cached list and tells the other tabs. */
function showStored(dispatch: AppDispatch, jobId: string, view: ReadingView): void {
  dispatch(
    api.util.updateQueryData('readings', jobId, (list) => {
      const at = list.findIndex((one) => one.id === view.id);
      if (at < 0) list.push(view);
      else list[at] = view;
    }),
  );
  // What the reading says about the model's log was stored with it.
  dispatch(api.util.invalidateTags(['Taps']));
  channel()?.postMessage({ jobId });
}

let shared: BroadcastChannel | undefined;

function channel(): BroadcastChannel | undefined {
  if (typeof BroadcastChannel === 'undefined') return undefined;
  return (shared ??= new BroadcastChannel('lucky-thread'));
}

/** Follows what other tabs store; returns the release. */
export function followOtherTabs(dispatch: AppDispatch): () => void {
  const listen = (event: MessageEvent<{ jobId: string }>): void => {
    dispatch(api.util.invalidateTags([{ type: 'Readings', id: event.data.jobId }, 'Taps', 'Jobs']));
  };
  const open = channel();
  open?.addEventListener('message', listen);
  return () => open?.removeEventListener('message', listen);
}
