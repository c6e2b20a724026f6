import type { ReactNode } from 'react';
import type { StyleProp, ViewStyle } from 'react-native';
import { StyleSheet, View } from 'react-native';
import { usePalette } from './ThemeProvider';
import { RADIUS, SPACE } from './tokens';

/** A piece of raised canvas that holds one subject. */
export function Card(props: {
  readonly children: ReactNode;
  readonly testID?: string;
  readonly style?: StyleProp<ViewStyle>;
}) {
  const palette = usePalette();
  return (
    <View
      testID={props.testID}
      style={[styles.card, { backgroundColor: palette.raised }, props.style]}
    >
      {props.children}
    </View>
  );
}

const styles = StyleSheet.create({
  card: { borderRadius: RADIUS, padding: SPACE.m, gap: SPACE.s },
});
