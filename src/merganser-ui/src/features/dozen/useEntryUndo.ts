import type { useUndo } from '../../shell/useUndo';
import type { Dozen, DozenWork, EntryInput } from './useDozen';

/** What is entered of an arrow, each taken back by one undo: the newest tick, weight or note. */
export function useEntryUndo(
  work: Pick<DozenWork, 'enter' | 'withdraw'>,
  undo: Pick<ReturnType<typeof useUndo>, 'offer' | 'done' | 'forget'>,
) {
  return async (dozenId: string, entry: EntryInput): Promise<Dozen | null> => {
    const after = await work.enter(dozenId, entry);
    const id = after && idOf(after, entry);
    if (!id) {
      if (after) undo.forget();
      return after;
    }
    const step = after.steps.find((s) => s.code === entry.word);
    const what =
      entry.kind === 'plan'
        ? PLAN[entry.word ?? '']!
        : `${step ? `“${step.words}”` : MADE[entry.word ?? '']} of arrow ${entry.number}`;
    undo.offer(what, () => void work.withdraw(dozenId, id).then((ok) => ok && undo.done(what)));
    return after;
  };
}

const MADE: Record<string, string> = {
  built: 'the built weight',
  balance: 'the balance point',
  nock: 'the nock',
  paper: 'the paper result',
  note: 'the note',
  retired: 'the retiring',
  locked: 'the lock',
  repaired: 'the repair',
  practice: 'the practice mark',
};

const PLAN: Record<string, string> = { name: 'the name', archived: 'the putting away', jig: 'the jig’s angle' };

/** The entry that was made of an arrow; pieces and shafts are taken back where they are weighed. */
const idOf = (after: Dozen, { kind, number, word }: EntryInput) =>
  kind === 'tick'
    ? after.tray.find((arrow) => arrow.number === number)?.tickIds[word ?? '']
    : kind === 'made' || kind === 'plan'
      ? after.lastEntryId
      : null;
