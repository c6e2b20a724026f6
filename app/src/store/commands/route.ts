import type { Bodies, CommandKind } from './jobCommand';

/** Where the device sits, and what its route is to be good at. */
export const route: CommandKind<Bodies['route']> = {
  apply: (job, { body }) => ({ ...job, route: body.route }),
  sent: ({ key, at, body }) => ({ path: 'route', body: { command: key, at, route: body.route } }),
  stale: undefined,
};
