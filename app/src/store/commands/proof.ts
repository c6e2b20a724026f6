import type { Bodies, CommandKind } from './jobCommand';

/** A closing proof is shown, with the readings that it rests on. */
export const proof: CommandKind<Bodies['proof']> = {
  apply: (job, { key, at, body }) => {
    const stands = job.proofs.some((one) => one.feedId === body.feedId && one.kind === body.kind);
    if (stands) return job;
    return { ...job, proofs: [...job.proofs, { ...body, id: key, shownBy: '', shownAt: at }] };
  },
  sent: ({ key, at, body }) => ({ path: `proofs/${key}`, body: { ...body, at } }),
  stale: undefined,
};

/** A closing proof is taken back. */
export const proofWithdrawal: CommandKind<Bodies['proofWithdrawal']> = {
  apply: (job, { body }) => ({
    ...job,
    proofs: job.proofs.filter((one) => one.id !== body.proofId),
  }),
  sent: ({ body }) => ({ path: `proofs/${body.proofId}/withdrawal` }),
  stale: undefined,
};
