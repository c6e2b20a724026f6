import { ProveScreen } from '../../../features/prove/ProveScreen';
import { useJobContext } from '../../../features/job/JobShell';

/** Prove. */
export default function ProveRoute() {
  return <ProveScreen context={useJobContext()} />;
}
