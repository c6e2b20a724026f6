import type { WireColourCode } from '@lucky-thread/core/vehicle';
import { WIRE_COLOURS } from '@lucky-thread/core/vehicle';
import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { usePalette } from '../ui/ThemeProvider';
import { RADIUS, SPACE, TARGET } from '../ui/tokens';
import { Words } from '../ui/Words';
import { WireSwatch } from './WireSwatch';

const CODES = Object.keys(WIRE_COLOURS) as WireColourCode[];

/** Every wire colour as it looks and by its code, to be picked by eye. */
export function SwatchPad(props: {
  /** What is picked, for screen readers. */
  readonly label: string;
  readonly onPick: (code: WireColourCode) => void;
}) {
  const palette = usePalette();
  return (
    <View role="group" aria-label={props.label} style={styles.pad}>
      {CODES.map((code) => (
        <TouchableRipple
          key={code}
          role="button"
          aria-label={`${code}, ${WIRE_COLOURS[code]}`}
          testID={`swatch-${code}`}
          onPress={() => props.onPick(code)}
          style={[styles.key, { borderColor: palette.line, backgroundColor: palette.raised }]}
        >
          <View style={styles.inside}>
            <WireSwatch colour={code} />
            <Words kind="code">{code}</Words>
          </View>
        </TouchableRipple>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  pad: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.xs },
  key: { minHeight: TARGET, minWidth: 60, borderWidth: 1.5, borderRadius: RADIUS },
  inside: { alignItems: 'center', justifyContent: 'center', flex: 1, paddingVertical: 3 },
});
