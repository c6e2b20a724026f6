import type { ReactNode } from 'react';
import { Children } from 'react';
import { StyleSheet, View } from 'react-native';
import { useWide } from './Screen';
import { SPACE } from './tokens';

/** Cards one below the other on a phone, side by side where there is room. */
export function SideBySide({ children }: { readonly children: ReactNode }) {
  const wide = useWide();
  return (
    <View style={wide ? styles.row : styles.stack}>
      {Children.map(children, (child) => (
        <View style={wide && styles.cell}>{child}</View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.l },
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'flex-start', gap: SPACE.l },
  cell: { flexGrow: 1, flexBasis: 420, maxWidth: '100%' },
});
