import { useRouter } from 'expo-router';
import { ActionButton } from '../ui/ActionButton';
import { Screen } from '../ui/Screen';
import { Empty } from '../ui/States';

/** An address that leads nowhere. */
export default function NotFound() {
  const router = useRouter();
  return (
    <Screen
      bottom={<ActionButton kind="next" label="To the jobs" onPress={() => router.replace('/')} />}
    >
      <Empty title="There is nothing here" text="The address leads to no page of Lucky Thread." />
    </Screen>
  );
}
