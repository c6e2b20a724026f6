import type { RankedSet, Ranking } from '@lucky-thread/core/choose';
import { rankSets } from '@lucky-thread/core/choose';
import type { Verdict } from '@lucky-thread/core/identify';
import { useMemo } from 'react';
import { setsInputOf } from '@lucky-thread/work';
import type { JobContext } from '@lucky-thread/work';

/** The best sets over all feeds, and each feed's own ranking, worked out anew as readings come. */
export interface Sets {
  /** Sets of sources for all feeds, from best to worst. */
  readonly sets: readonly RankedSet[];
  /** The sources from best to worst, by feed. */
  readonly rankings: Readonly<Record<string, Ranking>>;
}

/** Ranks the sources of a job's feeds together. */
export function useSets(context: JobContext, verdicts: ReadonlyMap<string, Verdict>): Sets {
  const { job, model, taps } = context;
  return useMemo(
    () => rankSets(setsInputOf({ job, model, taps }, verdicts)),
    [job, model, taps, verdicts],
  );
}
