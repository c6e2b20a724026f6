import { BuildScreen } from '../../../features/build/BuildScreen';
import { useJobContext } from '../../../features/job/JobShell';

/** Build. */
export default function BuildRoute() {
  return <BuildScreen context={useJobContext()} />;
}
