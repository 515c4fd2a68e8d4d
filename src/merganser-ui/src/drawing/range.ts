import { area } from 'd3-shape';
import { linePath, scale, type Scale } from './chart';

interface Flown {
  yards: number;
  height: number;
  low: number | null;
  high: number | null;
}

interface Struck {
  yards: number;
  above: number;
  below: number;
  ring: number;
}

export interface RangeFrame {
  /** From yards to pixels along the one ruler. */
  x: Scale;
  /** The line of sight of the path above, pixels. */
  sight: number;
  /** The line of sight of the circles below, pixels. */
  line: number;
  /** Pixels in an inch of the path. */
  tall: number;
  /** Pixels in an inch of the circles. */
  px: number;
  /** The ruler, pixels. */
  ruler: number;
  /** How many times the path's height is drawn. */
  times: number;
}

const MOST_PX = 9.5;
const BELOW_THE_LINE = 0.62;

/**
 * The path above and what is hit below, over one ruler of distance.
 * @param box where it is drawn, pixels
 * @param to how far, yards
 * @param path heights over the line of sight, inches
 * @param struck what is hit at distances, inches
 * @param radius of the circle that is allowed, inches
 */
export function rangeFrame(
  box: { left: number; right: number; top: number; bottom: number },
  to: number,
  path: Flown[],
  struck: Struck[],
  radius: number,
): RangeFrame {
  const x = scale(0, to, box.left, box.right);
  const parts = struck.length > 0 ? 0.34 : 0.8;
  const pathHeight = (box.bottom - box.top) * parts;
  const highest = Math.max(1, ...path.map((p) => p.height));
  const lowest = Math.max(6, Math.min(highest * 3, -Math.min(0, ...path.map((p) => p.height))));
  const tall = pathHeight / (highest + lowest);
  const below = box.bottom - box.top - pathHeight;
  const reach = Math.max(radius, ...struck.map((s) => Math.max(Math.abs(s.above), Math.abs(s.below)) + s.ring));
  const px = Math.min(MOST_PX, (below * BELOW_THE_LINE) / reach);
  return {
    x,
    sight: box.top + highest * tall,
    line: box.top + pathHeight + below * 0.5,
    tall,
    px: Math.min(px, (below * 0.46) / reach),
    ruler: box.bottom,
    times: Math.max(1, Math.round((tall * 36) / (x(1) - x(0)))),
  };
}

/** The arrow's path, and the band of a speed that is not measured; cut where it leaves the drawing. */
export function flightPaths({ x, sight, tall }: RangeFrame, path: Flown[], bottom: number) {
  const y = (inches: number) => sight - inches * tall;
  const inside = path.filter((p) => y(p.height) <= bottom);
  const banded = inside.filter((p) => p.low !== null && p.high !== null);
  const band = area<Flown>()
    .x((p) => x(p.yards))
    .y0((p) => y(p.low!))
    .y1((p) => y(p.high!))
    .digits(1);
  return { middle: linePath(inside.map((p) => [x(p.yards), y(p.height)])), band: band(banded) ?? '' };
}

/** Outer edges of what is hit with the range read wrong, and the band of its middle. */
export function struckPaths({ x, line, px }: RangeFrame, struck: Struck[]) {
  const along = (inches: (s: Struck) => number) =>
    linePath(struck.map((s) => [x(s.yards), line - inches(s) * px] as const));
  const band = area<Struck>()
    .x((s) => x(s.yards))
    .y0((s) => line - s.above * px)
    .y1((s) => line - s.below * px)
    .digits(1);
  return {
    top: along((s) => Math.max(s.above, s.below) + s.ring),
    bottom: along((s) => Math.min(s.above, s.below) - s.ring),
    above: along((s) => s.above),
    below: along((s) => s.below),
    band: band(struck) ?? '',
  };
}

/** Where the marks of a tape stand, pixels from its first; labels that would touch stand on two sides. */
export function tapeFrame(marks: { inches: number }[], length: number) {
  const far = Math.abs(marks.at(-1)?.inches ?? 0) || 1;
  return { at: (inches: number) => (Math.abs(inches) / far) * length, times: length / 96 / far };
}
