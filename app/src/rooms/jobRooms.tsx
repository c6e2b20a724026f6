import { Redirect, useLocalSearchParams } from 'expo-router';
import { ChooseScreen } from '../features/choose/ChooseScreen';
import { FindScreen } from '../features/find/FindScreen';
import { HarnessScreen } from '../features/harness/HarnessScreen';
import { DeviceSummary } from '../features/job/DeviceSummary';
import { VehicleSummary } from '../features/job/VehicleSummary';
import { LogScreen } from '../features/log/LogScreen';
import { ProveScreen } from '../features/prove/ProveScreen';
import { SizeScreen } from '../features/size/SizeScreen';
import { useJobContext } from '../shell/JobShell';
import { useJobChange } from '../work/useJobChange';

/** Find; with every feed filled the job goes on to Choose. */
export function FindRoom() {
  const context = useJobContext();
  const change = useJobChange(context.job);
  return <FindScreen context={context} onFilled={() => change.goTo('choose')} />;
}

/** Choose. */
export function ChooseRoom() {
  return <ChooseScreen context={useJobContext()} />;
}

/** The device of the job. */
export function DeviceRoom() {
  return <DeviceSummary context={useJobContext()} />;
}

/** The job’s bunch of cut wires. */
export function HarnessRoom() {
  return <HarnessScreen context={useJobContext()} />;
}

/** Log. */
export function LogRoom() {
  return <LogScreen context={useJobContext()} />;
}

/** Prove. */
export function ProveRoom() {
  return <ProveScreen context={useJobContext()} />;
}

/** Size. */
export function SizeRoom() {
  return <SizeScreen context={useJobContext()} />;
}

/** The car of the job. */
export function VehicleRoom() {
  return <VehicleSummary context={useJobContext()} />;
}

/** A job without a phase opens where the work is. */
export function JobIndexRoom() {
  const { jobId } = useLocalSearchParams<{ jobId: string }>();
  const { job } = useJobContext();
  return <Redirect href={`/jobs/${jobId}/${job.phase}`} />;
}
