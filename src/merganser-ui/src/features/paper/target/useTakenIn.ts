import type { useUndo } from '../../../shell/useUndo';
import type { Paper } from '../paperTypes';
import type { PaperWork } from '../usePaperWork';

/** Hits of a table that were taken in: one act, and one undo takes it back. */
export function useTakenIn(
  paper: Paper,
  work: Pick<PaperWork, 'voidTable'>,
  undo: Pick<ReturnType<typeof useUndo>, 'offer' | 'done'>,
  show: (after: Paper) => void,
) {
  return (after: Paper) => {
    const before = new Set(shotsOf(paper).map((shot) => shot.id));
    const taken = shotsOf(after).filter((shot) => !before.has(shot.id));
    const table = taken[0]?.id;
    show(after);
    if (!table) return;
    const what = taken.length === 1 ? 'the hit of the table' : `the ${taken.length} hits of the table`;
    undo.offer(what, () => void work.voidTable(table).then((ok) => ok && undo.done(what)));
  };
}

const shotsOf = (paper: Paper) => paper.sets.flatMap((set) => set.shots);
