import { scale, type Scale } from './chart';

interface Box {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

interface At {
  x: number;
  y: number;
}

/** Two figures against each other, as wide as what is drawn, on round numbers. */
export function tradeOff(points: readonly At[], box: Box): { x: Scale; y: Scale } {
  const range = (values: number[]): [number, number] => {
    const [low, high] = [Math.min(...values), Math.max(...values)];
    const room = (high - low || Math.abs(high) * 0.1 || 1) * 0.05;
    return [low - room, high + room];
  };
  const [left, right] = range(points.map((p) => p.x));
  const [low, high] = range(points.map((p) => p.y));
  return {
    x: scale(left, right, box.left, box.right).nice(10),
    y: scale(low, high, box.bottom, box.top).nice(10),
  };
}

/** The edge as a stair: from each build down to the next one's height. */
export function stairPath(edge: readonly At[]): string {
  return edge.map((p, i) => (i === 0 ? `M${p.x} ${p.y}` : `V${p.y}H${p.x}`)).join('');
}

const ways = Array.from({ length: 12 }, (_, i) => [Math.cos((i * Math.PI) / 6), Math.sin((i * Math.PI) / 6)] as const);
const AWAY = 34;
const DISC = 14;

/** Where the number of each listed build stands: beside its dot, away from the other numbers and inside the box. */
export function discPlaces(dots: readonly At[], box: Box, avoid: readonly At[] = []): At[] {
  const placed: At[] = [];
  for (const dot of dots) {
    const candidates = [AWAY, AWAY * 1.7, AWAY * 2.5].flatMap((away) =>
      ways.map(([cos, sin]) => ({ x: dot.x + away * cos, y: dot.y + away * sin })),
    );
    const inside = candidates.filter(
      (c) => c.x > box.left + DISC && c.x < box.right - DISC && c.y > box.top + DISC && c.y < box.bottom - DISC,
    );
    const clear = (c: At) =>
      Math.min(
        ...placed.map((p) => Math.hypot(p.x - c.x, p.y - c.y)),
        ...[...dots, ...avoid].map((d) => Math.hypot(d.x - c.x, d.y - c.y)),
        3 * DISC,
      );
    const best = (inside.length > 0 ? inside : candidates).reduce((a, b) => (clear(b) > clear(a) + 0.5 ? b : a));
    placed.push(best);
  }
  return placed;
}

/** The nearest of some places to a press, within so many pixels. */
export function nearestPlace<T extends At>(places: readonly T[], at: At, within: number): T | null {
  let best: T | null = null;
  let least = within;
  for (const place of places) {
    const away = Math.hypot(place.x - at.x, place.y - at.y);
    if (away <= least) [best, least] = [place, away];
  }
  return best;
}
