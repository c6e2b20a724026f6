import type { ReactNode } from 'react';
import { useAppSelector } from '../store/store';
import { UnitsProvider } from '../ui/Units';

/** The units that the installer chose, for everything below. */
export function UnitsFromStore({ children }: { readonly children: ReactNode }) {
  const system = useAppSelector((state) => state.prefs.units);
  return <UnitsProvider system={system}>{children}</UnitsProvider>;
}
