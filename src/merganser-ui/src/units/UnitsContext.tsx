import { createContext, useContext, type ReactNode } from 'react';
import { say, tradeUnits, type Units } from './units';

const UnitsContext = createContext<Units>(tradeUnits);

export const UnitsProvider = ({ units, children }: { units: Units | undefined; children: ReactNode }) => (
  <UnitsContext.Provider value={units ?? tradeUnits}>{children}</UnitsContext.Provider>
);

export const useUnits = () => useContext(UnitsContext);

/** A sentence in the archer's units. */
export function useSay() {
  const units = useUnits();
  return (text: string) => say(text, units);
}
