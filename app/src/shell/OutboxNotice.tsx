import { StyleSheet, View } from 'react-native';
import { userIdIn } from '../store/currentUser';
import { flushOutbox } from '../store/outbox';
import { outboxSentence } from '../store/outboxSentence';
import { useAppDispatch, useAppSelector } from '../store/store';
import { ActionButton } from '../ui/ActionButton';
import { usePalette } from '../ui/ThemeProvider';
import { SPACE } from '../ui/tokens';
import { Words } from '../ui/Words';

/** Says when readings are kept on this device only. */
export function OutboxNotice() {
  const dispatch = useAppDispatch();
  const palette = usePalette();
  const sentence = useAppSelector((state) => outboxSentence(state.outbox, userIdIn(state)));
  if (sentence === undefined) return null;
  return (
    <View
      role="status"
      testID="unsaved"
      style={[styles.notice, { backgroundColor: palette.sunken, borderColor: palette.line }]}
    >
      <Words kind="small" style={styles.text}>
        {sentence}
      </Words>
      <ActionButton kind="quiet" label="Retry" onPress={() => void dispatch(flushOutbox())} />
    </View>
  );
}

const styles = StyleSheet.create({
  notice: {
    flexDirection: 'row',
    alignItems: 'center',
    paddingHorizontal: SPACE.m,
    borderBottomWidth: 1,
  },
  text: { flex: 1 },
});
