import { FindScreen } from '../../../features/find/FindScreen';
import { useJobContext } from '../../../shell/JobShell';
import { useJobChange } from '../../../work/useJobChange';

/** Find; with every feed filled the job goes on to Choose. */
export default function FindRoute() {
  const context = useJobContext();
  const change = useJobChange(context.job);
  return <FindScreen context={context} onFilled={() => change.goTo('choose')} />;
}
