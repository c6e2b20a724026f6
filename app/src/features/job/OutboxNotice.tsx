import { StyleSheet, View } from 'react-native';
import { flushOutbox } from '../../store/outbox';
import { useAppDispatch, useAppSelector } from '../../store/store';
import { ActionButton } from '../../ui/ActionButton';
import { usePalette } from '../../ui/ThemeProvider';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';

/** Says when readings are kept on this device only. */
export function OutboxNotice() {
  const dispatch = useAppDispatch();
  const palette = usePalette();
  const unsaved = useAppSelector(
    (state) => state.outbox.filter((item) => item.status === 'unsaved').length,
  );
  if (unsaved === 0) return null;
  return (
    <View
      role="status"
      testID="unsaved"
      style={[styles.notice, { backgroundColor: palette.sunken, borderColor: palette.line }]}
    >
      <Words kind="small" style={styles.text}>
        {unsaved === 1 ? '1 entry is' : `${unsaved} entries are`} not saved yet: kept on this device
        and retried.
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
