import { BuildScreen } from '../../../features/build/BuildScreen';
import { useJobContext } from '../../../shell/JobShell';

/** Build. */
export default function BuildRoute() {
  return <BuildScreen context={useJobContext()} />;
}
