import type { JobContext } from '@lucky-thread/work';
import { isGuide } from '@lucky-thread/work';
import { useMemo } from 'react';
import { useSteady } from '../workers/useSteady';

/** A job as far as its plan goes: it stays itself while steps, proofs and findings come in, so that nothing is worked out anew. */
export function usePlanned({ job, model, taps, settings }: JobContext): JobContext {
  return useSteady(
    useMemo(() => ({ job: planned(job), model, taps, settings }), [job, model, taps, settings]),
  );
}

function planned(job: JobContext['job']): JobContext['job'] {
  return {
    ...job,
    steps: [],
    proofs: [],
    closing: job.closing.filter(isGuide),
    version: 0,
    updatedAt: '',
    phase: 'build',
  };
}
