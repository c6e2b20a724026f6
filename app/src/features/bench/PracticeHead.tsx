import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../../ui/ActionButton';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';

/** The head of a practice: its name, help, and the way to the report. */
export function PracticeHead(props: {
  readonly title: string;
  readonly helped: boolean;
  readonly onHelp: () => void;
  readonly onFinish: () => void;
}) {
  return (
    <View style={styles.head}>
      <Words kind="heading" style={styles.title}>
        {props.title}
      </Words>
      <ActionButton
        label={props.helped ? 'Hide plan' : 'Show plan'}
        testID="help"
        onPress={props.onHelp}
      />
      <ActionButton label="Finish" testID="finish" onPress={props.onFinish} />
    </View>
  );
}

const styles = StyleSheet.create({
  head: { flexDirection: 'row', alignItems: 'center', gap: SPACE.xs },
  title: { flex: 1 },
});
