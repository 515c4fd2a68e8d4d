/** Outlines of a strung bow in a 100 × 200 box: archer at the left, shooting right. */

export type BowKind = 'compound' | 'recurve' | 'barebow' | 'longbow';

/** The straight of a string: where it stands, and from where to where it can be read like a gauge. */
export interface StringLine {
  x: number;
  top: number;
  bottom: number;
}

export interface BowOutline {
  limbs: string;
  string: string;
  cables: string;
  grip: string;
  straight: StringLine;
  /** The box that it fills: from x, so wide. */
  box: { x: number; width: number };
  cams: { x: number; y: number; r: number }[];
}

const compound: BowOutline = {
  limbs: 'M36 14 L61 60 M36 186 L61 140',
  string: 'M24 16 L24 184',
  straight: { x: 24, top: 20, bottom: 180 },
  box: { x: 14, width: 64 },
  cables: 'M29 18 L38 184 M38 16 L29 182',
  grip: 'M61 60 C70 70 73 78 70 88 C68 96 64 100 65 108 C66 118 73 124 61 140',
  cams: [
    { x: 34, y: 14, r: 10 },
    { x: 34, y: 186, r: 10 },
  ],
};

const recurve: BowOutline = {
  limbs: 'M22 8 C34 10 36 30 44 44 C54 58 58 72 58 84 M22 192 C34 190 36 170 44 156 C54 142 58 128 58 116',
  string: 'M22 8 L27 24 L27 176 L22 192',
  straight: { x: 27, top: 24, bottom: 176 },
  box: { x: 14, width: 82 },
  cables: '',
  grip: 'M58 84 C64 92 64 108 58 116',
  cams: [],
};

const longbow: BowOutline = {
  limbs: 'M24 6 C46 40 58 70 58 90 M24 194 C46 160 58 130 58 110',
  string: 'M24 6 L24 194',
  straight: { x: 24, top: 10, bottom: 190 },
  box: { x: 14, width: 52 },
  cables: '',
  grip: 'M58 90 L58 110',
  cams: [],
};

export function bowOutline(kind: BowKind): BowOutline {
  if (kind === 'compound') return compound;
  return kind === 'longbow' ? longbow : recurve;
}

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
