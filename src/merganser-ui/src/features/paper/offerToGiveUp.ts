import { giveUp, type Entry } from '../../api/outbox';
import type { useUndo } from '../../shell/useUndo';

/** The newest entry that waits in this browser can be given up, as long as it was not sent. */
export function offerToGiveUp(
  undo: Pick<ReturnType<typeof useUndo>, 'offer' | 'done' | 'tooLate'>,
  entry: Entry | undefined,
): void {
  if (!entry) return;
  const { id, words } = entry;
  undo.offer(words, () => void giveUp(id).then((gone) => (gone ? undo.done(words) : undo.tooLate(words))));
}
