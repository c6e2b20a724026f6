import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo } from 'react';
import type { Inputs, ToolInputs } from './toolInputs';
import { inputsFrom, paramsFor } from './toolInputs';

/** A tool's inputs, kept in the URL so that a result can be shared and comes back with the browser's own buttons. */
export function useToolInputs<T extends ToolInputs>(
  defaults: T,
): readonly [Inputs<T>, (changed: Partial<Inputs<T>>) => void] {
  const router = useRouter();
  const params = useLocalSearchParams();
  const inputs = useMemo(() => inputsFrom(defaults, params), [defaults, params]);
  return [inputs, (changed) => router.setParams(paramsFor(defaults, changed))];
}
