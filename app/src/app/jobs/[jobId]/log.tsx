import { LogScreen } from '../../../features/log/LogScreen';
import { useJobContext } from '../../../shell/JobShell';

/** Log. */
export default function LogRoute() {
  return <LogScreen context={useJobContext()} />;
}
