import { ButtonBase } from '@mui/material';
import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { NoteField } from '../../parts/NoteField';
import { Select } from '../../parts/Field';
import { Scale } from '../../parts/Scale';

interface Props {
  adjusters: Schemas['AdjusterView'][];
  advised: Schemas['AdvisedMove'] | null;
  moves: Schemas['MoveView'][];
  fault: string | null;
  busy: boolean;
  /** The sets of the paper: a move that was forgotten is logged late, after the set it really came after. */
  sets?: { id: string; number: number }[];
  onLog: (
    adjuster: Schemas['AdjusterKind'],
    to: number,
    note: string,
    corrects: string | null,
    afterSetId: string | null,
  ) => void;
}

/** What was really done to the bow, whatever was advised; a wrong entry is corrected, a real move is taken back by a move. */
export function MovePanel({ adjusters, advised, moves, fault, busy, sets = [], onLog }: Props) {
  const [kind, setKind] = useState(advised?.kind ?? adjusters[0]?.kind ?? null);
  const adjuster = adjusters.find((a) => a.kind === kind) ?? adjusters[0];
  const [to, setTo] = useState(advised?.to ?? adjuster?.position ?? 0);
  const [note, setNote] = useState('');
  const [corrects, setCorrects] = useState<string | null>(null);
  const [afterSet, setAfterSet] = useState('');
  if (!adjuster)
    return (
      <section className="reading">
        <h1>This bow has no adjusters</h1>
        <p>Tick what it has on the Bow page.</p>
      </section>
    );
  const choose = (next: string) => {
    const found = adjusters.find((a) => a.kind === next)!;
    setKind(found.kind);
    setTo(found.position);
    setCorrects(null);
  };
  const last = moves.findLast((m) => m.adjuster === adjuster.kind);
  const wrong = last ? (last.corrects ?? last.id) : null;
  const by = to - adjuster.position;
  const place = (at: number) => adjuster.places[at - adjuster.lower] ?? '';
  return (
    <section className="reading" aria-label="Log a move">
      <p className="lab">What was really done</p>
      <h1>{corrects ? 'Correct the entry' : 'Log a move'}</h1>
      <Select
        first
        label="Adjuster"
        name="adjuster"
        value={adjuster.kind}
        onChange={choose}
        choices={adjusters.map((a) => ({ value: a.kind, label: a.name }))}
      />
      <Scale lower={adjuster.lower} upper={adjuster.upper} at={to} label={`${adjuster.name}: ${place(to)}`} />
      <div className="row">
        <ButtonBase
          className="key"
          onClick={() => setTo(to - 1)}
          disabled={to <= adjuster.lower}
          aria-label={`One more: ${adjuster.minus}`}
        >
          −
        </ButtonBase>
        <b className="n" data-testid="move-to">
          {place(adjuster.position)} → {place(to)}
        </b>
        <ButtonBase
          className="key"
          onClick={() => setTo(to + 1)}
          disabled={to >= adjuster.upper}
          aria-label={`One more: ${adjuster.plus}`}
        >
          +
        </ButtonBase>
      </div>
      <p className="muted">
        + one step: {adjuster.plus.toLowerCase()}. − one step: {adjuster.minus.toLowerCase()}.
        {adjuster.needsPress && ' Press needed.'}
      </p>
      <NoteField label="Note" value={note} onChange={setNote} />
      {sets.length > 1 && !corrects && (
        <Select
          label="When it was made"
          name="afterSet"
          value={afterSet}
          onChange={setAfterSet}
          choices={[
            { value: '', label: 'now, after the last set' },
            ...sets.slice(0, -1).map((s) => ({ value: s.id, label: `late: it was made after set ${s.number}` })),
          ]}
        />
      )}
      {fault && (
        <p className="fault" role="alert">
          {fault}
        </p>
      )}
      <div className="row">
        <ButtonBase
          className="key strong"
          disabled={by === 0 || busy}
          onClick={() => onLog(adjuster.kind, to, note, corrects, corrects ? null : afterSet || null)}
        >
          {corrects ? 'Correct the entry' : 'Log this move'}
        </ButtonBase>
        {wrong && !corrects && (
          <ButtonBase className="plain" onClick={() => setCorrects(wrong)}>
            The last entry was logged wrongly
          </ButtonBase>
        )}
        {corrects && (
          <ButtonBase className="plain" onClick={() => setCorrects(null)}>
            No, a new move
          </ButtonBase>
        )}
      </div>
      {corrects && (
        <p className="muted">
          The entry is corrected; nothing was turned on the bow. If you turned it back on the bow, log a new move
          instead.
        </p>
      )}
    </section>
  );
}
