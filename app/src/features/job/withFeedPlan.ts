import type { FeedPlanInput } from '@lucky-thread/contract';

/** A plan with one feed's entry changed; a slot taken from another feed leaves that feed without one. */
export function withFeedPlan(
  plan: readonly FeedPlanInput[],
  entry: FeedPlanInput,
): FeedPlanInput[] {
  return [
    ...plan.filter((one) => one.feedId !== entry.feedId && one.slotId !== entry.slotId),
    entry,
  ];
}
