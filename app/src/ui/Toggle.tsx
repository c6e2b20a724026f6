import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { usePalette } from './ThemeProvider';
import { RADIUS, SPACE, TARGET } from './tokens';
import { Words } from './Words';

/** Props of {@link Toggle}. */
export interface ToggleProps {
  /** What it is called on the screen. */
  readonly label: string;
  /** What it is now, in a word. */
  readonly state: string;
  /** Whether it is on. */
  readonly on: boolean;
  /** Called with whether it is on now. */
  readonly onChange: (on: boolean) => void;
  /** Whether it can't be pressed now. */
  readonly disabled?: boolean;
  /** Names it for tests; it is not shown. */
  readonly testID?: string;
}

/** A switch that says its state in words. */
export function Toggle(props: ToggleProps) {
  const palette = usePalette();
  return (
    <TouchableRipple
      testID={props.testID}
      role="switch"
      aria-checked={props.on}
      disabled={props.disabled}
      onPress={() => props.onChange(!props.on)}
      style={[
        styles.toggle,
        {
          borderColor: props.on ? palette.ink : palette.line,
          backgroundColor: props.on ? palette.ink : palette.raised,
          opacity: props.disabled === true ? 0.6 : 1,
        },
      ]}
    >
      <View style={styles.inside}>
        <Words kind="code" colour={props.on ? palette.canvas : palette.inkSoft}>
          {props.label}
        </Words>
        <Words kind="label" colour={props.on ? palette.canvas : palette.ink}>
          {props.state}
        </Words>
      </View>
    </TouchableRipple>
  );
}

const styles = StyleSheet.create({
  toggle: {
    flex: 1,
    minHeight: TARGET,
    borderWidth: 1.5,
    borderRadius: RADIUS,
    justifyContent: 'center',
    paddingHorizontal: SPACE.s,
  },
  inside: { alignItems: 'center' },
});
