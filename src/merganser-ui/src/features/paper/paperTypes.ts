import type { Schemas } from '../../api/client';

export type Paper = Schemas['PaperView'];
export type ShotSet = Schemas['SetView'];
export type Shot = Schemas['ShotView'];
export type Hole = Schemas['Hole'];
export type Side = Schemas['SheetSide'];
export type End = Schemas['NamedEnd'];
export type Words = Schemas['ShooterWords'];
export type Choices = Schemas['PaperChoices'];
export type Purpose = Schemas['SetPurpose'];

/** A shot that is being marked, not yet kept. */
export interface Marking {
  point: Hole | null;
  tail: Hole | null;
  side: Side;
  right: string;
  up: string;
  by: End;
  words: Words | null;
  arrowNumber: string;
  /** With vanes or bare, at a target: `point` is then where it struck. Null at the paper. */
  arrow: Schemas['ArrowKind'] | null;
  /** How it was seen to fly to a target. */
  flight: Schemas['Flight'];
  /** How the shaft stands in the target. */
  slant: Schemas['Slant'];
  /** From where it was shot in a walk-back, as typed; empty elsewhere. */
  distance: string;
  /** Which of two ways that are compared. */
  way: Schemas['WayShot'] | null;
  /** For which distance the sight was set, yards, where a range error is tried. */
  sightFor: number | null;
}

export const freshMarking = (side: Side): Marking => ({
  point: null,
  tail: null,
  side,
  right: '',
  up: '',
  by: 'tail',
  words: null,
  arrowNumber: '',
  arrow: null,
  flight: null,
  slant: null,
  distance: '',
  way: null,
  sightFor: null,
});

export const level: Words = {
  sideways: null,
  left: true,
  sidewaysEnd: 'tail',
  height: null,
  low: false,
  heightEnd: 'tail',
};

/** True once there is enough to keep the shot. */
export const isMarked = (marking: Marking | null): boolean =>
  marking !== null &&
  ((marking.point !== null && (marking.tail !== null || marking.arrow !== null)) ||
    marking.right.trim() !== '' ||
    marking.up.trim() !== '' ||
    marking.words !== null);

/** The tear as the archer sees it, for the drawing only: the server reads the raw holes. */
export function drawnTear(marking: Marking): Hole | null {
  if (!marking.point || !marking.tail) return null;
  const right = marking.tail.x - marking.point.x;
  return { x: marking.side === 'shootingSide' ? right : -right, y: marking.tail.y - marking.point.y };
}

/** What a control changes, in words. */
export const purposes: Record<Purpose, string> = {
  session: 'the session',
  controlArrow: 'control arrow',
  changedGrip: 'changed grip',
  otherArcher: 'another archer',
  machine: 'machine',
};

export const counted = (set: ShotSet) => set.shots.filter((s) => s.voidReason === null);

/** A paper as it is to be looked at: no move is advised, and none is drawn. */
export const withoutMove = (paper: Paper): Paper => ({ ...paper, advice: { ...paper.advice, move: null, ghosts: [] } });
