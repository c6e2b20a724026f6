import { SizeScreen } from '../../../features/size/SizeScreen';
import { useJobContext } from '../../../shell/JobShell';

/** Size. */
export default function SizeRoute() {
  return <SizeScreen context={useJobContext()} />;
}
