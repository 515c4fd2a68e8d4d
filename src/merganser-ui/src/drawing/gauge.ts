import { scale } from './chart';

/** Where a reading, its own error and a tolerance stand on one scale. */
export interface Gauge {
  x: (value: number) => number;
  ticks: { x: number; value: number }[];
  low: number;
  high: number;
  aim: number;
  at: number | null;
  error: [number, number] | null;
}

export interface GaugeTolerance {
  aim: number;
  low: number;
  high: number;
  /** Only too much is wrong: there is no lower limit. */
  atMost: boolean;
}

const STEPS = [1 / 64, 1 / 32, 1 / 16, 1 / 8, 1 / 4, 1 / 2, 1, 2, 5, 10, 20, 50];
const MOST_TICKS = 16;

/** Of what is only limited upwards the scale shows the upper quarter. */
const OF_A_MOST = { low: 0.75, high: 1.1 };

/** The scale reaches half a tolerance beyond both limits, and as far as the reading. */
export function gauge(tolerance: GaugeTolerance, value: number | null, error: number, width: number): Gauge {
  const span = tolerance.high - tolerance.low;
  const ends = [
    ...(tolerance.atMost
      ? [tolerance.high * OF_A_MOST.low, tolerance.high * OF_A_MOST.high]
      : [tolerance.low - span / 2, tolerance.high + span / 2]),
    ...(value === null ? [] : [value]),
  ];
  const low = Math.min(...ends);
  const high = Math.max(...ends);
  const along = scale(low, high, 0, width);
  const x = (at: number) => Math.round(along(at) * 10) / 10;
  const step = STEPS.find((s) => (high - low) / s <= MOST_TICKS) ?? (high - low) / MOST_TICKS;
  const ticks: Gauge['ticks'] = [];
  for (let k = Math.ceil(low / step); k * step <= high; k++) ticks.push({ x: x(k * step), value: k * step });
  return {
    x,
    ticks,
    low: tolerance.atMost ? 0 : x(tolerance.low),
    high: x(tolerance.high),
    aim: x(tolerance.aim),
    at: value === null ? null : x(value),
    error: value === null ? null : [x(value - error), x(value + error)],
  };
}

/** A length in inches as the trade reads a rule: whole inches and sixteenths, else two decimals. */
export function sixteenths(inches: number): string {
  const all = Math.abs(inches) * 16;
  const rounded = Math.round(all);
  const sign = inches < 0 ? '\u2212' : '';
  if (Math.abs(all - rounded) > 1e-6) return `${sign}${Math.abs(inches).toFixed(2)}`;
  const whole = Math.floor(rounded / 16);
  const rest = rounded % 16;
  if (rest === 0) return `${sign}${whole}`;
  const by = rest % 8 === 0 ? 8 : rest % 4 === 0 ? 4 : rest % 2 === 0 ? 2 : 1;
  return `${sign}${whole ? `${whole} ` : ''}${rest / by}/${16 / by}`;
}
