import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { NoteField } from '../../parts/NoteField';
import { Stepper } from '../../parts/Stepper';
import { Select } from '../../parts/Field';
import { Scale } from '../../parts/Scale';
import { Key, Plain } from '../../parts/Buttons';
import { Empty } from '../../parts/Empty';
import { HalfKey, isPair, MoveSteps, placeOf, useMoveSteps, type MoveTold } from '../../parts/MoveSteps';
import { Fault } from '../../parts/Note';
import { Pane } from './Pane';
import type { MoveBeside } from './usePaperWork';
import w from '../../parts/words.module.css';
import l from '../../parts/layout.module.css';

interface Props {
  adjusters: Schemas['AdjusterView'][];
  advised: Schemas['AdvisedMove'] | null;
  moves: Schemas['MoveView'][];
  fault: string | null;
  busy: boolean;
  /** The sets of the paper: a move that was forgotten is logged late, after the set it really came after. */
  sets?: { id: string; number: number }[];
  onLog: (told: MoveTold, beside: MoveBeside) => void;
}

/** What was really done to the bow, whatever was advised; a wrong entry is corrected, a real move is taken back by a move. */
export function MovePanel(props: Props) {
  const { adjusters, advised } = props;
  const [kind, setKind] = useState(advised?.kind ?? adjusters[0]?.kind ?? null);
  const adjuster = adjusters.find((a) => a.kind === kind) ?? adjusters[0];
  if (!adjuster)
    return (
      <Pane>
        <Empty of="adjuster" title="This bow has no adjusters">
          Tick what it has on the Bow page.
        </Empty>
      </Pane>
    );
  return <MoveEntry key={adjuster.kind} {...props} adjuster={adjuster} onChoose={setKind} />;
}

interface EntryProps extends Props {
  adjuster: Schemas['AdjusterView'];
  onChoose: (kind: Schemas['AdjusterKind']) => void;
}

/** The entry for one adjuster: its step, or both parts of a yoke or of the spacers. */
function MoveEntry({ adjuster, adjusters, advised, moves, fault, busy, sets = [], onLog, onChoose }: EntryProps) {
  const [to, setTo] = useState(advised?.kind === adjuster.kind ? advised.to : adjuster.position);
  const [note, setNote] = useState('');
  const [corrects, setCorrects] = useState<string | null>(null);
  const [afterSet, setAfterSet] = useState('');
  const steps = useMoveSteps(adjuster, advised?.kind === adjuster.kind ? advised.to - advised.from : 0);
  const pair = isPair(adjuster.kind) && !corrects;
  const last = moves.findLast((m) => m.adjuster === adjuster.kind);
  const wrong = last ? (last.corrects ?? last.id) : null;
  const place = (at: number) => placeOf(adjuster, at) ?? '';
  const step: MoveTold | null =
    to === adjuster.position ? null : { adjuster: adjuster.kind, to, from: corrects ? null : adjuster.position };
  const told = pair ? steps.told : step;
  return (
    <Pane label="Log a move">
      <p className={w.label}>What was really done</p>
      <h1>{corrects ? 'Correct the entry' : 'Log a move'}</h1>
      <Select
        first
        label="Adjuster"
        name="adjuster"
        value={adjuster.kind}
        onChange={(kind) => onChoose(kind as Schemas['AdjusterKind'])}
        choices={adjusters.map((a) => ({ value: a.kind, label: a.name }))}
      />
      {pair ? (
        <MoveSteps adjuster={adjuster} steps={steps} />
      ) : (
        <>
          <Scale lower={adjuster.lower} upper={adjuster.upper} at={to} label={`${adjuster.name}: ${place(to)}`} />
          <Stepper
            label="Steps"
            less={`One more: ${adjuster.minus}`}
            more={`One more: ${adjuster.plus}`}
            value={to - adjuster.position}
            onChange={(steps) => setTo(Math.min(adjuster.upper, Math.max(adjuster.lower, adjuster.position + steps)))}
            bare
            halves={adjuster.halves}
          >
            {to < adjuster.upper && <HalfKey adjuster={adjuster} at={to} onChange={setTo} />}
          </Stepper>
          <p>
            <b className={w.tabular} data-testid="move-to">
              {place(adjuster.position)} → {place(to)}
            </b>
          </p>
          <p className={w.muted}>
            + one step: {adjuster.plus.toLowerCase()}. − one step: {adjuster.minus.toLowerCase()}.
            {adjuster.needsPress && ' Press needed.'}
          </p>
        </>
      )}
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
      {fault && <Fault>{fault}</Fault>}
      <div className={l.row}>
        <Key
          strong
          disabled={!told || busy}
          onClick={() => told && onLog(told, { note, corrects, afterSetId: corrects ? null : afterSet || null })}
        >
          {corrects ? 'Correct the entry' : 'Log this move'}
        </Key>
        {wrong && !corrects && <Plain onClick={() => setCorrects(wrong)}>The last entry was logged wrongly</Plain>}
        {corrects && <Plain onClick={() => setCorrects(null)}>No, a new move</Plain>}
      </div>
      {corrects && (
        <p className={w.muted}>
          The entry is corrected; nothing was turned on the bow. If you turned it back on the bow, log a new move
          instead.
        </p>
      )}
    </Pane>
  );
}
