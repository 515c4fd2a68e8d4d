/** The one place where figures are turned into words with a unit. Values arrive and are kept in the trade unit. */
import type { Schemas } from '../api/client';

export type Units = Schemas['DisplayUnits'];
export type Quantity =
  | 'length'
  | 'weight'
  | 'drawWeight'
  | 'speed'
  | 'distance'
  | 'wind'
  | 'massPerLength'
  | 'altitude'
  | 'temperature'
  | 'energy'
  | 'momentum'
  | 'weightPerForce'
  | 'number';

export const tradeUnits: Units = {
  length: 'inches',
  mass: 'grains',
  force: 'pounds',
  speed: 'feetPerSecond',
  energy: 'footPounds',
  distance: 'yards',
};
export const metricUnits: Units = {
  length: 'centimetres',
  mass: 'grams',
  force: 'newtons',
  speed: 'metresPerSecond',
  energy: 'joules',
  distance: 'metres',
};

const MINUS = '\u2212';
const THIN = '\u2009';

interface Way {
  unit: string;
  factor: number;
  /** Decimals more (or fewer) than in the trade unit, for the same fineness. */
  finer: number;
  /** The trade unit's value where this unit counts nought. */
  nought?: number;
}

const same = (unit: string): Way => ({ unit, factor: 1, finer: 0 });
const POUND = 4.4482216152605;

function lengthWay(units: Units): Way {
  if (units.length === 'centimetres') return { unit: 'cm', factor: 2.54, finer: 0 };
  return units.length === 'millimetres' ? { unit: 'mm', factor: 25.4, finer: -1 } : same('in');
}

const massWay = (units: Units): Way =>
  units.mass === 'grams' ? { unit: 'g', factor: 0.06479891, finer: 1 } : same('gr');

function forceWay(units: Units): Way {
  if (units.force === 'newtons') return { unit: 'N', factor: POUND, finer: 0 };
  return units.force === 'kilograms' ? { unit: 'kg', factor: 0.45359237, finer: 0 } : same('lb');
}

/** A ratio of two: as many decimals as its size against the trade's asks for. */
function over(top: Way, bottom: Way): Way {
  const factor = top.factor / bottom.factor;
  return { unit: `${top.unit}/${bottom.unit}`, factor, finer: factor < 0.05 ? 2 : factor < 0.5 ? 1 : 0 };
}

/**
 * How a trade unit is shown; international yard and pound of 1959, NIST SP 811. The server says the same in Core/Units/DisplayUnits.cs;
 * both run the cases of tests/vectors/quantities.json.
 */
