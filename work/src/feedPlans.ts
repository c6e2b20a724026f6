import type { FeedPlanInput, JobView } from '@lucky-thread/contract';
import { mayMeet } from './metLeads';

/**
 * A plan with one feed's entry changed; a source taken from another feed leaves that feed without one, unless both may lie on the
 * same wire.
 */
export function withFeedPlan(
  { plan, device }: Pick<JobView, 'plan' | 'device'>,
  entry: FeedPlanInput,
  atSlot: boolean,
): FeedPlanInput[] {
  const feedOf = new Map(device.feeds.map((feed) => [feed.id, feed]));
  const own = feedOf.get(entry.feedId);
  const shares = ({ feedId }: FeedPlanInput): boolean => {
    const other = feedOf.get(feedId);
    return own !== undefined && other !== undefined && mayMeet(own, other, atSlot);
  };
  return [
    ...plan.filter(
      (one) => one.feedId !== entry.feedId && (one.sourceId !== entry.sourceId || shares(one)),
    ),
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
