import { createContext, useContext, useMemo } from 'react';
import type { ReactNode } from 'react';
import { MD3DarkTheme, MD3LightTheme, PaperProvider, configureFonts } from 'react-native-paper';
import type { Palette } from './tokens';
import { DAY, FACES, NIGHT, RADIUS } from './tokens';

const PaletteContext = createContext<Palette>(DAY);

/** The colours of the theme in force. */
export function usePalette(): Palette {
  return useContext(PaletteContext);
}

/** Gives everything below it the day or the night theme, Paper's components too. */
export function ThemeProvider(props: { readonly night: boolean; readonly children: ReactNode }) {
  const palette = props.night ? NIGHT : DAY;
  const paper = useMemo(() => {
    const base = props.night ? MD3DarkTheme : MD3LightTheme;
    return {
      ...base,
      roundness: RADIUS,
      fonts: configureFonts({ config: { fontFamily: FACES.text } }),
      colors: {
        ...base.colors,
        primary: palette.accent,
        onPrimary: palette.onAccent,
        background: palette.canvas,
        surface: palette.raised,
        surfaceVariant: palette.raised,
        onSurface: palette.ink,
        onSurfaceVariant: palette.inkSoft,
        outline: palette.line,
        error: palette.accent,
      },
    };
  }, [props.night, palette]);
  return (
    <PaletteContext.Provider value={palette}>
      <PaperProvider theme={paper}>{props.children}</PaperProvider>
    </PaletteContext.Provider>
  );
}
