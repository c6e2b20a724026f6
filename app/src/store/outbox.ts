import type { HarnessWireInput, JobView, ReadingRequest } from '@lucky-thread/contract';
import { seenId } from '@lucky-thread/work/stored';
import { v7 as uuidv7 } from 'uuid';
import { api } from './api';
import { showJob, showReading } from './arrivals';
import type { JobChangeBody } from './commands';
import { commandsFor, sentBy, staleWords, withCommands } from './commands';
import { userIdIn } from './currentUser';
import type { OutboxItem } from './outboxSlice';
import { commandsIn, isOwn, itemGone, itemKept, itemMarked, outboxLoaded } from './outboxSlice';
import { outboxStorage } from './outboxStorage';
import { problemOf, problemText } from './problemText';
import type { AppDispatch, AppThunk, RootState } from './store';

/** Wait between tries while something is left, ms: short at first, then longer while nothing gets through. */
const RETRY_MS = { first: 4000, longest: 60_000 } as const;
/** Keeping on the device may take so long before the sending begins without it, ms. */
const KEEPING_MS = 2000;

/** Keeps a reading the moment it is made, then sends it. */
export function takeReading(jobId: string, request: ReadingRequest): AppThunk<string> {
  return (dispatch, getState) => {
    const id = uuidv7();
    const by = userIdIn(getState());
    dispatch(
      keep({ kind: 'reading', key: id, jobId, readingId: id, by, status: 'sending', request }),
    );
    return id;
  };
}

/**
 * Takes a reading back. One that is still unsaved is not sent any more; the withdrawal goes out all the same, since the
 * server may have stored it and only its answer was lost.
 */
export function withdraw(jobId: string, readingId: string): AppThunk {
  return (dispatch, getState) => {
    const pending = getState().outbox.find(
      (item) => item.kind === 'reading' && item.readingId === readingId,
    );
    if (pending?.status === 'refused') {
      dispatch(forget(pending.key));
      return;
    }
    if (pending?.status === 'unsaved') dispatch(forget(pending.key));
    const by = userIdIn(getState());
    dispatch(keep({ kind: 'withdrawal', key: uuidv7(), jobId, readingId, by, status: 'sending' }));
  };
}

/** Changes a job: done on the screen at once, kept on the device, sent in order. What was refused before is forgotten. */
export function changeJob(job: JobView, changes: readonly JobChangeBody[]): AppThunk {
  return (dispatch, getState) => {
    const state = getState();
    const jobId = job.id;
    const by = userIdIn(state);
    for (const item of state.outbox)
      if (item.kind === 'job' && item.jobId === jobId && item.status === 'refused')
        dispatch(forget(item.key));
    const make = () => ({ key: uuidv7(), at: new Date().toISOString() });
    for (const command of commandsFor(job, changes, make))
      dispatch(keep({ kind: 'job', key: command.key, jobId, by, status: 'sending', command }));
  };
}

/**
 * Lays more wires open beside those that lie open already. What stands now counts, and not what was on the screen when the
 * button was drawn: two touches in quick succession open two places.
 */
export function layOpen(job: JobView, wires: readonly HarnessWireInput[]): AppThunk {
  return (dispatch, getState) => {
    const state = getState();
    const known = api.endpoints.job.select(job.id)(state).data ?? job;
    const now = withCommands(known, commandsIn(state.outbox, job.id));
    const open = new Set(now.harness.map(({ id }) => id));
    const more = wires.filter(({ id }) => !open.has(id));
    if (more.length > 0)
      dispatch(changeJob(now, [{ kind: 'wires', body: { wires: [...now.harness, ...more] } }]));
  };
}

/** Drops a refused item. */
export function forget(key: string): AppThunk {
  return (dispatch) => {
    dispatch(itemGone(key));
    // What stays on the device by mistake is sent once more after a reload, which changes nothing on the server.
    outboxStorage.drop(key).catch(reportStorage);
  };
}

/** Takes up what an earlier visit left unconfirmed. */
export function openOutbox(): AppThunk<Promise<void>> {
  return async (dispatch) => {
    try {
      dispatch(outboxLoaded(await outboxStorage.all()));
    } catch (error) {
      reportStorage(error);
    }
    await dispatch(flushOutbox());
  };
}

function reportStorage(error: unknown): void {
  console.error('This device’s storage does not answer', error);
}

function keep(item: OutboxItem): AppThunk {
  return (dispatch, getState) => {
    dispatch(itemKept(item));
    const kept = outboxStorage.keep(item).catch(() => {
      if (getState().outbox.some((one) => one.key === item.key))
        dispatch(itemMarked({ key: item.key, adrift: true }));
    });
    // A full or hanging storage must not keep the reading from the server.
    void Promise.race([kept, after(KEEPING_MS)]).then(() => dispatch(flushOutbox()));
  };
}

