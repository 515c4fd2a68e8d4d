import type { Schemas } from '../api/client';
import { circle } from './pieces';

/** What is seen when something is wrong, drawn small in a box of 72 by 56: ink what is there, red what is wrong. */
export interface TroubleShapes {
  thin: string;
  ink: string;
  red: string;
}

const DOT = 3.5;
const square = (x: number, y: number) => `M${x - 3.5} ${y - 3.5}h7v7h-7z`;
const dots = (...at: [number, number][]) => at.map(([x, y]) => circle(x, y, DOT)).join('');

/** A hole of the point with the cuts of three vanes to one side. */
const tear = (x: number, y: number) =>
  `${circle(x, y, 4)}M${x - 4} ${y}H${x - 16}M${x - 16} ${y}l-7 -7M${x - 16} ${y}l-7 7M${x - 16} ${y}h-9`;

const compound = 'M40 8L56 20C62 26 56 30 56 28C56 30 62 32 56 38L40 50';

export const troubleShapes: Record<Schemas['TroubleKind'], TroubleShapes> = {
  headsElsewhere: {
    thin: 'M36 4V52M8 28H64',
    ink: dots([22, 20], [30, 26], [21, 29]),
    red: [square(48, 36), square(56, 32), square(52, 43)].join(''),
  },
  dialsOff: {
    thin: 'M26 4V52',
    ink: dots([26, 46]),
    red: `${dots([32, 32], [42, 16])}M26 46L46 8`,
  },
  peepTurned: {
    thin: 'M36 2V14M36 42V54',
    ink: 'M36 14C28 22 28 34 36 42C44 34 44 22 36 14',
    red: 'M36 20C34 25 34 31 36 36C38 31 38 25 36 20M52 18a18 18 0 0 1 0 20M52 38l-1 -7M52 38l6 -4',
  },
  tearStays: { thin: 'M4 28H68', ink: tear(52, 15), red: tear(52, 41) },
  verticalStrings: {
    thin: 'M14 28H58M36 4V52',
    ink: '',
    red: dots([35, 8], [38, 17], [35, 27], [37, 37], [34, 47]),
  },
  knocked: {
    thin: 'M40 8V50',
    ink: compound,
    red: 'M56 40l8 8M58 34l10 2M50 45l2 9M64 22l6 -4',
  },
  newString: { thin: compound, ink: '', red: 'M40 6V52M37 6h6M37 52h6M38 22h4M38 26h4M38 30h4M38 34h4' },
};
