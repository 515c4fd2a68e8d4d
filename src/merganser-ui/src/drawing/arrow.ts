/** From an arrow's measures to paths, shooting right, nock throat at 0. Pure: inches in, pixels out. */

export interface Layout {
  scale: number;
  x: (inches: number) => number;
}

const MARGIN = 24;
const MOST = 40;

/** At most 40 px to the inch, so that the arrow and its point fit the width. */
export function layout(width: number, length: number): Layout {
  const scale = Math.min(MOST, (width - 2 * MARGIN) / (length + 1.5));
  return { scale, x: (inches) => MARGIN + 16 + inches * scale * ((width - 2 * MARGIN - 16) / (width - 2 * MARGIN)) };
}

export interface ArrowMeasures {
  cutLength: number;
  tubeStart: number;
  diameter: number;
  pointLength: number;
  head: boolean;
  insertFrom: number | null;
  insertTo: number | null;
  wrapTo: number | null;
  vaneFront: number;
  vaneLength: number;
  vaneHeight: number;
  vaneCount: number;
  /** What stands at the ends besides: over the shaft, or inside it. */
  ends: { from: number; to: number; over: boolean }[];
}

export interface ArrowPaths {
  nock: string;
  tube: string;
  wrap: string | null;
  insert: string | null;
  vaneUp: string | null;
  vaneDown: string | null;
  point: string;
  over: string[];
  inside: string[];
}

const r = (value: number) => Math.round(value * 100) / 100;

const box = (x1: number, x2: number, y: number, half: number) =>
  `M${r(x1)} ${r(y - half)}H${r(x2)}V${r(y + half)}H${r(x1)}Z`;

export function arrowPaths(arrow: ArrowMeasures, at: Layout, y: number, thickness = 1): ArrowPaths {
  const px = at.x(1) - at.x(0);
  const half = (arrow.diameter * px * thickness) / 2;
  const start = at.x(arrow.tubeStart);
  const end = at.x(arrow.cutLength);
  const ends = (over: boolean) =>
    arrow.ends
      .filter((part) => part.over === over)
      .map((part) => box(at.x(part.from), at.x(part.to), y, half * (over ? 1.3 : 0.6)));
  return {
    nock: nock(at.x(0), start, y, half),
    tube: box(start, end, y, half),
    wrap: arrow.wrapTo === null ? null : box(start, at.x(arrow.wrapTo), y, half),
    insert:
      arrow.insertFrom === null
        ? null
        : box(at.x(arrow.insertFrom), at.x(arrow.insertTo ?? arrow.cutLength), y, half * 0.7),
    vaneUp: vane(arrow, at, y - half, -px),
    vaneDown: vane(arrow, at, y + half, px * 0.5),
    point: point(arrow, end, px, y, half),
    over: ends(true),
    inside: ends(false),
  };
}

function nock(throat: number, start: number, y: number, half: number): string {
  const lip = half * 0.85;
  return `M${r(start)} ${r(y - half)}L${r(throat - half)} ${r(y - lip)}V${r(y - lip / 3)}H${r(throat + half)}V${r(y + lip / 3)}H${r(throat - half)}V${r(y + lip)}L${r(start)} ${r(y + half)}Z`;
}

function vane(arrow: ArrowMeasures, at: Layout, y: number, rise: number): string | null {
  if (arrow.vaneCount === 0) return null;
  const back = at.x(arrow.vaneFront - arrow.vaneLength);
  const front = at.x(arrow.vaneFront);
  const long = front - back;
  const top = y + rise * arrow.vaneHeight;
  return `M${r(back)} ${r(y)}L${r(back + long * 0.05)} ${r(top)}H${r(back + long * 0.4)}Q${r(back + long * 0.7)} ${r(y + (top - y) * 0.7)} ${r(front)} ${r(y)}Z`;
}

function point(arrow: ArrowMeasures, end: number, px: number, y: number, half: number): string {
  const tip = end + arrow.pointLength * px;
  if (!arrow.head)
    return `M${r(end)} ${r(y - half)}H${r(end + (tip - end) * 0.5)}Q${r(end + (tip - end) * 0.8)} ${r(y - half * 0.7)} ${r(tip)} ${r(y)}Q${r(end + (tip - end) * 0.8)} ${r(y + half * 0.7)} ${r(end + (tip - end) * 0.5)} ${r(y + half)}H${r(end)}Z`;
  const wide = 0.5 * px;
  const back = end + (tip - end) * 0.3;
  return `M${r(end)} ${r(y - half)}H${r(back)}L${r(back)} ${r(y - wide)}L${r(tip)} ${r(y)}L${r(back)} ${r(y + wide)}V${r(y + half)}H${r(end)}Z`;
}

export interface Tick {
  x: number;
  size: 'whole' | 'half' | 'part';
  label: string | null;
}

/** How a ruler is divided: its smallest part in inches, how many make a half and a whole, what a whole counts. */
export interface Ruler {
  part: number;
  half: number;
  whole: number;
  counts: number;
}

/** The marks of a ruler over so many inches, labelled on the whole. */
export function rulerTicks(at: Layout, inches: number, ruler: Ruler): Tick[] {
  return Array.from({ length: Math.floor(inches / ruler.part + 1e-9) + 1 }, (_, i) => ({
    x: r(at.x(i * ruler.part)),
    size: i % ruler.whole === 0 ? 'whole' : i % ruler.half === 0 ? 'half' : 'part',
    label: i % ruler.whole === 0 ? String((i / ruler.whole) * ruler.counts) : null,
  }));
}
