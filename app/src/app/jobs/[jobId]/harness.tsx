import { HarnessScreen } from '../../../features/harness/HarnessScreen';
import { useJobContext } from '../../../shell/JobShell';

/** The job's bunch of cut wires. */
export default function HarnessRoute() {
  return <HarnessScreen context={useJobContext()} />;
}
