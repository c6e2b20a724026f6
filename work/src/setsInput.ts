import type { FeedPlanInput } from '@lucky-thread/contract';
import { needsOf } from '@lucky-thread/contract';
import type { SetsInput } from '@lucky-thread/core/choose';
import type { Verdict } from '@lucky-thread/core/identify';
import type { JobContext } from './jobContext';
import { inrushOf, loadKindOf, slotFeeds } from './jobFeeds';
import { drawnThere } from './metLeads';
import { damageOf } from './notes';
import { loomsOf, panelsOf } from './sources';

/** What the sources of a job's feeds are ranked from, all feeds together. */
export function setsInputOf(
  context: Pick<JobContext, 'job' | 'model' | 'taps'>,
  verdicts: ReadonlyMap<string, Verdict>,
): SetsInput {
  const { job, model, taps } = context;
  const needs = new Map(needsOf(job.device).map((need) => [need.id, need]));
  const loggedSourceIds = new Set(
    taps.filter((tap) => tap.jobId !== job.id).map((tap) => tap.sourceId),
  );
  return {
    panels: panelsOf(model),
    looms: loomsOf({ job, model, taps }),
    noTrace: job.vehicle.noTrace,
    verdicts,
    measuredA: bySlot(job.plan, 'measuredA'),
    sharedA: bySlot(job.plan, 'sharedA'),
    feedFuseA: bySlot(job.plan, 'feedFuseA'),
    fedBy: bySlot(job.plan, 'fedBy'),
    damage: damageOf(context),
    feeds: slotFeeds(context).flatMap((feed) => {
      const need = needs.get(feed.id);
      if (need === undefined) return [];
      const { name, currentA } = feed;
      const kind = loadKindOf(feed, context);
      const metA = metBy(context, feed.id);
      return [{ need, name, currentA, kind, inrush: inrushOf(feed), metA, loggedSourceIds }];
    }),
  };
}

/** What a job's other leads draw from the sources that they are planned on, A by source. */
function metBy(of: Pick<JobContext, 'job'>, feedId: string): Record<string, number> {
  return Object.fromEntries(
    of.job.plan
      .filter((one) => one.feedId !== feedId)
      .map(({ sourceId }) => [sourceId, drawnThere(of, feedId, sourceId)]),
  );
}

function bySlot<Field extends 'measuredA' | 'sharedA' | 'feedFuseA' | 'fedBy'>(
  plan: JobContext['job']['plan'],
  field: Field,
): Record<string, NonNullable<FeedPlanInput[Field]>> {
  return Object.fromEntries(
    plan.flatMap((one) => {
      const value = one[field];
      return value === undefined ? [] : [[one.sourceId, value] as const];
    }),
  );
}
