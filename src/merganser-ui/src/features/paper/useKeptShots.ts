import { useRef } from 'react';
import { QUEUED } from '../../api/useActs';
import type { useUndo } from '../../shell/useUndo';
import { isMarked, type Marking, type Paper, type ShotSet } from './paperTypes';
import { freshHit, fromOf } from './target/groupTypes';
import type { PaperWork } from './usePaperWork';
import { offerToGiveUp } from './offerToGiveUp';
import { setNow, shotWords } from './waits';

interface Seen {
  sayReopened: (after: Paper) => void;
  /** The set as it is then, and the arrow that is marked next; null where nothing is marked at once. */
  onKept: (newest: ShotSet, next: Marking | null) => void;
}

/**
 * Keeps shots as they are marked, in their order. A place that a quick hand sets on the target while the arrow before is
 * still on its way is kept after it, as the arrow whose turn it is then.
 */
export function useKeptShots(
  last: ShotSet,
  work: Pick<PaperWork, 'unreachable' | 'waits' | 'keepShot' | 'markShot'>,
  undo: Pick<ReturnType<typeof useUndo>, 'offer' | 'done' | 'tooLate'>,
  { sayReopened, onKept }: Seen,
) {
  const going = useRef<Marking | null>(null);
  const late = useRef<Marking[]>([]);
  /** It waits in this browser: the next arrow is marked all the same, in its turn. */
  const goOn = async (setId: string, marked: Marking, more: Marking | undefined) => {
    const entry = work.waits().at(-1);
    const now = setNow(last, work.waits());
    const next = marked.arrow ? freshHit(now, marked.arrow, marked.distance) : null;
    const placed = next && more ? { ...next, ...placeOf(more) } : next;
    onKept(last, placed);
    offerToGiveUp(undo, entry);
    if (placed && more) await keep(setId, placed);
  };
  const keep = async (setId: string, marked: Marking) => {
    going.current = marked;
    const after = await work.keepShot(setId, marked, shotWords(marked, setNow(last, work.waits())));
    going.current = null;
    const more = late.current.shift();
    if (!after) {
      late.current = [];
      return;
    }
    if (after === QUEUED) {
      await goOn(setId, marked, more);
      return;
    }
    const newest = after.sets.at(-1)!;
    const shot = newest.shots.at(-1)!;
    const what = `shot ${shot.number} of set ${newest.number}`;
    // At a target the next arrow is marked at once: a group is in the target, not one shot.
    const next = marked.arrow ? freshHit(newest, marked.arrow, fromOf(newest)) : null;
    const placed = next && more ? { ...next, ...placeOf(more) } : next;
    onKept(newest, placed);
    undo.offer(what, () => void work.markShot(shot, 'marked wrongly').then((ok) => ok && undo.done(what)));
    sayReopened(after);
    if (placed && more) await keep(newest.id, placed);
  };
  return async (marked: Marking | null) => {
    if (!marked || !isMarked(marked)) return;
    // What waits for a lost server is queued, and may be given up: nothing waits behind it here.
    if (!going.current || work.unreachable) return keep(setNow(last, work.waits()).id, marked);
    const before = late.current.at(-1) ?? going.current;
    if (before.arrow && !samePlace(before, marked)) late.current.push(marked);
  };
}

/** What was marked of an arrow, whichever it is. */
const placeOf = ({ point, right, up, flight, slant }: Marking) => ({ point, right, up, flight, slant });

const samePlace = (one: Marking, other: Marking) =>
  one.point?.x === other.point?.x &&
  one.point?.y === other.point?.y &&
  one.right === other.right &&
  one.up === other.up;
