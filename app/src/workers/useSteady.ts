import isEqual from 'fast-deep-equal';
import { useState } from 'react';

/** A value that stays the same object as long as it says the same. */
export function useSteady<T>(value: T): T {
  const [kept, setKept] = useState(value);
  if (kept === value) return kept;
  if (isEqual(kept, value)) return kept;
  // React renders again at once with the new one; nothing is shown in between.
  setKept(value);
  return value;
}

/** A list whose entries stay the same objects as long as they say the same, e.g. what came out of a worker. */
export function useSteadyList<T>(
  list: readonly T[] | undefined,
  keyOf: (entry: T) => string,
): ReadonlyMap<string, T> {
  const [kept, setKept] = useState<{
    readonly list: readonly T[] | undefined;
    readonly byKey: ReadonlyMap<string, T>;
  }>({ list: undefined, byKey: new Map() });
  if (kept.list === list) return kept.byKey;
  const byKey = new Map(
    (list ?? []).map((entry): [string, T] => {
      const before = kept.byKey.get(keyOf(entry));
      return [keyOf(entry), before !== undefined && isEqual(before, entry) ? before : entry];
    }),
  );
  setKept({ list, byKey });
  return byKey;
}
