import { ChooseScreen } from '../../../features/choose/ChooseScreen';
import { useJobContext } from '../../../features/job/JobShell';

/** Choose. */
export default function ChooseRoute() {
  return <ChooseScreen context={useJobContext()} />;
}
