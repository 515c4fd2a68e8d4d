import { seeded } from './seeded';

/** A tear in inches, x right and y up, from the point's hole. */
export interface TearShape {
  x: number;
  y: number;
}

const POINT_RADIUS = 0.13;
const TAIL_RADIUS = 0.14;
const VANE_REACH = 0.42;
const r = (value: number) => Math.round(value * 10) / 10;

/** All pieces turn the same way round, so that they fill where they overlap. A tear as it looks: ragged point hole, narrowing slit, tail hole, one tapering cut for each vane. Origin is the point's hole; y down. */
export function tearPath(tear: TearShape, px: number, seed: string, vanes: number): string {
  const random = seeded(seed);
  const tail = { x: tear.x * px, y: -tear.y * px };
  const parts = [ragged(0, 0, POINT_RADIUS * px, random), ragged(tail.x, tail.y, TAIL_RADIUS * px, random)];
  const long = Math.hypot(tail.x, tail.y);
  if (long > POINT_RADIUS * px) parts.push(slit(tail, long, px, random));
  const first = random() * 0.5;
  for (let i = 0; i < vanes; i++) parts.push(cut(tail, first + (2 * Math.PI * i) / vanes, px, random));
  return parts.join('');
}

function ragged(cx: number, cy: number, radius: number, random: () => number): string {
  const corners = Array.from({ length: 11 }, (_, i) => {
    const angle = (2 * Math.PI * i) / 11;
    const out = radius * (0.86 + 0.28 * random());
    return `${r(cx + out * Math.cos(angle))} ${r(cy + out * Math.sin(angle))}`;
  });
  return `M${corners.join('L')}Z`;
}

function slit(tail: { x: number; y: number }, long: number, px: number, random: () => number): string {
  const nx = -tail.y / long;
  const ny = tail.x / long;
  const wide = POINT_RADIUS * 0.8 * px;
  const narrow = (0.05 + 0.03 * random()) * px;
  const along = (share: number, side: number) => `${r(tail.x * share + nx * side)} ${r(tail.y * share + ny * side)}`;
  return `M${along(0, -wide)}L${along(0.6, -narrow)}L${along(1, -wide)}L${along(1, wide)}L${along(0.55, narrow * 0.8)}L${along(0, wide)}Z`;
}

function cut(tail: { x: number; y: number }, angle: number, px: number, random: () => number): string {
  const bend = angle + (random() - 0.5) * 0.35;
  const reach = (VANE_REACH + 0.16 * random()) * px;
  const half = 0.055 * px;
  const nx = -Math.sin(angle) * half;
  const ny = Math.cos(angle) * half;
  return `M${r(tail.x - nx)} ${r(tail.y - ny)}L${r(tail.x + reach * Math.cos(bend))} ${r(tail.y + reach * Math.sin(bend))}L${r(tail.x + nx)} ${r(tail.y + ny)}Z`;
}

/** Pixels to the inch at twice, once or half life size, chosen so that the farthest place fits. */
export function sheetScale(reachInches: number, halfPixels: number): { px: number; words: string } {
  const scales = [
    { px: 192, words: '2 : 1, twice life size' },
    { px: 96, words: '1 : 1' },
    { px: 48, words: '1 : 2, half size' },
  ];
  return scales.find((s) => reachInches * s.px <= halfPixels) ?? { px: 24, words: '1 : 4, quarter size' };
}

/** Where a tail lies while it is being marked, as a person says it: never a minus sign. */
export function tailWords(tear: TearShape, figure: (value: number, unit: string, decimals: number) => string): string {
  const said = (inches: number, plus: string, minus: string, none: string) =>
    Math.abs(inches) < 0.005
      ? `${figure(0, 'in', 0)} ${none}`
      : `${figure(Math.abs(inches), 'in', 2)} ${inches > 0 ? plus : minus}`;
  return `${said(tear.x, 'right', 'left', 'sideways')}, ${said(tear.y, 'high', 'low', 'in height')}`;
}

/** What stands at the lower right of a sheet: as wide and as high as its three lines are. */
const LEGEND = { width: 262, height: 104 };
const EDGE = 60;

/** How high a shot's number stands: on the sheet, and above the legend where it would lie under it. */
export function flagHeight(x: number, y: number, width: number, height: number): number {
  const lowest = x > width - LEGEND.width ? height - LEGEND.height : height - EDGE;
  return Math.max(EDGE, Math.min(lowest, y));
}
