import type { Bodies, CommandKind } from './jobCommand';

/** The bunch of cut wires is laid out anew. */
export const wires: CommandKind<Bodies['wires']> = {
  apply: (job, { key, body }) => ({ ...job, harness: body.wires, wiresVersion: key }),
  base: (job) => job.wiresVersion,
  sent: ({ key, at, base, body }) => ({
    path: 'wires',
    body: { command: key, at, base, wires: body.wires },
  }),
  stale:
    'The wires were changed elsewhere meanwhile. They are shown as they are now: make your change again.',
};
