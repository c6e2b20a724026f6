import type { JobView } from '@lucky-thread/contract';
import type { StitchPlace } from '@lucky-thread/core/vehicle';
import { useCallback } from 'react';
import { useUpdateJobMutation } from '../../store/api';
import { placeDeferred } from '../../store/probeSlice';
import { useAppDispatch } from '../../store/store';

/** Leaves a check for later, or takes it up again; the job remembers the costly ones so that nobody forgets them. */
export function useDefer(job: JobView): (place: StitchPlace, left: boolean) => void {
  const dispatch = useAppDispatch();
  const [update] = useUpdateJobMutation();
  return useCallback(
    (place, left) => {
      dispatch(placeDeferred({ jobId: job.id, place, deferred: left }));
      if (!REMEMBERED.includes(place)) return;
      const others = job.deferred.filter((one) => one !== place);
      const deferred = left ? [...others, place] : others;
      // Without signal the reminder stays on this device; the plan works the same.
      void update({ id: job.id, body: { version: job.version, deferred } });
    },
    [dispatch, update, job.id, job.version, job.deferred],
  );
}

/** What only another moment or place makes possible. */
const REMEMBERED: readonly StitchPlace[] = ['asleep', 'crank', 'engine', 'waited'];
