import { scaleLinear, type ScaleLinear } from 'd3-scale';
import { line } from 'd3-shape';

export type Scale = ScaleLinear<number, number>;

/** From values to pixels, in a straight line; both ways. */
export const scale = (from: number, to: number, start: number, end: number): Scale =>
  scaleLinear().domain([from, to]).range([start, end]);

/** The same, with a value beyond an end standing at it. */
export const bounded = (from: number, to: number, start: number, end: number): Scale =>
  scale(from, to, start, end).clamp(true);

type Point = readonly [x: number, y: number] | null;

const through = line<Point>(
  (point) => point![0],
  (point) => point![1],
)
  .defined((point) => point !== null)
  .digits(1);

/** A line through points, as a path; the pen is lifted where there is none. */
export const linePath = (points: readonly Point[]): string => through([...points]) ?? '';

/** Whole multiples of a step within a scale. */
export function ticksOf(at: Scale, step: number): number[] {
  const [from, to] = at.domain() as [number, number];
  return to < from ? [] : at.ticks(Math.round((to - from) / step));
}

/** The nearest entry of an ascending list. */
export function nearestIndex(list: readonly number[], value: number): number {
  let best = 0;
  list.forEach((entry, i) => {
    if (Math.abs(entry - value) < Math.abs(list[best]! - value)) best = i;
  });
  return best;
}
