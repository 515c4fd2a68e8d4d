import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Empty } from '../../parts/Empty';
import { NoteField } from '../../parts/NoteField';
import { answer, api, type Schemas } from '../../api/client';
import { arrowsQuery } from '../../api/queries';
import { useEarlier } from '../../api/useEarlier';
import { useEarlierMoves } from '../../api/useEarlierMoves';
import { Earlier } from '../../parts/Earlier';
import { Select } from '../../parts/Field';
import { useEscape } from '../../shell/focus';
import { Key, Plain } from '../../parts/Buttons';
import { Column, Columns } from '../../parts/Columns';
import { Log } from '../../parts/List';
import type { Setup, SetupWork } from './useSetup';
import w from '../../parts/words.module.css';
import l from '../../parts/layout.module.css';
import s from './HistoryPane.module.css';

const when = (at: string) =>
  new Date(at).toLocaleString('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });

/** Moves, changes and good states: what was done, and how it is taken back. */
export function HistoryPane({ bow, setup, work }: { bow: Schemas['BowView']; setup: Setup; work: SetupWork }) {
  return (
    <Columns>
      <Moves bow={bow} work={work} />
      <GoodStates bowId={bow.id} setup={setup} work={work} />
      <Changes setup={setup} work={work} />
    </Columns>
  );
}

function Moves({ bow, work }: { bow: Schemas['BowView']; work: SetupWork }) {
  const list = useEarlierMoves(bow);
  const moves = list.rows;
  const [asking, setAsking] = useState<string | null>(null);
  useEscape(asking !== null, () => setAsking(null));
  const corrected = new Set(moves.map((m) => m.corrects).filter(Boolean));
  const latest = (move: Schemas['MoveView']) =>
    !moves.some((m) => m.adjuster === move.adjuster && m.ordinal > move.ordinal);
  const undo = async (id: string, loggedWrongly: boolean) => {
    if (await work.undoMove(id, loggedWrongly)) setAsking(null);
  };
  return (
    <Column label="Moves">
      <h2>Moves</h2>
      {moves.length === 0 && (
        <Empty of="adjuster">Nothing has been moved on this bow yet. Press an adjuster to log one.</Empty>
      )}
      <Log>
        {moves.map((move) => (
          <li key={move.id}>
            <p>
              {move.correction ? (
                `Entry corrected: ${move.name} ${move.after}`
              ) : corrected.has(move.id) ? (
                <s>{move.words}</s>
              ) : (
                move.words
              )}
              {move.note && <em> {move.note}</em>}
            </p>
            <small>{when(move.happenedAt)}</small>
            {latest(move) && !move.correction && asking !== move.id && (
              <Plain onClick={() => setAsking(move.id)} data-undo={move.adjuster}>
                Undo …
              </Plain>
            )}
            {asking === move.id && (
              <div className={l.row} role="group" aria-label="How is it taken back?">
                <Key onClick={() => void undo(move.id, true)}>It was logged wrongly</Key>
                <Key onClick={() => void undo(move.id, false)}>I turned it back on the bow</Key>
                <Plain onClick={() => setAsking(null)}>Leave it</Plain>
              </div>
            )}
          </li>
        ))}
      </Log>
      <Earlier list={list} />
    </Column>
  );
}

function GoodStates({ bowId, setup, work }: { bowId: string; setup: Setup; work: SetupWork }) {
  const [arrow, setArrow] = useState('');
  const arrows = useQuery(arrowsQuery(bowId));
  const kept = (arrows.data ?? []).filter((a) => a.kept);
  return (
    <Column label="As it shot well">
      <h2>As it shot well</h2>
      <p className={w.muted}>A bow shot with several arrows keeps a good state for each.</p>
      {setup.goodStates.map((good) => (
        <article key={good.id} className={s.good} data-testid="good-state">
          <p>
            <b>{good.words}</b> <small>{when(good.markedAt)}</small>
          </p>
          {good.wayBack.length === 0 ? (
            <p>The bow stands so now.</p>
          ) : (
            <>
              <p>What leads back to it, one after the other:</p>
              <ol className={s.wayBack}>
                {good.wayBack.map((move) => (
                  <li key={move.kind}>
                    {move.order}
                    {move.needsPress && <b> (press)</b>}
                  </li>
                ))}
              </ol>
            </>
          )}
          <Plain onClick={() => void work.withdraw(good.id)}>That was marked wrongly</Plain>
        </article>
      ))}
      <div className={l.row}>
        {kept.length > 0 && (
          <Select
            label="With which arrow"
            name="goodArrow"
            value={arrow}
            onChange={setArrow}
            choices={[
              { value: '', label: 'no arrow in particular' },
              ...kept.map((a) => ({ value: a.kept!.id, label: `${a.kept!.typed.name}, version ${a.kept!.number}` })),
            ]}
          />
        )}
        <Key onClick={() => void work.markGood(arrow || null, '')}>It shoots well as it stands</Key>
      </div>
    </Column>
  );
}

function Changes({ setup, work }: { setup: Setup; work: SetupWork }) {
  const rows = ({ changes, earlier }: Schemas['ChangePage']) => ({ rows: changes, earlier });
  const list = useEarlier(['setup', setup.bowId, 'changes'], rows(setup.changes), (before) =>
    answer(api.GET('/api/bows/{id}/changes', { params: { path: { id: setup.bowId }, query: { before } } })).then(rows),
  );
  const [note, setNote] = useState('');
  return (
    <Column label="Changes">
      <h2>Something new on the bow</h2>
      <NoteField label="Note on the change" value={note} onChange={setNote} />
      <ul className={s.changes}>
        {setup.choices.map((choice) => (
          <li key={choice.change}>
            <Key
              data-change={choice.change}
              onClick={() => void work.change(choice.change, note).then((ok) => ok && setNote(''))}
            >
              {choice.name}
            </Key>
            <small>{choice.follows}</small>
          </li>
        ))}
      </ul>
      <Log>
        {list.rows.map((change) => (
          <li key={change.id}>
            <p>
              {change.name} {change.note && <em>{change.note}</em>}
            </p>
            <small>{when(change.happenedAt)}</small>
            <Plain onClick={() => void work.withdraw(change.id)}>Entered wrongly</Plain>
          </li>
        ))}
      </Log>
      <Earlier list={list} />
    </Column>
  );
}
