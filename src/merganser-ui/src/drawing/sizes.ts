import { scale } from './chart';
import { roundStep } from './target';

/** A day's size with its band, inches. */
export interface Sized {
  spread: number;
  low: number;
  high: number;
}

const MOST_LINES = 6;
const AIR = 1.08;
/** No band is drawn wider than so many of the widest spread: two hits know next to nothing. */
const WIDEST = 2.5;

/** Where days stand side by side and sizes upwards from nought, with round lines of a unit of so many inches. */
export function sizesFrame(
  { left, right, top, bottom }: { left: number; right: number; top: number; bottom: number },
  days: Sized[],
  unit = 1,
) {
  const widest = Math.max(...days.map((d) => d.spread), 0.1);
  const most = Math.min(Math.max(...days.map((d) => d.high), widest), WIDEST * widest) * AIR;
  const step = (roundStep(most / unit, MOST_LINES) ?? 10) * unit;
  const y = scale(0, most, bottom, top);
  const wide = (right - left) / Math.max(1, days.length);
  return {
    most,
    y,
    /** The middle of a day's column. */
    x: (day: number) => left + wide * (day + 0.5),
    wide,
    ticks: Array.from({ length: Math.floor(most / step) + 1 }, (_, i) => i * step),
  };
}
