import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { useWide } from './Screen';
import { usePalette } from './ThemeProvider';

/** A long list with the content of what is chosen in it beside it; on a phone the list alone. */
export function ListBeside(props: { readonly list: ReactNode; readonly content: ReactNode }) {
  const wide = useWide();
  const palette = usePalette();
  if (!wide) return props.list;
  return (
    <View style={styles.row}>
      <View style={[styles.list, { borderColor: palette.line }]}>{props.list}</View>
      <View style={styles.content}>{props.content}</View>
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flex: 1, minHeight: 0, flexDirection: 'row' },
  list: { width: 420, minHeight: 0, borderRightWidth: 1 },
  content: { flex: 1, minHeight: 0, minWidth: 0 },
});
