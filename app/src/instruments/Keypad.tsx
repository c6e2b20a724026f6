import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../ui/ActionButton';
import { usePalette } from '../ui/ThemeProvider';
import { RADIUS, SPACE } from '../ui/tokens';
import { Words } from '../ui/Words';

const KEYS = [
  ['7', '8', '9'],
  ['4', '5', '6'],
  ['1', '2', '3'],
  ['−', '0', '.'],
] as const;
/** Longest entry: sign, two digits, point, three digits. */
const LONGEST = 7;

/** Props of {@link Keypad}. */
export interface KeypadProps {
  /** Unit shown beside the figure; volts by default. */
  readonly unit?: 'V' | 'Ω';
  /** What was keyed so far. */
  readonly text: string;
  /** Called with what is keyed now. */
  readonly onText: (text: string) => void;
  /** Called to log it. */
  readonly onLog: () => void;
}

/** A large keypad for volts or ohms. */
export function Keypad({ unit = 'V', text, onText, onLog }: KeypadProps) {
  const palette = usePalette();
  return (
    <View style={styles.pad} testID="keypad">
      <View style={styles.row}>
        <View style={[styles.display, { borderColor: palette.ink }]}>
          <Words kind="figure" testID="keypad-text">
            {text === '' ? '0' : text}
          </Words>
          <Words kind="heading" soft>
            {unit}
          </Words>
        </View>
        <ActionButton
          label="⌫"
          spoken="Delete last digit"
          style={styles.side}
          onPress={() => onText(text.slice(0, -1))}
        />
      </View>
      {KEYS.map((row) => (
        <View style={styles.row} key={row.join('')}>
          {row.map((key) => (
            <ActionButton
              key={key}
              label={key}
              spoken={key === '−' ? 'Minus' : key === '.' ? 'Point' : key}
              testID={`key-digit-${key}`}
              style={styles.key}
              onPress={() => onText(text.length < LONGEST ? `${text}${key}` : text)}
            />
          ))}
        </View>
      ))}
      <ActionButton
        kind="next"
        label="Log this reading"
        testID="keypad-log"
        disabled={text === ''}
        onPress={onLog}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  pad: { gap: SPACE.xs },
  row: { flexDirection: 'row', gap: SPACE.xs },
  key: { flex: 1 },
  side: { width: 72 },
  display: {
    flex: 1,
    flexDirection: 'row',
    alignItems: 'baseline',
    justifyContent: 'flex-end',
    gap: SPACE.s,
    paddingHorizontal: SPACE.m,
    borderWidth: 1.5,
    borderRadius: RADIUS,
  },
});
