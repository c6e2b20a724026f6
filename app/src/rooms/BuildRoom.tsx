import { useDeferredValue, useMemo } from 'react';
import { BuildScreen } from '../features/build/BuildScreen';
import { useJobContext } from '../shell/JobShell';
import { coreReadings, useJobReadings } from '../work/jobReadings';
import { useJobChange } from '../work/useJobChange';
import { useSteady } from '../workers/useSteady';

/** Build. What changes of the job is drawn in slices between frames, not at once; touches go by the job as it is. */
export function BuildRoom() {
  const context = useJobContext();
  const change = useJobChange(context.job);
  const { rows } = useJobReadings(context.job.id);
  const readings = useSteady(useMemo(() => coreReadings(rows), [rows]));
  return (
    <BuildScreen
      context={useDeferredValue(context)}
      readings={useDeferredValue(readings)}
      change={change}
    />
  );
}
