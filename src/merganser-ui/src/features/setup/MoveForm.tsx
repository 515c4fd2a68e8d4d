import { useEffect, useRef, useState } from 'react';
import { NoteField } from '../../parts/NoteField';
import type { Schemas } from '../../api/client';
import { useEscape } from '../../shell/focus';
import { Key, Plain } from '../../parts/Buttons';
import { MoveSteps, useMoveSteps } from '../../parts/MoveSteps';
import { Fault } from '../../parts/Note';
import type { SetupWork } from './useSetup';
import l from '../../parts/layout.module.css';
import s from './MoveForm.module.css';

interface Props {
  adjuster: Schemas['AdjusterView'];
  work: SetupWork;
  onDone: () => void;
}

/** Logs a move as it was made: steps, both legs of a yoke, or the pieces in the four seats of the spacers. */
export function MoveForm({ adjuster, work, onDone }: Props) {
  const form = useRef<HTMLDivElement>(null);
  useEscape(true, onDone);
  useEffect(() => {
    form.current?.querySelector('button')?.focus();
  }, []);
  const steps = useMoveSteps(adjuster);
  const [note, setNote] = useState('');
  const log = async () => {
    if (steps.told && (await work.move({ ...steps.told, note }))) onDone();
  };
  const fault = Object.values(work.faults)[0]?.[0] ?? work.problem?.message;
  return (
    <div ref={form} className={s.form} data-testid="move-form">
      <MoveSteps adjuster={adjuster} steps={steps} />
      <NoteField label="Note on the move" value={note} onChange={setNote} />
      {fault && <Fault>{fault}</Fault>}
      <div className={l.row}>
        <Key disabled={work.busy || !steps.told} onClick={() => void log()} data-testid="log-move">
          Log this move
        </Key>
        <Plain onClick={onDone}>Nothing was moved</Plain>
      </div>
    </div>
  );
}
