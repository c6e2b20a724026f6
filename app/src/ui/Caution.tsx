import { memo, useId } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { Defs, Line, Pattern, Rect } from 'react-native-svg';
import { usePalette } from './ThemeProvider';
import { RADIUS, SPACE } from './tokens';
import { Words } from './Words';

/** A caution where the danger is: hatched edge, its own ground, and the words. */
export function Caution(props: { readonly children: string; readonly testID?: string }) {
  const palette = usePalette();
  return (
    <View
      role="note"
      aria-label={`Caution: ${props.children}`}
      testID={props.testID}
      style={[styles.box, { borderColor: palette.danger, backgroundColor: palette.raised }]}
    >
      <View style={styles.edge}>
        <HatchFill ground={palette.danger} stripe={palette.onDanger} />
      </View>
      <Words kind="small" style={styles.text}>
        {props.children}
      </Words>
    </View>
  );
}

/** Diagonal stripes that fill their parent. */
export const HatchFill = memo(function HatchFill(props: {
  readonly ground: string;
  readonly stripe: string;
}) {
  const id = useId();
  return (
    <Svg width="100%" height="100%" style={StyleSheet.absoluteFill} aria-hidden>
      <Defs>
        <Pattern
          id={id}
          width={8}
          height={8}
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <Rect width={8} height={8} fill={props.ground} />
          <Line x1={0} y1={0} x2={0} y2={8} stroke={props.stripe} strokeWidth={5} />
        </Pattern>
      </Defs>
      <Rect width="100%" height="100%" fill={`url(#${id})`} />
    </Svg>
  );
});

const styles = StyleSheet.create({
  box: { flexDirection: 'row', borderWidth: 1.5, borderRadius: RADIUS, overflow: 'hidden' },
  edge: { width: 14 },
  text: { flex: 1, paddingVertical: SPACE.s, paddingHorizontal: SPACE.m },
});