function wayOf(unit: string, units: Units): Way {
  switch (unit) {
    case 'in':
      return lengthWay(units);
    case 'gr':
      return massWay(units);
    case 'lb':
      return forceWay(units);
    case 'yd':
      return units.distance === 'metres' ? { unit: 'm', factor: 0.9144, finer: 0 } : same(unit);
    case 'ft/s':
      return units.speed === 'metresPerSecond' ? { unit: 'm/s', factor: 0.3048, finer: 1 } : same(unit);
    case 'ft':
      return units.speed === 'metresPerSecond' ? { unit: 'm', factor: 0.3048, finer: 0 } : same(unit);
    case '°F':
      return units.speed === 'metresPerSecond' ? { unit: '°C', factor: 1 / 1.8, finer: 0, nought: 32 } : same(unit);
    case 'mph':
      return units.speed === 'metresPerSecond' ? { unit: 'm/s', factor: 0.44704, finer: 1 } : same(unit);
    case 'slug·ft/s':
      return units.speed === 'metresPerSecond' ? { unit: 'kg·m/s', factor: POUND, finer: -1 } : same(unit);
    case 'ft·lb':
      return units.energy === 'joules' ? { unit: 'J', factor: 1.3558179483314, finer: 0 } : same(unit);
    case 'gr/lb':
      return over(massWay(units), forceWay(units));
    case 'gr/in':
      return over(massWay(units), lengthWay(units));
    case 'spine':
      return same(units.length === 'inches' ? 'in' : 'ASTM');
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

/** A chance in words: never 0 or 100 %. */
export const percent = (chance: number): string =>
  chance > 0.99 ? 'over 99 %' : chance < 0.01 ? 'under 1 %' : `${number(100 * chance, 0)} %`;

export function signed(value: number, decimals: number): string {
  const text = number(value, decimals);
  return Number(value.toFixed(Math.max(0, decimals))) > 0 ? `+${text}` : text;
}

/** A value and its unit as the bench shows it. A spine is a size's name: it has no nought before its point. */
export function show(value: number, unit: string, decimals: number, units: Units = tradeUnits): Shown {
  const way = wayOf(unit, units);
  const text = number((value - (way.nought ?? 0)) * way.factor, decimals + way.finer);
  if (unit === 'spine') return { value: text.replace(/^0\./, '.'), unit: way.unit };
  return { value: unit === 'yd' ? text.replace(/\.0$/, '') : text, unit: way.unit };
}

/** A change, its sign shown, without its unit. */
export function showChange(change: number, unit: string, decimals: number, units: Units = tradeUnits): string {
  const text = show(change, unit, decimals, units).value;
  return change > 0 && /[1-9]/.test(text) ? `+${text}` : text;
}

export function withUnit(value: number, unit: string, decimals: number, units: Units = tradeUnits): string {
  const shown = show(value, unit, decimals, units);
  return shown.unit === ''
    ? shown.value
    : `${shown.value}${shown.unit === '%' ? THIN : shown.unit === '°' ? '' : ' '}${shown.unit}`;
}

/** Inches as a rule is read, in thirty-seconds; in other units with decimals. */
export function ruled(inches: number, units: Units = tradeUnits): string {
  if (units.length !== 'inches') return withUnit(inches, 'in', 2, units);
  const parts = Math.round(inches * 32);
  const whole = Math.floor(parts / 32);
  let part = parts % 32;
  let under = 32;
  while (part > 0 && part % 2 === 0) [part, under] = [part / 2, under / 2];
  return `${[whole > 0 || part === 0 ? whole : '', part > 0 ? `${part}/${under}` : ''].filter((t) => t !== '').join(' ')} in`;
}

/** The ruler of a person: quarters of an inch, or centimetres with the fives long. */
export function rulerOf(units: Units) {
  if (units.length === 'inches') return { unit: 'in', part: 0.25, half: 2, whole: 4, counts: 1, few: 5 };
  const counts = units.length === 'centimetres' ? 5 : 50;
  return { unit: wayOf('in', units).unit, part: 1 / 2.54, half: 5, whole: 5, counts, few: counts * 2 };
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
  wind: 'mph',
  massPerLength: 'gr/in',
  altitude: 'ft',
  temperature: '°F',
  energy: 'ft·lb',
  momentum: 'slug·ft/s',
  weightPerForce: 'gr/lb',
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

const ABOUT = /^\s*about /i;

/** A length that nobody measured is written "about 28": the 28 of it, or null for a measured one. */
export const aboutOf = (typed: string): string | null => (ABOUT.test(typed) ? typed.replace(ABOUT, '') : null);

/** A value that is known within a range is written "60 to 70": its two ends, or null for another. */
const rangeOf = (typed: string): [from: string, to: string] | null => {
  const ends = /^\s*(\S.*?)\s+to\s+(\S.*?)\s*$/i.exec(typed);
  return ends && [ends[1]!, ends[2]!];
};

/** What a field shows for a kept text: the text as typed in its own unit, else the value in the archer's unit. */
export function fieldText(typed: string, quantity: Quantity, units: Units): string {
  const about = aboutOf(typed);
  if (about !== null) return `about ${fieldText(about, quantity, units)}`;
  const way = wayOf(tradeUnit[quantity], units);
  const own = ` ${way.unit}`;
  const range = typed.endsWith(own) ? null : rangeOf(typed);
  if (range) return range.map((end) => fieldText(end, quantity, units)).join(' to ');
  if (way.factor !== 1 && typed.endsWith(own)) return typed.slice(0, -own.length);
  if (way.factor === 1) return typed;
  const read = readNumber(typed);
  const trade = read !== null && (read.unit === '' || read.unit === tradeUnit[quantity]);
  return trade
    ? number((read.value - (way.nought ?? 0)) * way.factor, 2 + way.finer)
        .replace(/(\.\d*?)0+$/, '$1')
        .replace(/\.$/, '')
    : typed;
}

/** What is kept for a text typed into a field: it names its unit, so that it means the same for everyone. */
export function keptText(text: string, quantity: Quantity, units: Units): string {
  const way = wayOf(tradeUnit[quantity], units);
  return way.factor === 1 || text.trim() === '' || /[a-z"]\s*$/i.test(text) ? text : `${text} ${way.unit}`;
}
