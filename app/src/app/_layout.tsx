import 'reflect-metadata';
import { Slot } from 'expo-router';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Provider } from 'react-redux';
import { SessionGate } from '../shell/SessionGate';
import { useAppSelector } from '../store/store';
import { useAppStart, useAppStore } from '../store/useAppStart';
import { ShortcutHelp } from '../ui/ShortcutHelp';
import { ThemeProvider, usePalette } from '../ui/ThemeProvider';
import { useFaces } from '../ui/useFaces';
import { UnitsFromStore } from '../shell/UnitsFromStore';

/** Everything around every screen: store, theme, faces, session. */
export default function RootLayout() {
  const store = useAppStore();
  const ready = useFaces();
  return (
    <Provider store={store}>
      <Themed>{ready && <Started />}</Themed>
    </Provider>
  );
}

function Themed(props: { readonly children: ReactNode }) {
  const night = useAppSelector((state) => state.prefs.theme === 'night');
  return (
    <UnitsFromStore>
      <ThemeProvider night={night}>{props.children}</ThemeProvider>
    </UnitsFromStore>
  );
}

function Started() {
  useAppStart();
  const palette = usePalette();
  return (
    <View style={{ flex: 1, minHeight: 0, backgroundColor: palette.canvas }}>
      <SessionGate>
        <Slot />
        <ShortcutHelp />
      </SessionGate>
    </View>
  );
}
