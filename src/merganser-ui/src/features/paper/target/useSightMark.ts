import type { useUndo } from '../../../shell/useUndo';
import type { Paper } from '../paperTypes';
import type { MarkTold, PaperWork } from '../usePaperWork';

/** The sight moved for heads or in a walk-back, as advised or as typed; it is taken back by moving it back. */
export function useSightMark(
  paper: Paper,
  work: PaperWork,
  undo: ReturnType<typeof useUndo>,
  show: (after: Paper | null) => void,
) {
  return async (told: MarkTold) => {
    const after = await work.sightMark(paper, told);
    show(after);
    const now = after && placeOf(after);
    const before = placeOf(paper);
    if (!after || !before || !now || told.otherwise) return;
    const back = { right: before.right - now.right, up: before.up - now.up };
    undo.offer('the sight', () => void work.sightMark(after, { pin: back }).then((ok) => ok && undo.done('the sight')));
  };
}

/** Where the sight stands: the heads' mark from the field points', or all arrows' from the first of the session. */
const placeOf = (paper: Paper) => paper.heads?.markAt ?? paper.sightAnswer?.at;
