import { LogScreen } from '../../../features/log/LogScreen';
import { useJobContext } from '../../../features/job/JobShell';

/** Log. */
export default function LogRoute() {
  return <LogScreen context={useJobContext()} />;
}
