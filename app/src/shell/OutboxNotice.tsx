import { StyleSheet, View } from 'react-native';
import { userIdIn } from '../store/currentUser';
import { isOwn } from '../store/outboxSlice';
import { flushOutbox, forget } from '../store/sending';
import { calledOf } from '../store/shopCommands';
import { outboxSentence } from '../store/outboxSentence';
import { useAppDispatch, useAppSelector } from '../store/store';
import { ActionButton } from '../ui/ActionButton';
import { Caution } from '../ui/Caution';
import { usePalette } from '../ui/ThemeProvider';
import { SPACE } from '../ui/tokens';
import { Words } from '../ui/Words';

/** Says what is kept on this device only, and what was refused after whoever made it had gone on. */
export function OutboxNotice() {
  return (
    <>
      <Unsaved />
      <Refused />
    </>
  );
}

function Refused() {
  const dispatch = useAppDispatch();
  const outbox = useAppSelector((state) => state.outbox);
  const userId = useAppSelector(userIdIn);
  const refused = outbox.flatMap((item) =>
    item.kind === 'shop' && item.status === 'refused' && isOwn(item, userId) ? [item] : [],
  );
  return refused.map(({ key, command, problem }) => (
    <View key={key} style={styles.refused} testID="refused">
      <Caution>{`${calledOf(command)} was refused: ${problem ?? 'nobody said why'}`}</Caution>
      <ActionButton
        kind="quiet"
        label="Forget it"
        testID="forget-refused"
        onPress={() => void dispatch(forget(key))}
      />
    </View>
  ));
}

function Unsaved() {
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
      <ActionButton
        kind="quiet"
        label="Retry"
        testID="retry-unsaved"
        onPress={() => void dispatch(flushOutbox())}
      />
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
  refused: { padding: SPACE.s, gap: SPACE.xs },
});
