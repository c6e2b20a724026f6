import type { FeedPlanInput, JobView, Phase, UpdateJobRequest } from '@lucky-thread/contract';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { useUpdateJobMutation } from '../store/api';
import { problemOf, problemText } from '../store/problemText';
import { furthest } from './phases';

/** Changes to a job, each made from the version on screen. */
export interface JobChange {
  /** Stores new plan entries; true when stored. */
  readonly setPlan: (plan: FeedPlanInput[]) => Promise<boolean>;
  /** Stores any other change; true when stored. */
  readonly change: (change: Omit<UpdateJobRequest, 'version'>) => Promise<boolean>;
  /** Stores a phase reached (and a plan with it) and opens its screen; true when it went there. */
  readonly goTo: (phase: Phase, plan?: FeedPlanInput[]) => Promise<boolean>;
  readonly busy: boolean;
  /** Why the last change was not stored. */
  readonly problem: string | undefined;
}

/** Changes a job; when somebody else was faster it says so and shows the job as it is now. */
export function useJobChange(job: JobView): JobChange {
  const router = useRouter();
  const [update, { isLoading }] = useUpdateJobMutation();
  const [problem, setProblem] = useState<string>();
  const send = async (change: Omit<UpdateJobRequest, 'version'>): Promise<boolean> => {
    const result = await update({ id: job.id, body: { version: job.version, ...change } });
    const stale = problemOf(result.error)?.type === 'stale';
    setProblem(
      result.error === undefined
        ? undefined
        : stale
          ? 'This job was changed elsewhere meanwhile. It is shown as it is now: make your change again.'
          : problemText(result.error),
    );
    return result.error === undefined;
  };
  return {
    setPlan: (plan) => send({ plan }),
    change: send,
    goTo: async (phase, plan) => {
      const reached = furthest(job.phase, phase);
      const same = reached === job.phase && plan === undefined;
      const stored =
        same || (await send({ phase: reached, ...(plan === undefined ? {} : { plan }) }));
      if (stored) router.navigate(`/jobs/${job.id}/${phase}`);
      return stored;
    },
    busy: isLoading,
    problem,
  };
}
