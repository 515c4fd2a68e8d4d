import { circle } from './pieces';

/** Outlines of a strung bow in a 100 × 200 box: archer at the left, shooting right. */

export type BowKind = 'compound' | 'recurve' | 'barebow' | 'longbow';

/** The straight of a string: where it stands, and from where to where it can be read like a gauge. */
export interface StringLine {
  x: number;
  top: number;
  bottom: number;
}

export interface BowOutline {
  /** Strokes. */
  limbs: string;
  /** Filled: a riser with its grip, its shelf and the pockets of the limbs. */
  riser: string;
  string: string;
  cables: string;
  /** What is fitted to it, as thin strokes: rest, sight, cable guard, clicker, stabiliser. */
  fittings: string;
  /** Filled: weights. */
  weights: string;
  /** The cams, each with its module. */
  cams: { x: number; y: number; r: number }[];
  modules: string;
  straight: StringLine;
  /** The box that it fills: from x, so wide. */
  box: { x: number; width: number };
}

/** Both ends of a bow that is alike above and below its middle: each path once as it is, once mirrored. */
const twice = (path: (y: (up: number) => number) => string) => path((y) => y) + path((y) => 200 - y);

const compound: BowOutline = {
  limbs: twice((y) => `M36 ${y(13)}C46 ${y(22)} 54 ${y(34)} 62 ${y(50)}`),
  riser: [
    twice((y) => `M56 ${y(50)}L62 ${y(43)}L70 ${y(50)}L67 ${y(60)}L60 ${y(60)}Z`),
    'M61 60C66 67 68 75 66 82H61V88C66 90 67 95 64 101C62 109 65 115 67 121C68 129 66 135 61 140L67 142',
    'C78 132 79 120 75 112C72 105 71 98 74 90C80 80 78 68 67 58Z',
  ].join(''),
  string: 'M24 16L24 184',
  straight: { x: 24, top: 20, bottom: 180 },
  cables: 'M30 20L41 105L37 184M38 16L41 112L31 180',
  fittings: `M67 108H41M41 104V112M61 85L55 82M55 79V84M76 74H87${circle(92, 74, 5)}M92 70V75M76 112H86`,
  weights: 'M86 108H91V116H86Z',
  cams: [
    { x: 34, y: 14, r: 10 },
    { x: 34, y: 186, r: 10 },
  ],
  modules: twice((y) => `M30 ${y(6)}C40 ${y(9)} 40 ${y(19)} 31 ${y(22)}`),
  box: { x: 14, width: 84 },
};

/** What a recurve and a barebow have alike. */
const takeDown = {
  limbs: twice((y) => `M22 ${y(8)}C33 ${y(9)} 35 ${y(26)} 41 ${y(38)}C45 ${y(46)} 49 ${y(51)} 53 ${y(58)}`),
  riser: [
    'M48 57L56 52C62 65 67 75 65 82H60V89C66 91 66 97 62 103C60 110 64 114 65 119C66 129 61 139 56 148L48 143',
    'C54 133 56 123 55 116C52 108 52 92 55 84C56 75 54 66 48 57Z',
  ].join(''),
  string: 'M22 8L27 24L27 176L22 192',
  straight: { x: 27, top: 24, bottom: 176 },
  cables: '',
  cams: [],
  modules: '',
  box: { x: 14, width: 86 },
};

const recurve: BowOutline = {
  ...takeDown,
  fittings: `M60 85L54 83M58 66L57 85M64 72H80M80 54V90${circle(85, 72, 4)}M64 112H94M62 118L46 131`,
  weights: 'M94 108H98V116H94ZM44 129L49 133L47 136L42 132Z',
};

const barebow: BowOutline = {
  ...takeDown,
  fittings: 'M60 85L54 83',
  weights: circle(61, 131, 5),
};

const longbow: BowOutline = {
  limbs: 'M24 6C46 40 58 70 58 90V110C58 130 46 160 24 194',
  riser: 'M55 90C60 91 62 91 62 92V108C62 109 60 109 55 110Z',
  string: 'M24 6L24 194',
  straight: { x: 24, top: 10, bottom: 190 },
  cables: '',
  fittings: 'M20 8L27 5M20 192L27 195M55 94H62M55 98H62M55 102H62M55 106H62',
  weights: '',
  cams: [],
  modules: '',
  box: { x: 14, width: 52 },
};

const outlines: Record<BowKind, BowOutline> = { compound, recurve, barebow, longbow };

export const bowOutline = (kind: BowKind): BowOutline => outlines[kind];

/** The shots of a string as a gauge shows them. */
export interface StringShots {
  shots: number;
  /** Shots at the far end. */
  span: number;
  checksAt: number[];
  /** The next check, and whether it is due. */
  nextCheck?: number | null;
  due: boolean;
}

/** Where it is looked at, and whether it is time. */
export const checksOf = ({ checksAt, nextCheck, due }: StringShots) =>
  checksAt.map((at) => ({ at, due: due && at === nextCheck }));

/** How far down the gauge so many shots are, 0 to 1. */
export const along = (shots: number, span: number) => Math.min(1, Math.max(0, shots / span));

/** The part of the string that was shot, and a cross for each check. */
export function stringMarks({ x, top, bottom }: StringLine, string: StringShots) {
  const y = (at: number) => Math.round((top + (bottom - top) * along(at, string.span)) * 10) / 10;
  return {
    shot: `M${x} ${top}V${y(string.shots)}`,
    checks: checksOf(string).map(({ at, due }) => ({ d: `M${x - 7} ${y(at)}H${x + 3}`, due })),
  };
}
