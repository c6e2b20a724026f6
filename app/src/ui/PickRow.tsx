import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { usePalette } from './ThemeProvider';
import { RADIUS, SPACE, TARGET } from './tokens';
import { Words } from './Words';

/** Props of {@link PickRow}. */
export interface PickRowProps {
  /** Its first line. */
  readonly title: string;
  /** What is said about it. */
  readonly text: string;
  /** Whether it is the chosen one. */
  readonly chosen: boolean;
  /** Called when it is pressed. */
  readonly onPress: () => void;
  /** Names it for tests; it is not shown. */
  readonly testID?: string;
}

/** One of a longer list of choices, with a line about it. */
export function PickRow(props: PickRowProps) {
  const palette = usePalette();
  return (
    <TouchableRipple
      role="radio"
      aria-checked={props.chosen}
      testID={props.testID}
      onPress={props.onPress}
      style={[
        styles.row,
        {
          backgroundColor: palette.raised,
          borderColor: props.chosen ? palette.ink : 'transparent',
        },
      ]}
    >
      <View style={styles.inside}>
        <Words kind="action" style={styles.mark} hidden>
          {props.chosen ? '◉' : '○'}
        </Words>
        <View style={styles.text}>
          <Words kind="action">{props.title}</Words>
          <Words kind="small" soft>
            {props.text}
          </Words>
        </View>
      </View>
    </TouchableRipple>
  );
}

const styles = StyleSheet.create({
  row: { minHeight: TARGET, borderRadius: RADIUS, borderWidth: 2, padding: SPACE.s },
  inside: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  mark: { width: 28, textAlign: 'center' },
  text: { flex: 1 },
});
