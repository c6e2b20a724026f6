import type { FeedPlanInput, JobView } from '@lucky-thread/contract';
import type { JobChangeBody } from '../store/commands';

/**
 * The changes that make a job's plan what it is to be, feed by feed. A source that goes from one feed to another is given
 * up before it is taken: no source serves two feeds, not even for a moment.
 */
export function planChanges(
  job: Pick<JobView, 'plan' | 'device'>,
  wanted: readonly FeedPlanInput[],
): JobChangeBody[] {
  const before = new Map(job.plan.map((one) => [one.feedId, one]));
  const after = new Map(wanted.map((one) => [one.feedId, one]));
  const changed = job.device.feeds
    .map((feed) => feed.id)
    .filter((id) => JSON.stringify(before.get(id)) !== JSON.stringify(after.get(id)));
  const givenUp = changed.filter((id) => {
    const sourceId = before.get(id)?.sourceId;
    return sourceId !== undefined && sourceId !== after.get(id)?.sourceId;
  });
  const taken = new Set(wanted.map((one) => one.sourceId));
  const first = givenUp.filter(
    (id) => after.get(id) === undefined || taken.has(before.get(id)?.sourceId ?? ''),
  );
  const clear = first.map((feedId): JobChangeBody => ({
    kind: 'plan',
    body: { feedId, plan: null },
  }));
  const put = changed.flatMap((feedId): JobChangeBody[] => {
    const plan = after.get(feedId);
    if (plan === undefined) return [];
    return [{ kind: 'plan', body: { feedId, plan } }];
  });
  return [...clear, ...put];
}
