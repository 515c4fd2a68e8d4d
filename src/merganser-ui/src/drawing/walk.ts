import { area, line } from 'd3-shape';
import { scale, type Scale } from './chart';
import { roundStep } from './target';

/** The frame of a walk-back: distances stand up the sheet, inches across it. */
export interface WalkFrame {
  /** From inches beside the plumb line to pixels. */
  x: Scale;
  /** From yards to pixels; the nearest stands lowest. */
  y: Scale;
  /** Inches to be written below it. */
  ticks: number[];
  /** Inches to its edge. */
  half: number;
}

interface Point {
  yards: number;
  at: number;
  plus: number;
}

const FEWEST = 3;

/**
 * @param box where it is drawn, pixels
 * @param yards the distances
 * @param places inches that must be seen beside the plumb line
 * @param unit inches in the unit that is written
 */
export function walkFrame(
  box: { left: number; right: number; top: number; bottom: number },
  yards: number[],
  places: number[],
  unit = 1,
): WalkFrame {
  const far = Math.max(2, ...places.map(Math.abs)) * 1.08;
  const step = (roundStep(far / unit, FEWEST) ?? Math.ceil(far / unit / FEWEST)) * unit;
  const [near, farthest] = [Math.min(...yards), Math.max(...yards)];
  return {
    x: scale(-far, far, box.left, box.right),
    y: scale(near, farthest, box.bottom, box.top),
    ticks: Array.from({ length: 2 * FEWEST + 1 }, (_, i) => (i - FEWEST) * step).filter((t) => Math.abs(t) <= far),
    half: far,
  };
}

/** The fitted drift, and the band that holds it with 95 %. */
export function driftPaths({ x, y }: WalkFrame, points: Point[]): { middle: string; band: string } {
  const middle = line<Point>(
    (p) => x(p.at),
    (p) => y(p.yards),
  ).digits(1);
  const band = area<Point>()
    .x0((p) => x(p.at - p.plus))
    .x1((p) => x(p.at + p.plus))
    .y((p) => y(p.yards))
    .digits(1);
  return { middle: middle(points) ?? '', band: band(points) ?? '' };
}

/** What a cause of drift looks like on three distances, as a type: places beside the plumb line, 0 to 1. */
export const shapes = {
  windage: [0.25, 0.5, 0.75],
  curve: [0, 0.28, 0.85],
  wind: [0.09, 0.36, 0.81],
  centreShot: [0, 0.03, 0.06],
} as const;
