import type { JobView } from '@lucky-thread/contract';
import type { StitchPlace } from '@lucky-thread/core/vehicle';
import { useCallback } from 'react';
import { changeJob } from '../../store/outbox';
import { placesDeferred } from '../../store/probeSlice';
import { useAppDispatch } from '../../store/store';

/** Leaves checks for later, or takes them up again; the job remembers the costly ones so that nobody forgets them. */
export function useDefer(job: JobView): (places: readonly StitchPlace[], left: boolean) => void {
  const dispatch = useAppDispatch();
  return useCallback(
    (places, left) => {
      dispatch(placesDeferred({ jobId: job.id, places, deferred: left }));
      const remembered = places.filter(
        (place) => REMEMBERED.includes(place) && job.deferred.includes(place) !== left,
      );
      dispatch(
        changeJob(
          job,
          remembered.map((place) => ({ kind: 'defer', body: { place, left } })),
        ),
      );
    },
    [dispatch, job],
  );
}

/** What only another moment or place makes possible. */
const REMEMBERED: readonly StitchPlace[] = ['asleep', 'crank', 'engine', 'waited'];
