import { Screen, useWide } from '../../ui/Screen';
import { Empty } from '../../ui/States';
import { ModelsScreen } from './ModelsScreen';

/** The list of vehicles; where it stands beside this already, a word on what comes here. */
export function ChooseModel() {
  const wide = useWide();
  if (!wide) return <ModelsScreen />;
  return (
    <Screen>
      <Empty title="Choose a vehicle" text="Its places and what the log knows of it come here." />
    </Screen>
  );
}
