import type { FeedPlanInput, JobView } from '@lucky-thread/contract';
import { mayShareWire } from '@lucky-thread/core/identify';

/**
 * A plan with one feed's entry changed; a source taken from another feed leaves that feed without one, unless both may lie on the
 * same wire.
 */
export function withFeedPlan(
  { plan, device }: Pick<JobView, 'plan' | 'device'>,
  entry: FeedPlanInput,
): FeedPlanInput[] {
  const roleOf = new Map(device.feeds.map((feed) => [feed.id, feed.role]));
  const shares = (other: FeedPlanInput): boolean =>
    mayShareWire(roleOf.get(other.feedId) ?? '', roleOf.get(entry.feedId) ?? '');
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
