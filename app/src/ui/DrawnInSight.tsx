import type { ReactNode } from 'react';
import type { ViewStyle } from 'react-native';
import { View } from 'react-native';

/** Laid out and painted only where it is in sight; how high it was is kept, so that nothing jumps. Guessed before that, px. */
const IN_SIGHT = {
  contentVisibility: 'auto',
  containIntrinsicSize: 'auto 400px',
} as ViewStyle;

/** Part of a long page that costs nothing while it is scrolled out of sight. */
export function DrawnInSight({ children }: { readonly children: ReactNode }) {
  return <View style={IN_SIGHT}>{children}</View>;
}
