import type { ReactNode } from 'react';
import { StyleSheet, View, useWindowDimensions } from 'react-native';
import { SPACE, WIDE } from './tokens';

/** Two subjects one below the other on a phone, beside each other where there is room. */
export function TwoColumns(props: {
  readonly first: ReactNode;
  readonly second: ReactNode;
  /** Width of the window from which there is room, px. */
  readonly from?: number;
}) {
  const wide = useWindowDimensions().width >= (props.from ?? WIDE);
  return (
    <View style={wide ? styles.beside : styles.stack}>
      <View style={wide ? styles.column : styles.stack}>{props.first}</View>
      <View style={wide ? styles.column : styles.stack}>{props.second}</View>
    </View>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.l },
  beside: { flexDirection: 'row', gap: SPACE.xl, alignItems: 'flex-start' },
  column: { flex: 1, gap: SPACE.l, minWidth: 0 },
});
