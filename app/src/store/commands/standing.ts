import type { Bodies, CommandKind } from './jobCommand';

/** What holds the job up, and why it was opened again. */
export const standing: CommandKind<Bodies['standing']> = {
  apply: (job, { body }) => ({ ...job, ...body }),
  sent: ({ key, at, body }) => ({ path: 'standing', body: { command: key, at, ...body } }),
  stale: undefined,
};
