import type { Bodies, CommandKind } from './jobCommand';

/** A check is left for later, or taken up again. */
export const defer: CommandKind<Bodies['defer']> = {
  apply: (job, { body }) => {
    const others = job.deferred.filter((one) => one !== body.place);
    return { ...job, deferred: body.left ? [...others, body.place] : others };
  },
  sent: ({ key, at, body }) => ({
    path: `deferred/${body.place}`,
    body: { command: key, at, left: body.left },
  }),
  stale: undefined,
};
