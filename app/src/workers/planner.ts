import type { FindAdvice, FindSession } from '@lucky-thread/core/identify';
import type { Remote } from 'comlink';
import { wrap } from 'comlink';
import type { Planner } from './plan.worker';

let remote: Remote<Planner> | undefined;

/** Asks the worker for advice on a session; the worker is started at the first call. */
export function askPlanner(session: FindSession): Promise<FindAdvice> {
  remote ??= wrap<Planner>(new Worker(new URL('./plan.worker.ts', import.meta.url)));
  return remote.advise(session);
}
