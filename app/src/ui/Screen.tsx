import type { ReactNode } from 'react';
import { ScrollView, StyleSheet, View, useWindowDimensions } from 'react-native';
import { usePalette } from './ThemeProvider';
import { SPACE, WIDE } from './tokens';

/** Props of {@link Screen}. */
export interface ScreenProps {
  /** What stands inside. */
  readonly children: ReactNode;
  /** What stays under the thumb. */
  readonly bottom?: ReactNode;
  /** What is told over it when something comes up: what stands above stays where it is. */
  readonly told?: ReactNode;
  /** Names it for tests; it is not shown. */
  readonly testID?: string;
  /** Cards stand side by side where there is room. */
  readonly roomy?: boolean;
}

/** Whether there is room to lay things side by side. */
export function useWide(): boolean {
  return useWindowDimensions().width >= WIDE;
}

/** A page that scrolls, with its main action below. */
export function Screen(props: ScreenProps) {
  const palette = usePalette();
  return (
    <View style={[styles.screen, { backgroundColor: palette.canvas }]} testID={props.testID}>
      <ScrollView
        tabIndex={0}
        contentContainerStyle={styles.content}
        style={styles.scroll}
        role="main"
      >
        <View style={[styles.column, props.roomy === true && styles.roomy]}>{props.children}</View>
      </ScrollView>
      {props.told}
      {props.bottom !== undefined && (
        <View
          style={[styles.bottom, { borderColor: palette.line, backgroundColor: palette.canvas }]}
        >
          <View style={styles.column}>{props.bottom}</View>
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  scroll: { flex: 1 },
  content: { padding: SPACE.l, alignItems: 'center' },
  column: { width: '100%', maxWidth: 760, gap: SPACE.l },
  roomy: { maxWidth: 1240 },
  bottom: { padding: SPACE.m, borderTopWidth: 1, alignItems: 'center' },
});
