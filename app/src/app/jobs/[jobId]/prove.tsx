import { ProveScreen } from '../../../features/prove/ProveScreen';
import { useJobContext } from '../../../shell/JobShell';

/** Prove. */
export default function ProveRoute() {
  return <ProveScreen context={useJobContext()} />;
}
