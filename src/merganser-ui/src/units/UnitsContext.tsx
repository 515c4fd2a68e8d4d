import { createContext, useContext, type ReactNode } from 'react';
import { ruled, tradeUnits, withUnit, type Units } from './units';

const UnitsContext = createContext<Units>(tradeUnits);

export const UnitsProvider = ({ units, children }: { units: Units | undefined; children: ReactNode }) => (
  <UnitsContext.Provider value={units ?? tradeUnits}>{children}</UnitsContext.Provider>
);

export const useUnits = () => useContext(UnitsContext);

/** Inches in one of the archer's units of length: what is round on a sheet is round in that. */
export const useInchesInUnit = () => (useUnits().length === 'inches' ? 1 : 1 / 2.54);

/** Yards in one of the archer's units of distance: what distances are counted in. */
export const useYardsInUnit = () => (useUnits().distance === 'metres' ? 1 / 0.9144 : 1);

/** A figure with its unit, and inches as a rule is read: for what the browser must write itself. */
export function useFigures() {
  const units = useUnits();
  return {
    figure: (value: number, unit: string, decimals: number) => withUnit(value, unit, decimals, units),
    change: (value: number, unit: string, decimals: number) =>
      `${value > 0 ? '+' : ''}${withUnit(value, unit, decimals, units)}`,
    rule: (inches: number) => ruled(inches, units),
  };
}