function after(ms: number): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, ms));
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
    flushing = sendAll(dispatch, getState)
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
        if (isNew) void dispatch(flushOutbox());
        else if (left.length === 0) retryMs = RETRY_MS.first;
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

/** One round over all items; answers how many were stored. */
async function sendAll(dispatch: AppDispatch, getState: () => RootState): Promise<number> {
  const tried = new Set<string>();
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
        dispatch(forget(item.key));
        break;
      case 'refused':
        outcome.show?.();
        dispatch(itemMarked({ key: item.key, status: 'refused', problem: outcome.problem }));
        break;
      case 'failed':
        behind.add(subjectOf(item));
        dispatch(itemMarked({ key: item.key, status: 'unsaved', problem: outcome.problem }));
        break;
      case 'unanswered':
        for (const one of waitingIn(getState()))
          if (one.status === 'sending') dispatch(itemMarked({ key: one.key, status: 'unsaved' }));
        return stored;
    }
  }
}

type Outcome =
  /** `show` puts what the server answered on the screen. */
  | { readonly kind: 'stored'; readonly show?: () => void }
  | { readonly kind: 'refused'; readonly problem: string; readonly show?: (() => void) | undefined }
  /** The server failed at this item; the next one may go through. */
  | { readonly kind: 'failed'; readonly problem: string }
  /** Nothing gets through now. */
  | { readonly kind: 'unanswered' };

/** What an item changes: items of one subject go out one after the other. */
function subjectOf(item: OutboxItem): string {
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
  if (item.kind !== 'job' || item.command.kind !== 'proof') return false;
  const { readingIds } = item.command.body;
  return waiting.some((one) => one.kind === 'reading' && readingIds.includes(one.readingId));
}

/** Whether a change makes a source known to the server. */
function entersSource(
  { command }: Extract<OutboxItem, { kind: 'job' }>,
  sourceId: string,
): boolean {
  if (command.kind === 'slot') return seenId(command.body) === sourceId;
  return command.kind === 'wires' && command.body.wires.some((wire) => wire.id === sourceId);
}

async function send(dispatch: AppDispatch, item: OutboxItem): Promise<Outcome> {
  return item.kind === 'job' ? sendCommand(dispatch, item) : sendReading(dispatch, item);
}

async function sendReading(
  dispatch: AppDispatch,
  item: Exclude<OutboxItem, { kind: 'job' }>,
): Promise<Outcome> {
  const { jobId, readingId: id, by } = item;
  const { data, error } =
    item.kind === 'reading'
      ? await dispatch(api.endpoints.putReading.initiate({ jobId, id, by, body: item.request }))
      : await dispatch(api.endpoints.withdrawReading.initiate({ jobId, id, by }));
  if (data !== undefined) return { kind: 'stored', show: () => showReading(dispatch, jobId, data) };
  return outcomeOf(item, error);
}

async function sendCommand(
  dispatch: AppDispatch,
  { jobId, by, command, ...item }: Extract<OutboxItem, { kind: 'job' }>,
): Promise<Outcome> {
  const { data, error } = await dispatch(
    api.endpoints.commandJob.initiate({ jobId, by, sent: sentBy(command) }),
  );
  if (data !== undefined) return { kind: 'stored', show: () => showJob(dispatch, data) };
  const outcome = outcomeOf({ ...item, jobId, command }, error);
  const problem = problemOf(error);
  if (outcome.kind !== 'refused') return outcome;
  const current = problem?.current as JobView | undefined;
  const words = problem?.type === 'stale' ? staleWords(command) : undefined;
  return {
    kind: 'refused',
    problem: words ?? outcome.problem,
    show: current === undefined ? undefined : () => showJob(dispatch, current),
  };
}

/** What waits for something else than a change of the item itself. */
const LATER = new Set([401, 408, 421, 425, 429, 503]);

function outcomeOf(item: OutboxItem, error: unknown): Outcome {
  const status =
    typeof error === 'object' && error !== null && 'status' in error ? error.status : undefined;
  if (typeof status !== 'number') return { kind: 'unanswered' };
  if (LATER.has(status) || problemOf(error)?.type === 'other-user') return { kind: 'unanswered' };
  // What the server never had needs no taking back.
  if (item.kind === 'withdrawal' && status === 404) return { kind: 'stored' };
  return { kind: status >= 500 ? 'failed' : 'refused', problem: problemText(error) };
}
