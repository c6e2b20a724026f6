import { useCallback, useState } from 'react';

/** Where drafts stand on this device. */
const PREFIX = 'lucky-thread draft ';

/** What is being typed, kept on this device until it is stored: a reload loses nothing. */
export interface KeptDraft<Of> {
  /** What was typed, as it survives a reload. */
  readonly draft: Of;
  /** Changes it. */
  readonly setDraft: (draft: Of) => void;
  /** Forgets it; what is on the screen stays. */
  readonly forget: () => void;
  /** Whether an earlier visit left something. */
  readonly wasKept: boolean;
}

/**
 * A form's contents under a name of their own.
 *
 * @param initial what it begins with when nothing was kept; what was kept in an older form is filled up from it
 */
export function useKeptDraft<Of extends object>(name: string, initial: Of): KeptDraft<Of> {
  const [kept] = useState(() => keptUnder<Of>(name));
  const [draft, set] = useState<Of>(() => ({ ...initial, ...kept }));
  const setDraft = useCallback(
    (changed: Of) => {
      set(changed);
      keep(name, changed);
    },
    [name],
  );
  const forget = useCallback(() => storage()?.removeItem(PREFIX + name), [name]);
  return { draft, setDraft, forget, wasKept: kept !== undefined };
}

/** Browsers without a storage of their own, or that refuse it, keep nothing beyond the page. */
function storage(): Storage | undefined {
  try {
    return globalThis.localStorage;
  } catch {
    return undefined;
  }
}

function keptUnder<Of extends object>(name: string): Partial<Of> | undefined {
  const text = storage()?.getItem(PREFIX + name);
  if (text === null || text === undefined) return undefined;
  try {
    const value: unknown = JSON.parse(text);
    return typeof value === 'object' && value !== null ? value : undefined;
  } catch {
    // Cut off by a full storage: the form begins anew.
    return undefined;
  }
}

function keep(name: string, draft: object): void {
  try {
    storage()?.setItem(PREFIX + name, JSON.stringify(draft));
  } catch (error) {
    // Full: typing goes on, and a reload would lose it.
    console.error('This device’s storage does not keep the draft', error);
  }
}
