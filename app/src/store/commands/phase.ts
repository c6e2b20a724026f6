import { PHASES } from '@lucky-thread/contract';
import type { Bodies, CommandKind } from './jobCommand';

/** A phase is reached; a job never falls back by it. */
export const phase: CommandKind<Bodies['phase']> = {
  apply: (job, { body }) =>
    PHASES.indexOf(body.phase) > PHASES.indexOf(job.phase) ? { ...job, phase: body.phase } : job,
  sent: ({ key, at, body }) => ({ path: 'phase', body: { command: key, at, phase: body.phase } }),
  stale: undefined,
};
