import type { Glow } from '@lucky-thread/core/identify';
import type { VehicleState } from '@lucky-thread/core/vehicle';
import { useCallback, useState } from 'react';
import { useReadMeterMutation } from '../../store/api';
import { takeReading } from '../../store/outbox';
import { problemText } from '../../store/problemText';
import { useAppDispatch } from '../../store/store';
import type { Taken } from './readingRequest';
import { parseVolts, readingRequest } from './readingRequest';

/** The ways to log a reading at one place. */
export interface ReadingTaker {
  readonly glow: (glow: Glow) => boolean;
  readonly volts: (text: string) => boolean;
  readonly simulated: () => Promise<boolean>;
  /** What was wrong with the last try. */
  readonly problem: string | undefined;
  readonly busy: boolean;
}

/** Logs readings of a slot, or of one contact of it, in the state the car is in. */
export function useTakeReading(at: {
  readonly jobId: string;
  readonly sourceId: string;
  readonly contact?: 'a' | 'b';
  readonly state: VehicleState;
}): ReadingTaker {
  const dispatch = useAppDispatch();
  const [problem, setProblem] = useState<string>();
  const [readMeter, { isLoading }] = useReadMeterMutation();
  const { jobId, sourceId, contact, state } = at;

  const keep = useCallback(
    (taken: Taken): boolean => {
      const result = readingRequest({ sourceId, contact, state, at: new Date() }, taken);
      setProblem(result.ok ? undefined : result.problems.map((one) => one.message).join('; '));
      if (result.ok) dispatch(takeReading(jobId, result.request));
      return result.ok;
    },
    [dispatch, jobId, sourceId, contact, state],
  );

  return {
    glow: (glow) => keep({ instrument: 'lamp', glow }),
    volts: (text) => {
      const volts = parseVolts(text);
      if (volts !== undefined) return keep({ instrument: 'meter', volts });
      setProblem(`“${text}” is no number of volts`);
      return false;
    },
    simulated: async () => {
      const body = { sourceId, state: { ...state }, ...(contact === undefined ? {} : { contact }) };
      const result = await readMeter({ jobId, body });
      if (result.data !== undefined)
        return keep({ instrument: 'simulatedMeter', volts: result.data.volts });
      setProblem(`The simulated meter did not answer. ${problemText(result.error)}`);
      return false;
    },
    problem,
    busy: isLoading,
  };
}
