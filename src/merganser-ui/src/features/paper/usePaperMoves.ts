import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { QUEUED, type IsQueued } from '../../api/useActs';
import type { useUndo } from '../../shell/useUndo';
import type { MoveTold } from '../../parts/MoveSteps';
import type { Paper, ShotSet } from './paperTypes';
import { offerToGiveUp } from './offerToGiveUp';
import { wordsOf } from './TakeBack';
import type { MoveBeside, PaperWork } from './usePaperWork';

interface Seen {
  show: (after: Paper | null) => void;
  sayReopened: (after: Paper) => void;
}

/** The paper as it is after an act; one that waits in this browser leaves it as it was. */
const served = (before: Paper, after: Paper | IsQueued | null) => (after === QUEUED ? before : after);

/** Moves at the paper: as advised, as told, back to an earlier set, and taken back. */
export function usePaperMoves(
  paper: Paper,
  work: PaperWork,
  undo: ReturnType<typeof useUndo>,
  { show, sayReopened }: Seen,
) {
  const [taking, setTaking] = useState<Schemas['MoveView'][] | null>(null);
  const logMove = async (told: MoveTold, beside: MoveBeside = {}) => {
    const after = await work.move(paper, told, beside);
    show(after === QUEUED ? paper : after);
    if (after === QUEUED) {
      offerToGiveUp(undo, work.waits().at(-1));
      return;
    }
    if (!after) return;
    sayReopened(after);
    const made = after.lastMoves;
    if (made.length > 0 && !beside.corrects) undo.offer(wordsOf(made), () => setTaking(made));
    else undo.forget();
  };
  /** Moves are taken back as entries that were wrong, or as real moves the other way: software turns no screw. */
  const takeBack = async (moves: Schemas['MoveView'][], loggedWrongly: boolean) => {
    setTaking(null);
    let after: Paper | null = paper;
    for (const move of moves.toReversed()) {
      if (!after) return;
      after = served(
        after,
        await work.move(
          after,
          { adjuster: move.adjuster, to: move.from, from: null },
          { note: loggedWrongly ? '' : 'turned back', corrects: loggedWrongly ? move.id : null },
        ),
      );
    }
    show(after);
    if (after) undo.done(wordsOf(moves));
  };
  const madeAdvised = () => {
    const { move, also } = paper.advice;
    if (!move) return;
    void logMove({
      adjuster: move.kind,
      to: move.to,
      from: move.from,
      also: also ? { adjuster: also.kind, to: also.to, from: also.from } : null,
    });
  };
  /** Real moves back to how the bow stood at a set, one by one; each is logged. */
  const goBackTo = async (set: ShotSet) => {
    let after: Paper | null = paper;
    for (const move of set.wayBack) {
      if (!after) return;
      after = served(
        after,
        await work.move(after, { adjuster: move.kind, to: move.to, from: null }, { note: `back to set ${set.number}` }),
      );
    }
    show(after);
  };
  return { taking, setTaking, logMove, takeBack, madeAdvised, goBackTo };
}
