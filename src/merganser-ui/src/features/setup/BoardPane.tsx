import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { answer, api, type Schemas } from '../../api/client';
import { useRefresh } from '../../api/queries';
import { useActs } from '../../api/useActs';
import { LiveReading } from '../../instruments/LiveReading';
import { Simulated } from '../../instruments/Simulated';
import { ASKED, beep, TAKEN } from '../../instruments/tone';
import { useInstrument } from '../../instruments/useInstrument';
import { Key, Plain } from '../../parts/Buttons';
import { Field } from '../../parts/Field';
import { Figure } from '../../parts/Figure';
import { Note } from '../../parts/Note';
import { useInTurn } from '../../parts/useInTurn';
import { number, withUnit } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import { ForceChart } from './ForceChart';
import l from '../../parts/layout.module.css';
import w from '../../parts/words.module.css';
import s from './SpeedPane.module.css';

type Mark = Schemas['BoardMark'];
const marks: [Mark, string][] = [
  ['topStop', 'Top stop touches here'],
  ['bottomStop', 'Bottom stop touches here'],
];

/** The draw board: force at every inch of travel; peak, let-off and stored energy follow, and speed with them. */
export function BoardPane({ bowId }: { bowId: string }) {
  const units = useUnits();
  const queries = useQueryClient();
  const refresh = useRefresh(bowId);
  const [travel, setTravel] = useState('');
  const [force, setForce] = useState('');
  const acts = useActs(`board ${bowId}`);
  const inTurn = useInTurn();
  const count = useRef(0);
  const anew = useRef(false);
  const view = useQuery({
    queryKey: ['board', bowId],
    queryFn: () => answer(api.GET('/api/bows/{bowId}/board', { params: { path: { bowId } } })),
  });
  const data = view.data;
  const shown = (next: Schemas['BoardView'] | null) => {
    beep(next ? TAKEN : ASKED);
    if (!next) return false;
    anew.current = false;
    queries.setQueryData(['board', bowId], next);
    void queries.invalidateQueries({ queryKey: ['figures', bowId] });
    void queries.invalidateQueries({ queryKey: ['chronograph', bowId] });
    refresh();
    return true;
  };
  const take = (mark: Mark, at: string, pull: string | null, source: string) => {
    // The same place read twice is two readings: each has a name of its own.
    const what = `point ${(count.current += 1)}`;
    return inTurn(async () =>
      shown(
        await acts.act(what, (id) =>
          answer(
            api.POST('/api/bows/{bowId}/board', {
              params: { path: { bowId } },
              body: { id, mark, travel: at, force: pull, source, anew: anew.current },
            }),
          ),
        ),
      ),
    );
  };
  const typed = async () => {
    if (!(await take('force', travel, force, 'typed'))) return;
    setTravel('');
    setForce('');
    document.querySelector<HTMLInputElement>('input[name=travel]')?.focus();
  };
  const withdraw = async (id: string) => {
    shown(
      await acts.act(`withdraw ${id}`, () =>
        answer(api.POST('/api/bows/{bowId}/board/{id}/withdraw', { params: { path: { bowId, id } } })),
      ),
    );
  };
  const board = useInstrument('board', true, (value, event) => {
    if (event.travel !== null) void take('force', String(event.travel), String(value), 'board');
  });
  const here = board.last?.travel ?? null;
  const readings = data?.readings ?? [];
  return (
    <div className={s.panes}>
      <section aria-label="Draw board">
        <h2>Draw board</h2>
        <Note word="Caution.">
          Draw slowly, stand clear of the string’s way, no arrow, no let-go. The bow’s manual and the board’s come
          first.
        </Note>
        <LiveReading last={board.last} trouble={board.trouble} unit="lb" />
        {here !== null && <p className={w.tabular}>Travel from rest {withUnit(here, 'in', 2, units)}</p>}
        {(board.last?.simulated ?? true) && (
          <div className={l.row}>
            <Simulated what="simulated crank" />
            <Key data-testid="crank" onClick={() => void board.order({ order: 'crank', value: 1, bowId })}>
              Crank on
            </Key>
            <Key onClick={() => void board.order({ order: 'lift', value: null, bowId })}>Let it down</Key>
          </div>
        )}
        <div className={l.smallFields}>
          <Field
            label="Or type: travel from rest"
            name="travel"
            quantity="length"
            value={travel}
            onChange={setTravel}
            fault={acts.faults.travel?.[0]}
            hint="0 with the string at rest"
            first
          />
          <Field
            label="Force"
            name="force"
            quantity="drawWeight"
            value={force}
            onChange={setForce}
            fault={acts.faults.force?.[0] ?? (acts.problem && !acts.faults.travel ? acts.problem.message : undefined)}
            onEnter={() => void typed()}
            hint="Enter takes the point"
          />
        </div>
        {data?.hasStops && (
          <div className={l.row}>
            {marks.map(([mark, words]) => (
              <Key
                key={mark}
                disabled={here === null && travel.trim() === ''}
                onClick={() => void take(mark, travel.trim() || String(here), null, travel.trim() ? 'typed' : 'board')}
              >
                {words}
              </Key>
            ))}
          </div>
        )}
        {readings.length > 0 && (
          <>
            <p className={w.muted}>Press a reading to take it back.</p>
            <p className={w.tabular} data-testid="board-readings">
              {readings.map((r) => (
                <Plain key={r.id} aria-label={`Take back ${wordsOf(r)}`} onClick={() => void withdraw(r.id)}>
                  {wordsOf(r)}
                </Plain>
              ))}
            </p>
            <div className={l.row}>
              <Plain
                onClick={() => {
                  anew.current = true;
                  queries.setQueryData(['board', bowId], { ...data!, readings: [], points: [], figures: [] });
                }}
              >
                Begin another curve
              </Plain>
            </div>
          </>
        )}
      </section>
      <section aria-label="The curve">
        <h2 data-testid="board-words">{data?.words}</h2>
        {data && <ForceChart points={data.points} stroke={data.stroke} />}
        <div className={l.row}>
          {data?.figures.map((figure) => (
            <Figure key={figure.name} figure={figure} size="small" />
          ))}
        </div>
        {data && !data.whole && (
          <p className={w.muted}>
            Until it is whole, speed and efficiency stand on the estimate of{' '}
            {withUnit(data.estimate, 'ft·lb', 1, units)}.
          </p>
        )}
      </section>
    </div>
  );

  function wordsOf(r: Schemas['BoardReading']) {
    const at = withUnit(r.travel, 'in', 2, units);
    return r.mark === 'force'
      ? `${number(r.force!, 1)} at ${at}`
      : `${r.mark === 'topStop' ? 'top' : 'bottom'} stop at ${at}`;
  }
}
