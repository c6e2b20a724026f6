import { VehicleSummary } from '../../../features/job/VehicleSummary';
import { useJobContext } from '../../../shell/JobShell';

/** The car of the job. */
export default function VehicleRoute() {
  return <VehicleSummary context={useJobContext()} />;
}
