import type { KeyboardEvent } from 'react';
import type { Hole } from './paperTypes';

/** The finest place that is marked, inches. */
const STEP = 0.05;

const ways: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** Where an arrow key takes a mark, with Shift by wider steps; null for any other key. */
export function steppedBy(event: KeyboardEvent, from: Hole, wide: number): Hole | null {
  const way = ways[event.key];
  if (!way) return null;
  event.preventDefault();
  const step = event.shiftKey ? wide : STEP;
  return { x: rounded(from.x + step * way[0]), y: rounded(from.y + step * way[1]) };
}

/** A place as it is kept: hundredths of an inch. */
export const rounded = (inches: number) => Math.round(inches * 100) / 100;
