import type { HarnessWireInput, JobView, ReadingRequest } from '@lucky-thread/contract';
import { v7 as uuidv7 } from 'uuid';
import { api } from './api';
import type { ShopOutcome } from './awaited';
import { toldOf } from './awaited';
import type { JobChangeBody } from './commands';
import { commandsFor, withCommands } from './commands';
import { userIdIn } from './currentUser';
import type { OutboxItem } from './outboxSlice';
import { commandsIn, itemKept, itemMarked, outboxLoaded } from './outboxSlice';
import { outboxStorage } from './outboxStorage';
import { flushOutbox, forget, reportStorage } from './sending';
import type { BodyOf, ShopCommand, ShopCommandName } from './shopCommands';
import type { AppThunk } from './store';

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

/**
 * Makes a command on the shop's things: done on the screen at once, kept on the device, sent in order. Answers when the
 * server has spoken, or when nothing gets through to it; what is refused is forgotten, since its maker is told.
 */
export function commandShop<Name extends ShopCommandName>(
  kind: Name,
  body: BodyOf<Name>,
): AppThunk<Promise<ShopOutcome<Name>>> {
  return (dispatch, getState) => {
    const key = uuidv7();
    // Name and body are one pair of the union, which a generic name does not show.
    const command = { kind, key, at: new Date().toISOString(), body } as ShopCommand;
    const answered = toldOf<Name>(key);
    dispatch(keep({ kind: 'shop', key, by: userIdIn(getState()), status: 'sending', command }));
    return answered;
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
