import { needsOf } from '@lucky-thread/contract';
import type { RankedSet, Ranking } from '@lucky-thread/core/choose';
import { rankSets } from '@lucky-thread/core/choose';
import type { Verdict } from '@lucky-thread/core/identify';
import { useMemo } from 'react';
import { slotFeeds } from '@lucky-thread/work';
import type { JobContext } from '../job/useJob';

/** The best sets over all feeds, and each feed's own ranking, worked out anew as readings come. */
export interface Sets {
  readonly sets: readonly RankedSet[];
  readonly rankings: Readonly<Record<string, Ranking>>;
}

/** Ranks the sources of a job's feeds together. */
export function useSets(context: JobContext, verdicts: ReadonlyMap<string, Verdict>): Sets {
  const { job, model, taps } = context;
  return useMemo(() => {
    const needs = new Map(needsOf(job.device).map((need) => [need.id, need]));
    const logged = new Set(taps.filter((tap) => tap.jobId !== job.id).map((tap) => tap.slotId));
    const measured = job.plan.flatMap(({ slotId, measuredA }) =>
      measuredA === undefined ? [] : [[slotId, measuredA] as const],
    );
    const shared = job.plan.flatMap(({ slotId, sharedA }) =>
      sharedA === undefined ? [] : [[slotId, sharedA] as const],
    );
    return rankSets({
      panels: model.panels,
      verdicts,
      measuredA: Object.fromEntries(measured),
      sharedA: Object.fromEntries(shared),
      feeds: slotFeeds(context).flatMap((feed) => {
        const need = needs.get(feed.id);
        if (need === undefined) return [];
        const inrush =
          feed.inrushA === undefined || feed.inrushS === undefined
            ? undefined
            : { peakA: feed.inrushA, peakS: feed.inrushS };
        return [{ need, name: feed.name, currentA: feed.currentA, inrush, loggedSlotIds: logged }];
      }),
    });
  }, [context, job, model, taps, verdicts]);
}
