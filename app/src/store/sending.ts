import { seenId } from '@lucky-thread/work/stored';
import { tell } from './awaited';
import { userIdIn } from './currentUser';
import type { OutboxItem } from './outboxSlice';
import { isOwn, itemGone, itemMarked } from './outboxSlice';
import { outboxStorage } from './outboxStorage';
import { problemOf } from './problemText';
import { send } from './sendOne';
import { shopSubjectOf } from './shopCommands';
import type { AppDispatch, AppThunk, RootState } from './store';

/** Wait between tries while something is left, ms: short at first, then longer while nothing gets through. */
const RETRY_MS = { first: 4000, longest: 60_000 } as const;

/** Drops a refused item. */
export function forget(key: string): AppThunk {
  return (dispatch) => {
    dispatch(itemGone(key));
    // What stays on the device by mistake is sent once more after a reload, which changes nothing on the server.
    outboxStorage.drop(key).catch(reportStorage);
  };
}

/** Says that this device's storage failed; the work goes on without it. */
export function reportStorage(error: unknown): void {
  console.error('This device’s storage does not answer', error);
}

let flushing: Promise<void> | undefined;
let again = false;
let retry: ReturnType<typeof setTimeout> | undefined;
let retryMs: number = RETRY_MS.first;

/** Sends what is kept and one's own, in order; what fails by itself is stepped over and tried again later. */
export function flushOutbox(): AppThunk<Promise<void>> {
  return (dispatch, getState) => {
    if (flushing !== undefined) {
      again = true;
      return flushing;
    }
    const tried = new Set<string>();
    flushing = sendAll(dispatch, getState, tried)
      .then((stored) => {
        if (stored > 0) retryMs = RETRY_MS.first;
      })
      .finally(() => {
        flushing = undefined;
        clearTimeout(retry);
        const left = waitingIn(getState());
        // What was made while the last round was on its way goes out at once.
        const isNew = again && left.some((item) => item.status === 'sending');
        again = false;
        if (isNew) return void dispatch(flushOutbox());
        // What failed, and what had to stand back for it: their makers need not wait. What was made meanwhile has its turn yet.
        for (const { key } of left) if (tried.has(key)) tell(key, { kind: 'kept' });
        if (left.length === 0) retryMs = RETRY_MS.first;
        else {
          retry = setTimeout(() => void dispatch(flushOutbox()), retryMs);
          retryMs = Math.min(retryMs * 2, RETRY_MS.longest);
        }
      });
    return flushing;
  };
}

/** What can still be sent by whoever is signed in. */
function waitingIn(state: RootState): OutboxItem[] {
  const userId = userIdIn(state);
  return state.outbox.filter((item) => item.status !== 'refused' && isOwn(item, userId));
}

/** One round over all items; answers how many were stored. Those whose turn it was are noted in `tried`. */
async function sendAll(
  dispatch: AppDispatch,
  getState: () => RootState,
  tried: Set<string>,
): Promise<number> {
  // A withdrawal never overtakes its own reading, nor a change to a job the one before it.
  const behind = new Set<string>();
  let stored = 0;
  for (;;) {
    const item = waitingIn(getState()).find((one) => !tried.has(one.key));
    if (item === undefined) return stored;
    tried.add(item.key);
    if (behind.has(subjectOf(item))) continue;
    if (restsOnUnsaved(item, waitingIn(getState()))) {
      behind.add(subjectOf(item));
      continue;
    }
    const outcome = await send(dispatch, item);
    switch (outcome.kind) {
      case 'stored':
        stored += 1;
        outcome.show?.();
        tell(item.key, { kind: 'stored', data: outcome.data as never });
        dispatch(forget(item.key));
        break;
      case 'refused':
        outcome.show?.();
        for (const one of [item, ...madeOn(item, outcome, waitingIn(getState()))])
          if (tell(one.key, outcome)) dispatch(forget(one.key));
          else dispatch(itemMarked({ key: one.key, status: 'refused', problem: outcome.problem }));
        break;
      case 'failed':
        behind.add(subjectOf(item));
        dispatch(itemMarked({ key: item.key, status: 'unsaved', problem: outcome.problem }));
        break;
      case 'unanswered':
        for (const one of waitingIn(getState())) {
          tried.add(one.key);
          if (one.status === 'sending') dispatch(itemMarked({ key: one.key, status: 'unsaved' }));
        }
        return stored;
    }
  }
}

/**
 * What was made on top of a change of the shop's things that came too late: it counts on a version that is somebody else's
 * now, and would write over what they did.
 */
function madeOn(
  item: OutboxItem,
  { error }: { readonly error: unknown },
  waiting: readonly OutboxItem[],
): OutboxItem[] {
  if (item.kind !== 'shop' || problemOf(error)?.type !== 'stale') return [];
  const subject = subjectOf(item);
  return waiting.filter((one) => one.key !== item.key && subjectOf(one) === subject);
}

/** What an item changes: items of one subject go out one after the other. */
function subjectOf(item: OutboxItem): string {
  if (item.kind === 'shop') return shopSubjectOf(item.command);
  return item.kind === 'job' ? `job ${item.jobId}` : item.readingId;
}

/**
 * Whether an item speaks of what the server does not have yet, and would be refused for that: a proof of its readings, a
 * reading of a slot or wire that was entered just before.
 */
function restsOnUnsaved(item: OutboxItem, waiting: readonly OutboxItem[]): boolean {
  if (item.kind === 'reading') {
    const { jobId, request } = item;
    return waiting.some(
      (one) => one.kind === 'job' && one.jobId === jobId && entersSource(one, request.sourceId),
    );
  }
  if (item.kind === 'shop')
    return item.command.kind === 'tap' && hasUnsaved(waiting, item.command.body.jobId);
  if (item.kind !== 'job' || item.command.kind !== 'proof') return false;
  const { readingIds } = item.command.body;
  return waiting.some((one) => one.kind === 'reading' && readingIds.includes(one.readingId));
}

/** Whether a job has anything that the server does not know yet: a tap point is logged on the strength of all of it. */
function hasUnsaved(waiting: readonly OutboxItem[], jobId: string): boolean {
  return waiting.some((one) => one.kind !== 'shop' && one.jobId === jobId);
}

/** Whether a change makes a source known to the server. */
function entersSource(
  { command }: Extract<OutboxItem, { kind: 'job' }>,
  sourceId: string,
): boolean {
  if (command.kind === 'slot') return seenId(command.body) === sourceId;
  return command.kind === 'wires' && command.body.wires.some((wire) => wire.id === sourceId);
}
