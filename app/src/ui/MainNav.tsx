import type { Href } from 'expo-router';
import { usePathname, useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { usePalette } from './ThemeProvider';
import { SPACE } from './tokens';
import { Words } from './Words';

const PLACES: readonly { readonly href: Href; readonly start: string; readonly label: string }[] = [
  { href: '/', start: '/', label: 'Jobs' },
  { href: '/vehicles', start: '/vehicles', label: 'Vehicles' },
  { href: '/bench', start: '/bench', label: 'Bench' },
  { href: '/tools', start: '/tools', label: 'Tools' },
  { href: '/shop', start: '/shop', label: 'Shop' },
];

/** The main places: along the lower edge under the thumb, or down the side on a wide screen. */
export function MainNav({ wide }: { readonly wide: boolean }) {
  const palette = usePalette();
  const router = useRouter();
  const path = usePathname();
  return (
    <View
      role="navigation"
      aria-label="Main"
      style={[
        wide ? styles.side : styles.bottom,
        { borderColor: palette.line, backgroundColor: palette.canvas },
      ]}
    >
      {PLACES.map((place) => {
        const here = place.start === '/' ? path === '/' : path.startsWith(place.start);
        return (
          <TouchableRipple
            key={place.start}
            role="link"
            aria-label={place.label}
            aria-current={here ? 'page' : undefined}
            testID={`nav-${place.label}`}
            onPress={() => router.navigate(place.href)}
            style={[styles.item, !wide && styles.even]}
          >
            <Words
              kind="action"
              colour={here ? palette.ink : palette.inkSoft}
              style={here && { textDecorationLine: 'underline' }}
            >
              {place.label}
            </Words>
          </TouchableRipple>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  bottom: { flexDirection: 'row', borderTopWidth: 1 },
  side: { width: 132, borderRightWidth: 1, paddingTop: SPACE.xl },
  item: { minHeight: 52, paddingHorizontal: SPACE.l, justifyContent: 'center' },
  even: { flex: 1, alignItems: 'center' },
});
