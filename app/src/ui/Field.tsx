import type { KeyboardTypeOptions } from 'react-native';
import { StyleSheet, View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { usePalette } from './ThemeProvider';
import { FACES, SPACE } from './tokens';
import { Words } from './Words';

/** Props of {@link Field}. */
export interface FieldProps {
  /** What is to be typed. */
  readonly label: string;
  /** What stands in it. */
  readonly value: string;
  /** Called with what was typed. */
  readonly onChange: (text: string) => void;
  /** What is wrong with it; shown and read out. */
  readonly problem?: string | undefined;
  /** A line below: the unit, the form, or where to find it. */
  readonly hint?: string | undefined;
  /** Whether what is typed is hidden. */
  readonly secret?: boolean;
  /** Which keys a phone offers. */
  readonly keyboard?: KeyboardTypeOptions;
  /** Names it for tests; it is not shown. */
  readonly testID?: string;
  /** Called on the return key. */
  readonly onSubmit?: () => void;
  /** Lines of a longer text; left out: one. */
  readonly lines?: number;
}

/** A text field with its label, hint and problem. */
export function Field(props: FieldProps) {
  const palette = usePalette();
  const below = props.problem ?? props.hint;
  return (
    <View style={styles.field}>
      <TextInput
        mode="outlined"
        label={props.label}
        aria-label={props.label}
        testID={props.testID}
        value={props.value}
        onChangeText={props.onChange}
        onSubmitEditing={props.onSubmit}
        secureTextEntry={props.secret}
        keyboardType={props.keyboard}
        multiline={props.lines !== undefined}
        numberOfLines={props.lines}
        error={props.problem !== undefined}
        autoCapitalize="none"
        style={{ backgroundColor: palette.raised }}
        contentStyle={styles.content}
      />
      {below !== undefined && (
        <Words
          kind="small"
          soft={props.problem === undefined}
          testID={props.testID === undefined ? undefined : `${props.testID}-below`}
        >
          {props.problem === undefined ? below : `✕ ${below}`}
        </Words>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  field: { gap: SPACE.xs },
  content: { fontFamily: FACES.text, fontSize: 17 },
});
