import { DeviceSummary } from '../../../features/job/DeviceSummary';
import { useJobContext } from '../../../shell/JobShell';

/** The device of the job. */
export default function DeviceRoute() {
  return <DeviceSummary context={useJobContext()} />;
}
