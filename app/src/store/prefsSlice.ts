import type { PayloadAction } from '@reduxjs/toolkit';
import { createSlice } from '@reduxjs/toolkit';

/** What one person likes on this device. */
export interface Prefs {
  /** Light for the day, dark for the footwell. */
  readonly theme: 'day' | 'night';
  /** What lengths and gauges are shown in. */
  readonly units: 'metric' | 'us';
}

const KEY = 'lucky-thread.prefs';
const DEFAULTS: Prefs = { theme: 'day', units: 'metric' };

const slice = createSlice({
  name: 'prefs',
  initialState: DEFAULTS,
  reducers: {
    prefsChanged: (state, action: PayloadAction<Partial<Prefs>>) => ({
      ...state,
      ...action.payload,
    }),
  },
});

export const { prefsChanged } = slice.actions;
export const prefsReducer = slice.reducer;

/** The preferences kept on this device; the defaults when there are none or they can't be read. */
export function loadPrefs(storage: Pick<Storage, 'getItem'>): Prefs {
  const text = storage.getItem(KEY);
  if (text === null) return DEFAULTS;
  const kept = parsed(text);
  return {
    theme: kept.theme === 'night' ? 'night' : 'day',
    units: kept.units === 'us' ? 'us' : 'metric',
  };
}

function parsed(text: string): Partial<Prefs> {
  try {
    return JSON.parse(text) as Partial<Prefs>;
  } catch {
    // Edited by hand or cut short: preferences are not worth an error.
    return {};
  }
}

/** Keeps the preferences on this device. */
export function savePrefs(storage: Pick<Storage, 'setItem'>, prefs: Prefs): void {
  storage.setItem(KEY, JSON.stringify(prefs));
}
