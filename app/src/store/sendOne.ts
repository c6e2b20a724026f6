import type { JobView } from '@lucky-thread/contract';
import { api } from './api';
import { showJob, showReading, showRenewed } from './arrivals';
import { sentBy, staleWords } from './commands';
import type { OutboxItem } from './outboxSlice';
import { problemOf, problemText } from './problemText';
import { askedAgain, isRemoval, renewedBy, shopSentBy } from './shopCommands';
import type { AppDispatch } from './store';

/** How one item went. */
export type Outcome =
  /** `show` puts what the server answered on the screen. */
  | { readonly kind: 'stored'; readonly data?: unknown; readonly show?: () => void }
  | {
      readonly kind: 'refused';
      readonly problem: string;
      readonly error: unknown;
      readonly show?: (() => void) | undefined;
    }
  /** The server failed at this item; the next one may go through. */
  | { readonly kind: 'failed'; readonly problem: string; readonly error: unknown }
  /** Nothing gets through now. */
  | { readonly kind: 'unanswered' };

/** Sends one kept item, and says how it went. */
export async function send(dispatch: AppDispatch, item: OutboxItem): Promise<Outcome> {
  switch (item.kind) {
    case 'job':
      return sendCommand(dispatch, item);
    case 'shop':
      return sendShopCommand(dispatch, item);
    default:
      return sendReading(dispatch, item);
  }
}

async function sendReading(
  dispatch: AppDispatch,
  item: Extract<OutboxItem, { kind: 'reading' | 'withdrawal' }>,
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
    ...outcome,
    problem: words ?? outcome.problem,
    show: current === undefined ? undefined : () => showJob(dispatch, current),
  };
}

async function sendShopCommand(
  dispatch: AppDispatch,
  item: Extract<OutboxItem, { kind: 'shop' }>,
): Promise<Outcome> {
  const { by, command } = item;
  const sent = shopSentBy(command);
  const { data, error } = await dispatch(api.endpoints.commandShop.initiate({ by, sent }));
  if (error !== undefined) {
    const outcome = outcomeOf(item, error);
    return outcome.kind === 'refused'
      ? { ...outcome, show: () => void dispatch(api.util.invalidateTags([askedAgain(command)])) }
      : outcome;
  }
  return { kind: 'stored', data, show: () => showRenewed(dispatch, renewedBy(command, data)) };
}

/** What waits for something else than a change of the item itself. */
const LATER = new Set([401, 408, 421, 425, 429, 503]);

function outcomeOf(item: OutboxItem, error: unknown): Outcome {
  const status =
    typeof error === 'object' && error !== null && 'status' in error ? error.status : undefined;
  if (typeof status !== 'number') return { kind: 'unanswered' };
  if (LATER.has(status) || problemOf(error)?.type === 'other-user') return { kind: 'unanswered' };
  // What the server never had needs no taking back.
  const takesAway = item.kind === 'shop' ? isRemoval(item.command) : item.kind === 'withdrawal';
  if (takesAway && status === 404) return { kind: 'stored' };
  return { kind: status >= 500 ? 'failed' : 'refused', problem: problemText(error), error };
}
