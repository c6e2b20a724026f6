import { StyleSheet } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { usePalette } from './ThemeProvider';
import { RADIUS, SPACE, TARGET } from './tokens';
import { Words } from './Words';

/** Props of {@link TickRow}. */
export interface TickRowProps {
  /** What it is called on the screen. */
  readonly label: string;
  /** Whether it is ticked. */
  readonly on: boolean;
  /** Names it for tests; it is not shown. */
  readonly testID: string;
  /** Called when it is pressed. */
  readonly onToggle: () => void;
}

/** A sentence that is ticked or not, as broad as the thumb wants it. */
export function TickRow({ label, on, testID, onToggle }: TickRowProps) {
  const palette = usePalette();
  return (
    <TouchableRipple
      role="checkbox"
      aria-checked={on}
      testID={testID}
      onPress={onToggle}
      style={[
        styles.row,
        {
          borderColor: on ? palette.ink : palette.line,
          backgroundColor: on ? palette.sunken : palette.canvas,
        },
      ]}
    >
      <Words>{`${on ? '☒' : '☐'} ${label}`}</Words>
    </TouchableRipple>
  );
}

const styles = StyleSheet.create({
  row: { borderWidth: 1.5, borderRadius: RADIUS, minHeight: TARGET, padding: SPACE.s },
});
