import type { Bodies, CommandKind } from './jobCommand';

/** A feed is planned, or its plan taken back. Proofs of another source stand no longer. */
export const plan: CommandKind<Bodies['plan']> = {
  apply: (job, { key, body }) => {
    const before = job.plan.find((one) => one.feedId === body.feedId);
    const others = job.plan.filter((one) => one.feedId !== body.feedId);
    const moved = before?.sourceId !== body.plan?.sourceId;
    return {
      ...job,
      plan: body.plan === null ? others : [...others, body.plan],
      planVersions: { ...job.planVersions, [body.feedId]: key },
      proofs: moved ? job.proofs.filter((one) => one.feedId !== body.feedId) : job.proofs,
    };
  },
  base: (job, { feedId }) => job.planVersions[feedId] ?? null,
  sent: ({ key, at, base, body }) => ({
    path: `feeds/${encodeURIComponent(body.feedId)}/plan`,
    body: { command: key, at, base, plan: body.plan },
  }),
  stale:
    'This feed was planned otherwise meanwhile. It is shown as it is now: make your change again.',
};
