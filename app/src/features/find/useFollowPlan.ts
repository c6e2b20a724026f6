import type { FindAdvice, NextAction } from '@lucky-thread/core/identify';
import type { VehicleState } from '@lucky-thread/core/vehicle';
import { stateId } from '@lucky-thread/core/vehicle';
import { useCallback, useEffect, useRef } from 'react';
import type { Probing } from '../../store/probeSlice';
import { slotTouched } from '../../store/probeSlice';
import { useAppDispatch } from '../../store/store';

/** What the plan wants touched first, and in which state; undefined where it wants nothing touched. */
function aimOf(
  next: NextAction | undefined,
): { readonly state: VehicleState; readonly sourceId: string | undefined } | undefined {
  if (next?.kind === 'visit') return { state: next.visit.state, sourceId: next.visit.sourceIds[0] };
  return next?.kind === 'pair' ? { state: next.state, sourceId: next.plusId } : undefined;
}

/**
 * After a reading or a change of state, moves on to the plan's next slot there; a slot the user touched is left alone.
 *
 * @returns called with the source that was in hand; it stays the same function
 */
export function useFollowPlan(at: {
  readonly jobId: string;
  readonly advice: FindAdvice | undefined;
  readonly thinking: boolean;
  readonly probing: Probing;
}): (from: string | undefined) => void {
  const dispatch = useAppDispatch();
  const { jobId, advice, thinking, probing } = at;
  const { sourceId: selected } = probing;
  // At the start the plan's first slot is taken up, unless the user was faster.
  const due = useRef<{ readonly from: string | undefined } | undefined>(
    selected === undefined ? { from: undefined } : undefined,
  );
  useEffect(() => {
    if (due.current === undefined) return;
    // A slot that the user touched while the plan was being worked out is the one they mean.
    if (due.current.from !== selected) due.current = undefined;
    const aim = aimOf(advice?.next);
    if (due.current === undefined || thinking || aim === undefined) return;
    due.current = undefined;
    const { state, sourceId } = aim;
    if (sourceId !== undefined && stateId(probing.state) === stateId(state))
      dispatch(slotTouched({ jobId, sourceId }));
  }, [advice, thinking, selected, probing.state, jobId, dispatch]);
  return useCallback((from) => {
    due.current = { from };
  }, []);
}
