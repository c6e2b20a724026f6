import type { FeedPlanInput, JobView } from '@lucky-thread/contract';
import type { ProofKind } from '@lucky-thread/core/prove';

/** A plan with one feed's entry changed; a slot taken from another feed leaves that feed without one. */
export function withFeedPlan(
  plan: readonly FeedPlanInput[],
  entry: FeedPlanInput,
): FeedPlanInput[] {
  return [
    ...plan.filter((one) => one.feedId !== entry.feedId && one.sourceId !== entry.sourceId),
    entry,
  ];
}

/** A feed's plan moved to another slot: lengths and wishes stay, what was said of the old slot goes. */
export function movedTo(
  plan: FeedPlanInput | undefined,
  to: { readonly feedId: string; readonly sourceId: string },
): FeedPlanInput {
  if (plan?.sourceId === to.sourceId) return plan;
  if (plan === undefined) return { ...to };
  const { oneWayM, returnPath, ground, sizing } = plan;
  const kept = {
    ...(oneWayM === undefined ? {} : { oneWayM }),
    ...(returnPath === undefined ? {} : { returnPath }),
    ...(ground === undefined ? {} : { ground }),
    ...(sizing === undefined ? {} : { sizing }),
  };
  return { ...kept, ...to };
}

/** The closing proofs of a feed that stand. */
export function shownProofs(job: Pick<JobView, 'proofs'>, feedId: string): ProofKind[] {
  return job.proofs.filter((one) => one.feedId === feedId).map((one) => one.kind);
}
