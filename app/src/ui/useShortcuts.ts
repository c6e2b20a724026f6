import { useEffect } from 'react';

/** One keyboard shortcut. */
export interface Shortcut {
  /** What it does, for the list of keys. */
  readonly what: string;
  /** Does it. */
  readonly run: () => void;
}

const active = new Set<Readonly<Record<string, Shortcut>>>();

/** Shortcuts in force, for the help. */
export function activeShortcuts(): readonly (readonly [key: string, what: string])[] {
  return [...active].flatMap((set) =>
    Object.entries(set).map(([key, shortcut]) => [key, shortcut.what] as const),
  );
}

/** Runs an action when its key is pressed outside a text field, as long as the component is there. */
export function useShortcuts(shortcuts: Readonly<Record<string, Shortcut>>): void {
  useEffect(() => {
    if (typeof document === 'undefined') return undefined;
    active.add(shortcuts);
    const listen = (event: KeyboardEvent): void => {
      const target = event.target;
      const typing = target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement;
      if (typing || event.ctrlKey || event.metaKey || event.altKey) return;
      const shortcut = shortcuts[event.key];
      if (shortcut === undefined) return;
      event.preventDefault();
      shortcut.run();
    };
    document.addEventListener('keydown', listen);
    return () => {
      active.delete(shortcuts);
      document.removeEventListener('keydown', listen);
    };
  });
}
