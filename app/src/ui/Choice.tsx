import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { usePalette } from './ThemeProvider';
import { RADIUS, SPACE, TARGET } from './tokens';
import { Words } from './Words';

/** Props of {@link Choice}. */
export interface ChoiceProps<T extends string> {
  /** What is chosen, for screen readers. */
  readonly label: string;
  /** What can be chosen, in order. */
  readonly options: readonly { readonly value: T; readonly label: string }[];
  /** What is chosen; undefined while nothing is. */
  readonly value: T | undefined;
  /** Called with the value that was chosen. */
  readonly onChange: (value: T) => void;
  /** Names it for tests; it is not shown. */
  readonly testID?: string;
  /** Options share the width; otherwise they wrap. */
  readonly even?: boolean;
}

/** One of a few, all in sight. The chosen one is filled and underlined, not only coloured. */
export function Choice<T extends string>(props: ChoiceProps<T>) {
  const palette = usePalette();
  return (
    <View
      role="radiogroup"
      aria-label={props.label}
      style={[styles.row, props.even === true ? styles.even : styles.wrap]}
    >
      {props.options.map((option) => {
        const chosen = option.value === props.value;
        return (
          <TouchableRipple
            key={option.value}
            testID={props.testID === undefined ? undefined : `${props.testID}-${option.value}`}
            role="radio"
            aria-checked={chosen}
            aria-label={option.label}
            onPress={() => props.onChange(option.value)}
            style={[
              styles.option,
              props.even === true && styles.evenOption,
              {
                borderColor: chosen ? palette.ink : palette.line,
                backgroundColor: chosen ? palette.ink : palette.raised,
              },
            ]}
          >
            <Words
              kind="label"
              colour={chosen ? palette.canvas : palette.ink}
              style={chosen && styles.chosen}
            >
              {option.label}
            </Words>
          </TouchableRipple>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: SPACE.xs },
  wrap: { flexWrap: 'wrap' },
  even: { alignSelf: 'stretch' },
  option: {
    minHeight: TARGET,
    minWidth: TARGET,
    paddingHorizontal: SPACE.m,
    borderWidth: 1.5,
    borderRadius: RADIUS,
    alignItems: 'center',
    justifyContent: 'center',
  },
  evenOption: { flex: 1, paddingHorizontal: 2 },
  chosen: { textDecorationLine: 'underline' },
});
