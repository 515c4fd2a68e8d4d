/** The one place where figures are turned into words with a unit. Values arrive and are kept in the trade unit. */
import type { Schemas } from '../api/client';

export type Units = Schemas['DisplayUnits'];
export type Quantity = 'length' | 'weight' | 'drawWeight' | 'speed' | 'distance' | 'number';

export const tradeUnits: Units = {
  length: 'inches',
  mass: 'grains',
  force: 'pounds',
  speed: 'feetPerSecond',
  energy: 'footPounds',
};
export const metricUnits: Units = {
  length: 'centimetres',
  mass: 'grams',
  force: 'newtons',
  speed: 'metresPerSecond',
  energy: 'joules',
};

const MINUS = '\u2212';
const THIN = '\u2009';

interface Way {
  unit: string;
  factor: number;
  /** Decimals more (or fewer) than in the trade unit, for the same fineness. */
  finer: number;
}

const same = (unit: string): Way => ({ unit, factor: 1, finer: 0 });
const POUND = 4.4482216152605;

/** How a trade unit is shown; international yard and pound of 1959, NIST SP 811. */
function wayOf(unit: string, units: Units): Way {
  switch (unit) {
    case 'in':
      if (units.length === 'centimetres') return { unit: 'cm', factor: 2.54, finer: 0 };
      return units.length === 'millimetres' ? { unit: 'mm', factor: 25.4, finer: -1 } : same(unit);
    case 'gr':
      return units.mass === 'grams' ? { unit: 'g', factor: 0.06479891, finer: 1 } : same(unit);
    case 'lb':
      if (units.force === 'newtons') return { unit: 'N', factor: POUND, finer: 0 };
      return units.force === 'kilograms' ? { unit: 'kg', factor: 0.45359237, finer: 0 } : same(unit);
    case 'ft/s':
      return units.speed === 'metresPerSecond' ? { unit: 'm/s', factor: 0.3048, finer: 1 } : same(unit);
    case 'slug·ft/s':
      return units.speed === 'metresPerSecond' ? { unit: 'kg·m/s', factor: POUND, finer: -1 } : same(unit);
    case 'ft·lb':
      return units.energy === 'joules' ? { unit: 'J', factor: 1.3558179483314, finer: 0 } : same(unit);
    default:
      return same(unit);
  }
}

export interface Shown {
  value: string;
  unit: string;
}

export function number(value: number, decimals: number): string {
  const text = value.toFixed(Math.max(0, decimals));
  return Number(text) === 0 ? text.replace('-', '') : text.replace('-', MINUS);
}

export function signed(value: number, decimals: number): string {
  const text = number(value, decimals);
  return Number(value.toFixed(Math.max(0, decimals))) > 0 ? `+${text}` : text;
}

/** A spine is a size name in thousandths of an inch, whatever the units. */
const isSpine = (unit: string, decimals: number) => unit === 'in' && decimals === 3;

/** A value and its unit as the bench shows it. */
export function show(value: number, unit: string, decimals: number, units: Units = tradeUnits): Shown {
  if (isSpine(unit, decimals)) return { value: number(value, decimals).replace(/^0\./, '.'), unit };
  const way = wayOf(unit, units);
  return { value: number(value * way.factor, decimals + way.finer), unit: way.unit };
}

export function showChange(change: number, unit: string, decimals: number, units: Units = tradeUnits): string {
  if (isSpine(unit, decimals)) return signed(change, decimals);
  const way = wayOf(unit, units);
  return signed(change * way.factor, decimals + way.finer);
}

export function withUnit(value: number, unit: string, decimals: number, units: Units = tradeUnits): string {
  const shown = show(value, unit, decimals, units);
  return shown.unit === '' ? shown.value : `${shown.value}${shown.unit === '%' ? THIN : ' '}${shown.unit}`;
}

/** up, down or unchanged at the precision that is shown. */
export function direction(change: number, decimals: number): 'up' | 'down' | 'same' {
  const rounded = Number(change.toFixed(decimals));
  return rounded > 0 ? 'up' : rounded < 0 ? 'down' : 'same';
}

const tradeUnit: Record<Quantity, string> = {
  length: 'in',
  weight: 'gr',
  drawWeight: 'lb',
  speed: 'ft/s',
  distance: 'yd',
  number: '',
};

/** The unit that a field shows beside it. */
export const fieldUnit = (quantity: Quantity, units: Units): string => wayOf(tradeUnit[quantity], units).unit;

const NUMBER = /^\s*([+\-\u2212]?)\s*(?:(\d+(?:[.,]\d+)?|[.,]\d+)(?:[\s-]+(\d+)\/(\d+))?|(\d+)\/(\d+))\s*(\D.*?)?\s*$/;

/** Reads a typed number for display only; what counts is what C# reads from the same text. */
function readNumber(text: string): { value: number; unit: string } | null {
  const match = NUMBER.exec(text);
  if (!match) return null;
  const whole = match[2] ? Number(match[2].replace(',', '.')) : 0;
  const part = match[3] ? Number(match[3]) / Number(match[4]) : match[5] ? Number(match[5]) / Number(match[6]) : 0;
  return { value: (match[1] && match[1] !== '+' ? -1 : 1) * (whole + part), unit: match[7] ?? '' };
}

/** What a field shows for a kept text: the text as typed in its own unit, else the value in the archer's unit. */
export function fieldText(typed: string, quantity: Quantity, units: Units): string {
  const way = wayOf(tradeUnit[quantity], units);
  const own = ` ${way.unit}`;
  if (way.factor !== 1 && typed.endsWith(own)) return typed.slice(0, -own.length);
  if (way.factor === 1) return typed;
  const read = readNumber(typed);
  const trade = read !== null && (read.unit === '' || read.unit === tradeUnit[quantity]);
  return trade ? number(read.value * way.factor, 2 + way.finer).replace(/\.?0+$/, '') : typed;
}

/** What is kept for a text typed into a field: it names its unit, so that it means the same for everyone. */
export function keptText(text: string, quantity: Quantity, units: Units): string {
  const way = wayOf(tradeUnit[quantity], units);
  return way.factor === 1 || text.trim() === '' || /[a-z"]\s*$/i.test(text) ? text : `${text} ${way.unit}`;
}

const MEASURE =
  /([+\u2212]?)(?:(\d+) )?(\d+\/\d+|\d+(?:\.\d+)?) (in|gr|lb|ft\/s|ft·lb|slug·ft\/s)(?![a-zA-Z/·])(?! \d)/g;

/** A sentence from the server with its measures in the archer's units. */
export function say(text: string, units: Units): string {
  return text.replace(MEASURE, (all, sign: string, whole: string | undefined, figure: string, unit: string) => {
    const way = wayOf(unit, units);
    const decimals = figure.split('.')[1]?.length ?? (figure.includes('/') ? 2 : 0);
    if (way.factor === 1) return all;
    const [over, under] = figure.split('/').map(Number) as [number, number | undefined];
    const value = Number(whole ?? 0) + (under ? over / under : over);
    return `${sign}${number(value * way.factor, decimals + way.finer)} ${way.unit}`;
  });
}
