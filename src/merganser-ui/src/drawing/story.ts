import { bounded, scale } from './chart';

/** A sign of the story, drawn in a field of 22 by 16. */
export const signPaths = {
  setup: 'M3 14V3H19V14M8 3V9M14 3V9',
  moves: 'M4 11A7 7 0 1 1 18 9M14 8L18 11L21 7',
  paper: 'M3 8H14M3 8L7 4M3 8L7 12M14 8A3 3 0 1 0 20 8A3 3 0 1 0 14 8',
  groups: 'M4 8A7 6.5 0 1 0 18 8A7 6.5 0 1 0 4 8M8 7h.1M12 6h.1M11 10h.1',
  speed: 'M3 3V13M20 8H3M16 4L20 8L16 12',
  arrows: 'M2 8H20M20 8L15 5M20 8L15 11M2 5L5 8L2 11',
  notes: 'M4 4H18M4 8H18M4 12H12',
  due: 'M11 2V14M5 8H17',
} as const;

export interface Dated {
  at: string;
  length: number;
  low: number;
  high: number;
}

const DAY = 86_400_000;
const LEAST_REACH = 0.6;
const AIR = 1.12;

/** Tears over days in a frame: where each stands, and round marks of inches. */
export function stripFrame(
  tears: readonly Dated[],
  marks: readonly string[],
  { left, right, top, bottom }: { left: number; right: number; top: number; bottom: number },
) {
  const times = [...tears.map((t) => t.at), ...marks].map((at) => new Date(at).getTime());
  const [from, to] = [Math.min(...times), Math.max(...times)];
  // A single evening is as wide as a day.
  const room = Math.max(0, DAY - (to - from)) / 2;
  const most = Math.max(LEAST_REACH, ...tears.map((t) => t.high)) * AIR;
  const at = scale(from - room, to + room, left, right);
  const y = bounded(0, most, bottom, top);
  const step = most > 2.2 ? 1 : 0.5;
  return {
    x: (time: string) => at(new Date(time).getTime()),
    y,
    ticks: Array.from({ length: Math.floor(most / step) + 1 }, (_, i) => i * step),
  };
}
