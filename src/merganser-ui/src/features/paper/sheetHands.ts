import type { KeyboardEvent, PointerEvent } from 'react';
import { focusInSight } from '../../shell/focus';
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
export function steppedBy(event: KeyboardEvent, from: Hole, wide: number, fine = STEP): Hole | null {
  const way = ways[event.key];
  if (!way) return null;
  event.preventDefault();
  const step = event.shiftKey ? wide : fine;
  return { x: rounded(from.x + step * way[0]), y: rounded(from.y + step * way[1]) };
}

/** The cross rides so far above a finger that the finger does not hide it, pixels. */
const FINGER = 60;

/** Where a pointer presses on a drawing so many units wide, its origin at (cx, cy), px to the inch. */
export function placeUnder(
  event: PointerEvent,
  drawing: SVGSVGElement,
  { width, cx, cy, px }: { width: number; cx: number; cy: number; px: number },
): Hole {
  const box = drawing.getBoundingClientRect();
  const k = width / box.width;
  const above = event.pointerType === 'touch' ? FINGER : 0;
  return {
    x: rounded(((event.clientX - box.left) * k - cx) / px),
    y: rounded((cy - (event.clientY - above - box.top) * k) / px),
  };
}

/** A place as it is kept: hundredths of an inch. */
const rounded = (inches: number) => Math.round(inches * 100) / 100;

/** What is marked next has the keys. */
export const focusSheet = () => focusInSight(document.querySelector<SVGElement>('[data-testid=marking-sheet]'));
