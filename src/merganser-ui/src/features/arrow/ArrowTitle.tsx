import { memo } from 'react';
import type { Schemas } from '../../api/client';
import { Plain } from '../../parts/Buttons';
import { Caution, Note } from '../../parts/Note';
import { Pick } from '../../parts/Pick';
import { useTyped } from '../../parts/useTyped';
import { MoreWays } from './ArrowWays';
import w from '../../parts/words.module.css';
import s from './ArrowEditor.module.css';

/** The arrow's name, what else can be opened, and what is to be minded. */
export const ArrowTitle = memo(function ArrowTitle({
  bowId,
  row,
  arrows,
  name,
  onName,
  onOpen,
  onAnother,
  undo,
  redo,
  retired,
  cautions,
}: {
  bowId: string;
  row: Schemas['ArrowRow'];
  arrows: Schemas['ArrowRow'][];
  name: string;
  onName: (name: string) => void;
  onOpen: (id: string) => void;
  onAnother: () => void;
  /** Null where there is nothing to undo, or to do again. */
  undo: (() => void) | null;
  redo: (() => void) | null;
  /** Parts of it that are out of the lists. */
  retired: string[];
  cautions?: Schemas['ArrowReading']['cautions'];
}) {
  const [shown, type] = useTyped(name, onName);
  return (
    <div className={s.title}>
      <input
        className={s.name}
        aria-label="Name of this arrow"
        name="arrowName"
        maxLength={60}
        value={shown}
        onChange={(event) => type(event.target.value)}
      />
      <Pick bare label="Arrow on the bench" value="" onChange={onOpen} disabled={arrows.length < 2}>
        <option value="" disabled>
          Other arrows, {arrows.length - 1}
        </option>
        {arrows
          .filter((a) => a.id !== row.id)
          .map((a) => (
            <option key={a.id} value={a.id}>
              {a.draft.name}
            </option>
          ))}
      </Pick>
      <span className={w.muted}>{row.kept ? `version ${row.kept.number}` : 'not kept yet'}</span>
      <Plain onClick={onAnother}>Copy</Plain>
      <MoreWays bowId={bowId} arrowId={row.id} />
      <Plain onClick={undo ?? undefined} disabled={undo === null}>
        Undo
      </Plain>
      <Plain onClick={redo ?? undefined} disabled={redo === null}>
        Redo
      </Plain>
      <div className={s.cautions}>
        {retired.map((part) => (
          <Note key={part} word="Retired.">
            {part} is out of the lists; this arrow keeps it.
          </Note>
        ))}
        {cautions?.map((c) => (
          <Caution key={c.code} caution={c} />
        ))}
      </div>
    </div>
  );
});
