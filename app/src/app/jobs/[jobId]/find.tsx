import { FindScreen } from '../../../features/find/FindScreen';
import { useJobContext } from '../../../features/job/JobShell';
import { useJobChange } from '../../../features/job/useJobChange';

/** Find; with every feed filled the job goes on to Choose. */
export default function FindRoute() {
  const context = useJobContext();
  const change = useJobChange(context.job);
  return <FindScreen context={context} onFilled={() => void change.goTo('choose')} />;
}
