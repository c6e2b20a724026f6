import { ChooseScreen } from '../../../features/choose/ChooseScreen';
import { useJobContext } from '../../../shell/JobShell';

/** Choose. */
export default function ChooseRoute() {
  return <ChooseScreen context={useJobContext()} />;
}
