import { useRouter } from 'expo-router';
import { ActionButton } from '../ui/ActionButton';
import { Screen } from '../ui/Screen';
import { Empty } from '../ui/States';
import { useJobContext } from './JobShell';

/** Shown on a phase that needs what an earlier one has not delivered. */
export function MissingTaps() {
  const { job } = useJobContext();
  const router = useRouter();
  return (
    <Screen
      bottom={
        <ActionButton
          kind="next"
          label="Choose the taps"
          onPress={() => router.navigate(`/jobs/${job.id}/choose`)}
        />
      }
    >
      <Empty
        title="Not yet"
        text="Every feed needs its slot, and every lead its length, before this."
      />
    </Screen>
  );
}
