import type { useUndo } from '../../../shell/useUndo';
import type { Paper } from '../paperTypes';
import type { PaperWork, Pin } from '../usePaperWork';

/** The sight moved for heads: as it was advised, or as typed; it is taken back by moving it back. */
export function useHeadMark(
  paper: Paper,
  work: PaperWork,
  undo: ReturnType<typeof useUndo>,
  show: (after: Paper | null) => void,
) {
  return async (told: { pin?: Pin; typed?: { right: string; up: string } }) => {
    const before = paper.heads?.markAt;
    const after = await work.headMark(paper, told);
    show(after);
    const now = after?.heads?.markAt;
    if (!after || !before || !now) return;
    const back = { right: before.right - now.right, up: before.up - now.up };
    undo.offer('the sight', () => void work.headMark(after, { pin: back }).then((ok) => ok && undo.done('the sight')));
  };
}
