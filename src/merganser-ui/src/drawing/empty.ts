import { arrowFromAbove, circle, compound, nock, string } from './pieces';

/** What may stand on a page, drawn empty: in open strokes, inside a frame of its own. */
export interface EmptyDrawing {
  /** Left, top, width and height of what is seen. */
  frame: [number, number, number, number];
  path: string;
}

const row = (count: number, of: (i: number) => string) => Array.from({ length: count }, (_, i) => of(i)).join('');

/** A rail, and under each peg where a bow would hang. */
const rack = `M20 24H500${row(6, (i) => {
  const x = 70 + 76 * i;
  return `M${x} 24v18M${x - 8} 48V172M${x - 8} 48c34 24 34 100 0 124`;
})}`;

/** A tray of twelve places, a shaft's outline in each. */
const dozen = row(12, (i) => `M${22 + 40 * i} 24h32v112h-32ZM${34 + 40 * i} 34h8v92h-8Z`);

/** A sheet of paper in its frame, without a hole. */
const paper = `M110 16H410V184H110ZM110 58H410M110 100H410M110 142H410M185 16V184M260 16V184M335 16V184`;

/** A string with the knots of days, and the lines that will hang there. */
const story = `M120 10V190${row(4, (i) => `${circle(120, 34 + 44 * i, 6)}M146 ${34 + 44 * i}h${[200, 150, 230, 120][i]}`)}`;

/** Days on a line, the day that is waited for marked. */
const plan = `M30 110H490${row(13, (i) => `M${42 + 36 * i} 102v16`)}M402 92l-11 -18h22ZM402 118v38h70`;

/** A card with lines to be ticked. */
const visit = `M140 14H380V186H140Z${row(4, (i) => `M160 ${40 + 36 * i}h16v16h-16ZM190 ${48 + 36 * i}h${[150, 120, 160, 90][i]}`)}`;

/** A line of sight, an arrow's way under it, circles that widen. */
const range = `M30 50H490M30 74C160 22 320 30 490 120${circle(130, 150, 8)}${circle(280, 150, 16)}${circle(430, 150, 26)}`;

/** Copies lying one on the other. */
const data = 'M180 54a80 22 0 1 0 160 0a80 22 0 1 0 -160 0V146a80 22 0 0 0 160 0V54M180 100a80 22 0 0 0 160 0';

/** Sizes over days, none on record. */
const sizes = `M80 14V176H470${row(5, (i) => `M${140 + 70 * i} 176v8${circle(140 + 70 * i, 110, 7)}`)}`;

/** Arrows one under the other about the weight that all come to. */
const stairs = `M260 10V190${row(8, (i) => `M${190 + 20 * i} ${22 + 22 * i}h${140 - 40 * i}`)}`;

/** Heads side by side. */
const heads = row(9, (i) => `M${60 + 50 * i} 20l14 52h-9v42h-10v-42h-9Z`);

/** A sight's tape without marks. */
const tape = `M210 10H310V190H210Z${row(8, (i) => `M210 ${30 + 20 * i}h${i % 2 === 0 ? 36 : 20}`)}`;

/** A string under the nock, to be counted down along its serving. */
const crawl = `M240 10V190M256 10V190M256 84H400V100H256ZM240 84l-18 -8M240 100l-18 8${row(5, (i) => `M232 ${120 + 14 * i}h32`)}`;

/** An adjuster's scale without a mark. */
const adjuster = `M60 110H460${row(11, (i) => `M${60 + 40 * i} ${i === 5 ? 90 : 98}V110`)}`;

const WIDE: EmptyDrawing['frame'] = [0, 0, 520, 200];

export const EMPTY = {
  rack: { frame: [0, 10, 520, 172], path: rack },
  bow: { frame: [200, 10, 220, 250], path: compound.ink + compound.thin },
  arrow: { frame: [70, 84, 540, 90], path: arrowFromAbove },
  nock: { frame: [220, 10, 230, 250], path: string + nock },
  dozen: { frame: [0, 10, 520, 140], path: dozen },
  paper: { frame: WIDE, path: paper },
  story: { frame: WIDE, path: story },
  plan: { frame: WIDE, path: plan },
  visit: { frame: WIDE, path: visit },
  range: { frame: WIDE, path: range },
  data: { frame: WIDE, path: data },
  sizes: { frame: WIDE, path: sizes },
  stairs: { frame: WIDE, path: stairs },
  heads: { frame: [0, 10, 520, 120], path: heads },
  tape: { frame: WIDE, path: tape },
  crawl: { frame: WIDE, path: crawl },
  adjuster: { frame: [40, 70, 440, 60], path: adjuster },
} satisfies Record<string, EmptyDrawing>;

export type EmptyThing = keyof typeof EMPTY;
