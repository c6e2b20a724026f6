import type { Bodies, CommandKind } from './jobCommand';

/** A step of the work is done, passed over for a reason, or taken back. */
export const step: CommandKind<Bodies['step']> = {
  apply: (job, { at, body: { stepId, done, reason } }) => {
    const others = job.steps.filter((one) => one.stepId !== stepId);
    return { ...job, steps: done ? [...others, { stepId, by: '', at, reason }] : others };
  },
  sent: ({ key, at, body: { stepId, done, reason } }) => ({
    path: `steps/${encodeURIComponent(stepId)}`,
    body: { command: key, at, done, reason },
  }),
  stale: undefined,
};
