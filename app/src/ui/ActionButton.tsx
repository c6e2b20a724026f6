import type { StyleProp, ViewStyle } from 'react-native';
import { StyleSheet } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { usePalette } from './ThemeProvider';
import { RADIUS, SPACE, TARGET } from './tokens';
import { Words } from './Words';

/** Props of {@link ActionButton}. */
export interface ActionButtonProps {
  /** What it is called on the screen. */
  readonly label: string;
  /** Called when it is pressed. */
  readonly onPress: () => void;
  /** `next` is the one thing to do now; there is at most one on a screen. */
  readonly kind?: 'next' | 'plain' | 'quiet';
  /** Whether it can't be pressed now. */
  readonly disabled?: boolean;
  /** What a screen reader says instead of the label. */
  readonly spoken?: string;
  /** Names it for tests; it is not shown. */
  readonly testID?: string;
  /** Added to its own style. */
  readonly style?: StyleProp<ViewStyle>;
}

/** A button that a thumb finds. */
export function ActionButton(props: ActionButtonProps) {
  const palette = usePalette();
  const { kind = 'plain', disabled = false } = props;
  const ground =
    kind === 'next' ? palette.accent : kind === 'plain' ? palette.raised : 'transparent';
  return (
    <TouchableRipple
      testID={props.testID}
      onPress={props.onPress}
      disabled={disabled}
      role="button"
      aria-label={props.spoken ?? props.label}
      aria-disabled={disabled}
      style={[
        styles.button,
        kind === 'next' && styles.next,
        {
          backgroundColor: disabled && kind !== 'quiet' ? palette.sunken : ground,
          borderColor: kind === 'quiet' ? 'transparent' : disabled ? palette.line : palette.ink,
        },
        kind === 'next' && !disabled && { borderColor: palette.accent },
        props.style,
      ]}
    >
      <Words
        kind={kind === 'next' ? 'action' : 'label'}
        colour={disabled ? palette.inkSoft : kind === 'next' ? palette.onAccent : palette.ink}
        style={styles.text}
      >
        {props.label}
      </Words>
    </TouchableRipple>
  );
}

const styles = StyleSheet.create({
  button: {
    minHeight: TARGET,
    minWidth: TARGET,
    paddingHorizontal: SPACE.m,
    paddingVertical: SPACE.s,
    borderWidth: 1.5,
    borderRadius: RADIUS,
    alignItems: 'center',
    justifyContent: 'center',
  },
  next: { minHeight: 56 },
  text: { textAlign: 'center' },
});
