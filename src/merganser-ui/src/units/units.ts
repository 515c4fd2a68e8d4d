/** The one place where figures are turned into words with a unit. Values arrive in the trade unit. */

const MINUS = '\u2212';
const THIN = '\u2009';

export interface Shown {
  value: string;
  unit: string;
}

export function number(value: number, decimals: number): string {
  const text = value.toFixed(decimals);
  return Number(text) === 0 ? text.replace('-', '') : text.replace('-', MINUS);
}

export function signed(value: number, decimals: number): string {
  const text = number(value, decimals);
  return Number(value.toFixed(decimals)) > 0 ? `+${text}` : text;
}

/** A value and its unit as the bench shows it. */
export function show(value: number, unit: string, decimals: number): Shown {
  const text = number(value, decimals);
  return { value: unit === 'in' && decimals === 3 ? text.replace(/^0\./, '.') : text, unit };
}

export function withUnit(value: number, unit: string, decimals: number): string {
  const shown = show(value, unit, decimals);
  return shown.unit === '' ? shown.value : `${shown.value}${shown.unit === '%' ? THIN : ' '}${shown.unit}`;
}

/** up, down or unchanged at the precision that is shown. */
export function direction(change: number, decimals: number): 'up' | 'down' | 'same' {
  const rounded = Number(change.toFixed(decimals));
  return rounded > 0 ? 'up' : rounded < 0 ? 'down' : 'same';
}
