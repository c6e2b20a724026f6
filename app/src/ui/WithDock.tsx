import type { ReactNode } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { useWide } from './Screen';
import { usePalette } from './ThemeProvider';
import { SPACE } from './tokens';

/** Props of {@link WithDock}. */
export interface WithDockProps {
  /** What is looked at; scrolls by itself. */
  readonly children: ReactNode;
  /** What is done with it: under the thumb on a phone, beside it on a wide screen. */
  readonly dock: ReactNode;
  /** Names it for tests; it is not shown. */
  readonly testID: string;
  /** What is told when something comes up: over the dock on a phone, below everything on a wide screen; nothing else moves. */
  readonly told?: ReactNode;
  /** On a phone the dock takes less than half. */
  readonly low?: boolean;
}

/** A page in two parts that scroll apart: what is looked at, and what the thumb does. */
export function WithDock({ children, dock, told, testID, low = false }: WithDockProps) {
  const palette = usePalette();
  const wide = useWide();
  const docked = (
    <ScrollView
      tabIndex={0}
      style={[
        wide ? styles.side : styles.dock,
        !wide && low && styles.low,
        { borderColor: palette.line, backgroundColor: palette.canvas },
      ]}
      contentContainerStyle={styles.docked}
    >
      {dock}
    </ScrollView>
  );
  return (
    <View style={styles.fill} role="main" testID={testID}>
      <View style={[styles.fill, wide && styles.columns]}>
        <ScrollView tabIndex={0} style={styles.fill} contentContainerStyle={styles.content}>
          {children}
        </ScrollView>
        {wide && docked}
      </View>
      {told}
      {!wide && docked}
    </View>
  );
}

const styles = StyleSheet.create({
  fill: { flex: 1, minHeight: 0 },
  columns: { flexDirection: 'row' },
  content: { padding: SPACE.m, gap: SPACE.m },
  dock: { flexGrow: 0, borderTopWidth: 1.5, maxHeight: '62%' },
  low: { maxHeight: '44%' },
  side: { flex: 0.8, borderLeftWidth: 1.5 },
  docked: { padding: SPACE.m, gap: SPACE.s },
});
