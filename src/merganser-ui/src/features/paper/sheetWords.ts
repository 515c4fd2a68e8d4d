import type { End } from './paperTypes';

/** What the marks of a sheet are called, and how they are asked for. */
interface SheetWords {
  end: string;
  first: string;
  how: string;
  pressPoint: string;
  pressEnd: string;
  /** What Enter sets, one after the other. */
  enter: string;
  /** The next mark, as a key of the sheet sets it. */
  sets: Record<End, string>;
  hint: string;
  ends: [End, string][];
  footPoint: string;
  footEnd: string;
}

const paper: SheetWords = {
  end: 'tail',
  first: 'Point hole first, then the tail',
  how: 'The point leaves the round hole; the tail leaves the cuts of the vanes. Press both on the sheet.',
  pressPoint: 'Press where the point went through',
  pressEnd: 'Now press where the tail went through',
  enter: 'hole, then the tail',
  sets: { point: 'point hole', tail: 'tail hole' },
  hint: 'as you read the sheet',
  ends: [
    ['tail', 'by the tail'],
    ['point', 'by the point'],
  ],
  footPoint: 'Mark the point’s hole, type the tail’s place, or say it.',
  footEnd: 'Press where the tail went through.',
};

const nearTarget: SheetWords = {
  end: 'nock end',
  first: 'The point first, then the nock end',
  how: 'Press where the point went in, then where the nock end is seen from the shooting line.',
  pressPoint: 'Press where the point went in',
  pressEnd: 'Now press where the nock end is seen',
  enter: 'point, then the nock end',
  sets: { point: 'point hole', tail: 'nock end' },
  hint: 'as seen from the shooting line',
  ends: [
    ['tail', 'by the nock end'],
    ['point', 'by the point'],
  ],
  footPoint: 'Mark where the point went in, or type the nock end.',
  footEnd: 'Press where the nock end is seen.',
};

/** A paper's words, or those of a shaft in a near target. */
export const sheetWords = (nock: boolean) => (nock ? nearTarget : paper);
