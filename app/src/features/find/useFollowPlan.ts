import type { FindAdvice } from '@lucky-thread/core/identify';
import { placeOf } from '@lucky-thread/core/vehicle';
import { useCallback, useEffect, useRef } from 'react';
import type { Probing } from '../../store/probeSlice';
import { slotTouched } from '../../store/probeSlice';
import { useAppDispatch } from '../../store/store';

/**
 * After a reading or a change of state, moves on to the plan's next slot there; a slot the user touched is left alone.
 */
export function useFollowPlan(at: {
  readonly jobId: string;
  readonly advice: FindAdvice | undefined;
  readonly thinking: boolean;
  readonly probing: Probing;
}): () => void {
  const dispatch = useAppDispatch();
  // At the start the plan's first slot is taken up, unless the user was faster.
  const due = useRef(at.probing.slotId === undefined);
  const { jobId, advice, thinking, probing } = at;
  useEffect(() => {
    if (!due.current || thinking || advice?.next.kind !== 'visit') return;
    due.current = false;
    const { place, sourceIds } = advice.next.visit;
    const slotId = sourceIds[0];
    if (slotId !== undefined && placeOf(probing.state) === place)
      dispatch(slotTouched({ jobId, slotId }));
  }, [advice, thinking, probing.state, jobId, dispatch]);
  return useCallback(() => {
    due.current = true;
  }, []);
}
