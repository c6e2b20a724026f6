import type { JobView } from '@lucky-thread/contract';
import type { StitchPlace } from '@lucky-thread/core/vehicle';
import { useCallback } from 'react';
import { useUpdateJobMutation } from '../../store/api';
import { placesDeferred } from '../../store/probeSlice';
import { problemOf } from '../../store/problemText';
import { useAppDispatch } from '../../store/store';

/**
 * Leaves checks for later, or takes them up again, in one change; the job remembers the costly ones so that nobody
 * forgets them. When somebody else was faster the change is made once more on the job as it is now.
 */
export function useDefer(
  job: JobView,
): (places: readonly StitchPlace[], left: boolean) => Promise<void> {
  const dispatch = useAppDispatch();
  const [update] = useUpdateJobMutation();
  return useCallback(
    async (places, left) => {
      dispatch(placesDeferred({ jobId: job.id, places, deferred: left }));
      const remembered = places.filter((place) => REMEMBERED.includes(place));
      if (remembered.length === 0) return;
      const send = async (now: Pick<JobView, 'version' | 'deferred'>) => {
        const others = now.deferred.filter((one) => !remembered.includes(one));
        const deferred = left ? [...others, ...remembered] : others;
        return update({ id: job.id, body: { version: now.version, deferred } });
      };
      const first = await send(job);
      const problem = problemOf(first.error);
      // Without signal the reminder stays on this device; the plan works the same.
      if (problem?.type === 'stale') await send(problem.current as JobView);
    },
    [dispatch, update, job],
  );
}

/** What only another moment or place makes possible. */
const REMEMBERED: readonly StitchPlace[] = ['asleep', 'crank', 'engine', 'waited'];
