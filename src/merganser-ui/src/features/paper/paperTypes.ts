import type { Schemas } from '../../api/client';

export type Paper = Schemas['PaperView'];
export type ShotSet = Schemas['SetView'];
export type Shot = Schemas['ShotView'];
export type Hole = Schemas['Hole'];
export type Side = Schemas['SheetSide'];

/** A shot that is being marked, not yet kept. */
export interface Marking {
  point: Hole | null;
  tail: Hole | null;
  side: Side;
  right: string;
  up: string;
}

export const freshMarking = (side: Side): Marking => ({ point: null, tail: null, side, right: '', up: '' });

/** The tear as the archer sees it, for the drawing only: the server reads the raw holes. */
export function drawnTear(marking: Marking): Hole | null {
  if (!marking.point || !marking.tail) return null;
  const right = marking.tail.x - marking.point.x;
  return { x: marking.side === 'shootingSide' ? right : -right, y: marking.tail.y - marking.point.y };
}
