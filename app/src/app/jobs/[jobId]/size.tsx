import { SizeScreen } from '../../../features/size/SizeScreen';
import { useJobContext } from '../../../features/job/JobShell';

/** Size. */
export default function SizeRoute() {
  return <SizeScreen context={useJobContext()} />;
}
