import type { UnitSystem } from '@lucky-thread/core/units';
import type { ReactNode } from 'react';
import { createContext, useContext } from 'react';

const Units = createContext<UnitSystem>('metric');

/** Gives everything below the system of units that numbers are shown and typed in. */
export function UnitsProvider(props: {
  readonly system: UnitSystem;
  readonly children: ReactNode;
}) {
  return <Units.Provider value={props.system}>{props.children}</Units.Provider>;
}

/** The system of units on screen. */
export function useUnits(): UnitSystem {
  return useContext(Units);
}
