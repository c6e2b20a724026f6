import { DeviceSummary } from '../../../features/job/SummaryScreens';
import { useJobContext } from '../../../shell/JobShell';

/** The device of the job. */
export default function DeviceRoute() {
  return <DeviceSummary context={useJobContext()} />;
}
