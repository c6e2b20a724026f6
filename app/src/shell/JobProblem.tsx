import { StyleSheet, View } from 'react-native';
import { forget } from '../store/sending';
import { useAppDispatch } from '../store/store';
import { ActionButton } from '../ui/ActionButton';
import { Caution } from '../ui/Caution';
import { SPACE } from '../ui/tokens';
import { useRefusedChange } from '../work/useJobChange';

/**
 * Why a change to the job was refused; nothing where none was, or once it was read. It stands over the thumb, where it moves
 * nothing of what is read.
 */
export function JobProblem({ jobId }: { readonly jobId: string }) {
  const dispatch = useAppDispatch();
  const refused = useRefusedChange(jobId);
  if (refused === undefined) return null;
  return (
    <View role="alert" style={styles.told}>
      <View style={styles.grow}>
        <Caution testID="job-problem">{refused.problem ?? 'The change was refused.'}</Caution>
      </View>
      <ActionButton
        kind="quiet"
        label="OK"
        testID="job-problem-read"
        onPress={() => dispatch(forget(refused.key))}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  told: { flexDirection: 'row', alignItems: 'center', padding: SPACE.s },
  grow: { flex: 1 },
});
