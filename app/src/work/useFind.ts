import type { FindAdvice } from '@lucky-thread/core/identify';
import { PARKED } from '@lucky-thread/core/vehicle';
import { useEffect, useMemo } from 'react';
import type { Probing } from '../store/probeSlice';
import { FRESH, probingOpened } from '../store/probeSlice';
import { useAppDispatch, useAppSelector } from '../store/store';
import { askPlanner } from '../workers/planner';
import { useAnswer } from '../workers/useAnswer';
import { useSteady } from '../workers/useSteady';
import type { JobContext } from '@lucky-thread/work';
import { findSessionOf } from '@lucky-thread/work';
import type { ReadingRow } from './jobReadings';
import { countingRows, useJobReadings, coreReadings } from './jobReadings';

/** Everything the Find screen and those after it know. */
export interface Finding {
  /** What was measured, as the history shows it. */
  readonly rows: readonly ReadingRow[];
  /** Who is there and what is at hand. */
  readonly probing: Probing;
  /** Undefined until the worker has answered the first time. */
  readonly advice: FindAdvice | undefined;
  /** The advice is for older readings; new advice is on its way. */
  readonly thinking: boolean;
  /** Why there is no advice. */
  readonly problem: string | undefined;
  /** Asks for it again. */
  readonly retry: () => void;
}

/** Readings, probing state and the identification's advice on a job. Taken up where the last reading left the car. */
export function useFind(context: JobContext): Finding {
  const dispatch = useAppDispatch();
  const jobId = context.job.id;
  const { deferred } = context.job;
  const { rows, loaded } = useJobReadings(jobId);
  const known = useAppSelector((state) => state.probe[jobId]);
  const lastState = countingRows(rows).at(-1)?.state;
  useEffect(() => {
    // What is touched before the readings are there is kept; only the car's state waits for them.
    if (known === undefined || (loaded && !known.resumed))
      dispatch(probingOpened({ jobId, state: lastState ?? PARKED, deferred, resumed: loaded }));
  }, [dispatch, jobId, known, lastState, loaded, deferred]);
  const probing = useMemo(
    (): Probing => known ?? { ...FRESH, state: lastState ?? PARKED, cannot: deferred },
    [known, lastState, deferred],
  );
  const { job, model, taps } = context;
  const { state, cannot, until, lamp, handbook, noPop, clip, alone } = probing;
  // Where the thumb is, whether a reading is saved yet, and data fetched anew that say the same are no new question.
  const readings = useSteady(useMemo(() => coreReadings(rows), [rows]));
  const session = useSteady(
    useMemo(
      () =>
        findSessionOf({ job, model, taps }, readings, {
          state,
          cannot,
          until,
          lamp,
          handbook,
          noPop,
          clip,
          alone,
        }),
      [job, model, taps, readings, state, cannot, until, lamp, handbook, noPop, clip, alone],
    ),
  );
  const { answer, thinking, problem, retry } = useAnswer(session, askPlanner);
  return useMemo(
    () => ({ rows, probing, advice: answer, thinking, problem, retry }),
    [rows, probing, answer, thinking, problem, retry],
  );
}
