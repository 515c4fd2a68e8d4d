import { useState } from 'react';
import { NoteField } from '../../parts/NoteField';
import type { Schemas } from '../../api/client';
import { Key, Plain } from '../../parts/Buttons';
import type { Paper, Purpose } from './paperTypes';
import { HandSays } from './HandSays';
import { Pane } from './Pane';
import w from '../../parts/words.module.css';
import l from '../../parts/layout.module.css';
import s from './LadderPanel.module.css';

type Rung = NonNullable<Schemas['RungKind']>;

const controls: Partial<Record<Rung, Purpose>> = {
  controlArrow: 'controlArrow',
  grip: 'changedGrip',
  face: 'changedGrip',
  spine: 'controlArrow',
  archer: 'otherArcher',
};
/** Rungs that ask whether it is the archer. */
const ofTheHand: Rung[] = ['grip', 'face', 'archer'];
const outcomes: [string, string][] = [
  ['nothing', 'Nothing found'],
  ['found', 'Something was found'],
  ['left', 'Leave it'],
];

interface Props {
  paper: Paper;
  busy: boolean;
  onControl: (purpose: Purpose) => void;
  onNote: (rung: Rung | null, outcome: string | null, note: string) => void;
  onWithdraw: (noteId: string) => void;
}

/** When moves do not help: what to look at, in the school's order; nothing that was done is asked again. */
export function LadderPanel({ paper, busy, onControl, onNote, onWithdraw }: Props) {
  const [free, setFree] = useState('');
  const { ladder } = paper;
  return (
    <Pane label="The ladder">
      <h1>{ladder.wanted ? 'Moves do not help: look here first' : 'If moves do not help'}</h1>
      <p className={w.muted}>In the order of this school. Equal holes do not clear grip, face pressure or spine.</p>
      <ol className={s.ladder} data-testid="ladder">
        {ladder.rungs.map((rung) => (
          <RungLine
            key={rung.code}
            rung={rung}
            here={rung.code === ladder.next}
            bowId={paper.bowId}
            busy={busy}
            onControl={onControl}
            onNote={onNote}
            onWithdraw={onWithdraw}
          />
        ))}
      </ol>
      <h2>A note at this place</h2>
      <div className={l.row}>
        <NoteField
          label="A note at this place"
          placeholder="wind, a new grip, seated …"
          value={free}
          onChange={setFree}
          wide
        />
        <Key
          disabled={!free.trim() || busy}
          onClick={() => {
            onNote(null, null, free);
            setFree('');
          }}
        >
          Note it
        </Key>
      </div>
    </Pane>
  );
}

function RungLine({
  rung,
  here,
  bowId,
  busy,
  onControl,
  onNote,
  onWithdraw,
}: { rung: Schemas['RungState']; here: boolean; bowId: string } & Omit<Props, 'paper'>) {
  const [note, setNote] = useState('');
  const done = rung.outcome !== null;
  return (
    <li
      className={here ? s.here : done ? s.done : undefined}
      data-rung={rung.code}
      data-state={here ? 'here' : done ? 'done' : undefined}
    >
      <b>{rung.title}</b>
      {done ? (
        <span>
          {words(rung.outcome!)}
          {rung.note && `: ${rung.note}`}
          {rung.noteId && (
            <Plain disabled={busy} onClick={() => onWithdraw(rung.noteId!)}>
              Take back
            </Plain>
          )}
        </span>
      ) : (
        <>
          <p>{rung.how}</p>
          <p className={w.muted}>{rung.tells}</p>
          {here && ofTheHand.includes(rung.code!) && <HandSays bowId={bowId} />}
          {here && (
            <div className={l.row}>
              {controls[rung.code!] && (
                <Key strong disabled={busy} onClick={() => onControl(controls[rung.code!]!)}>
                  Shoot it now
                </Key>
              )}
              <NoteField
                label={`${rung.title}: what was seen`}
                placeholder="what was seen"
                value={note}
                onChange={setNote}
              />
              {outcomes.map(([code, label]) => (
                <Key key={code} disabled={busy} onClick={() => onNote(rung.code!, code, note)}>
                  {label}
                </Key>
              ))}
            </div>
          )}
        </>
      )}
    </li>
  );
}

const words = (outcome: string) =>
  outcome === 'nothing'
    ? 'done, nothing found'
    : outcome === 'found'
      ? 'something was found'
      : outcome === 'left'
        ? 'left'
        : 'shot';
