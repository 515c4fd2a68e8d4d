import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { answer, api, farOf } from '../../api/client';
import { useActs } from '../../api/useActs';
import { Field } from '../../parts/Field';
import { ReadingField } from '../../parts/ReadingField';
import { useRefresh } from '../../api/queries';
import { fieldText, fieldUnit, number, signed, withUnit } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import { Key, Plain } from '../../parts/Buttons';
import { Scroller, Table } from '../../parts/Table';
import { LiveReading } from '../../instruments/LiveReading';
import { Simulated } from '../../instruments/Simulated';
import { ASKED, beep, TAKEN } from '../../instruments/tone';
import { useInstrument } from '../../instruments/useInstrument';
import { Question } from '../../parts/Question';
import { useInTurn } from '../../parts/useInTurn';
import w from '../../parts/words.module.css';
import l from '../../parts/layout.module.css';
import s from './SpeedPane.module.css';

/** Strings of shots through the chronograph; this bow's virtual mass and energy follow, and every speed figure with them. */
export function SpeedPane({ bowId, grains: first }: { bowId: string; grains: string | null }) {
  const units = useUnits();
  const queries = useQueryClient();
  const refresh = useRefresh(bowId);
  const [typed, setTyped] = useState<string | null>(Number(first) > 0 ? first : null);
  const [tried, setTried] = useState<{ value: string; source: string } | null>(null);
  const acts = useActs(`speed ${bowId}`);
  const far = farOf(acts.problem);
  const asked = far === null ? null : tried;
  const faults: Record<string, string[]> =
    acts.problem && !acts.faults.speed && !acts.faults.grains ? { speed: [acts.problem.message] } : acts.faults;
  const [all, setAll] = useState(false);
  const view = useQuery({
    queryKey: ['chronograph', bowId, all],
    queryFn: () => answer(api.GET('/api/bows/{bowId}/chronograph', { params: { path: { bowId }, query: { all } } })),
    placeholderData: keepPreviousData,
  });
  const data = view.data;
  /** The arrow that was shot last, until another is named. */
  const grains = typed ?? (data?.lastGrains ? number(data.lastGrains, 1) : '');
  const done = () => {
    void queries.invalidateQueries({ queryKey: ['chronograph', bowId] });
    void queries.invalidateQueries({ queryKey: ['figures', bowId] });
    refresh();
  };
  const count = useRef(0);
  const inTurn = useInTurn();
  const shoot = (value: string, source: string, sure = false): Promise<string | null> => {
    // Two arrows that flew alike are two: each has a name of its own.
    const what = `shot ${(count.current += 1)}`;
    return inTurn(async () => {
      setTried({ value, source });
      const kept = await acts.act(what, (id) =>
        answer(
          api.POST('/api/bows/{bowId}/chronograph', {
            params: { path: { bowId } },
            body: { id, grains, speed: value, source, sure },
          }),
        ),
      );
      beep(kept ? TAKEN : ASKED);
      if (!kept) return null;
      done();
      return `taken: ${value}, with ${fieldText(grains, 'weight', units)} ${fieldUnit('weight', units)}`;
    });
  };
  const typedSpeed = (value: string) => shoot(value, 'typed', asked?.source === 'typed' && asked.value === value);
  const keepAsked = () => asked && void shoot(asked.value, asked.source, true);
  const chrono = useInstrument('chronograph', true, (value) => void shoot(String(value), 'chronograph'));
  const withdraw = async (shot: string) => {
    const gone = await acts.act(`withdraw ${shot}`, () =>
      answer(api.POST('/api/bows/{bowId}/chronograph/{id}/withdraw', { params: { path: { bowId, id: shot } } })),
    );
    if (gone) done();
  };
  return (
    <div className={s.panes}>
      <section aria-label="Chronograph">
        <h2>Chronograph</h2>
        <LiveReading last={chrono.last} trouble={chrono.trouble} unit="ft/s" />
        {asked && (
          <Question keep="Yes, it flew so: keep it" onKeep={() => void keepAsked()} onLeave={acts.clear}>
            {far}
          </Question>
        )}
        {data && (
          <>
            <Field
              label="Arrow weight"
              name="arrowGrains"
              quantity="weight"
              value={grains}
              onChange={setTyped}
              fault={faults.grains?.[0]}
              first={grains === ''}
            />
            <ReadingField
              label="Or type the speed, one shot after the other"
              name="speed"
              quantity="speed"
              fault={far ? `${far} Enter once more keeps it.` : faults.speed?.[0]}
              onTake={typedSpeed}
              onEmpty={keepAsked}
              first={grains !== ''}
            />
          </>
        )}
        {(chrono.last?.simulated ?? true) && (
          <div className={l.row}>
            <Simulated what="simulated shot" />
            <Key
              data-testid="shoot"
              onClick={() =>
                void chrono.order({
                  order: 'shoot',
                  value: Number(grains) || 400,
                  bowId,
                })
              }
            >
              Shoot one through
            </Key>
          </div>
        )}
        <p className={w.muted}>
          Three or more shots, the mean and not the first. Then a much lighter or heavier arrow.
        </p>
      </section>
      <section aria-label="What it taught">
        <h2 data-testid="speed-words">{data?.words}</h2>
        {data?.virtualMass != null && (
          <p className={w.tabular}>
            Virtual mass K {withUnit(data.virtualMass, 'gr', 1, units)} ±{' '}
            {withUnit(data.virtualMassError!, 'gr', 1, units)}, energy {withUnit(data.energy!, 'ft·lb', 2, units)} ±{' '}
            {withUnit(data.energyError!, 'ft·lb', 2, units)}.
          </p>
        )}
        <Scroller label="Readings by arrow weight">
          <Table>
            <thead>
              <tr>
                <th scope="col">arrow</th>
                <th scope="col">shots</th>
                <th scope="col">mean</th>
                <th scope="col">spread</th>
                <th scope="col">over nominal</th>
                <th scope="col">energy</th>
                <th scope="col">efficiency</th>
                <th scope="col">momentum</th>
                <th scope="col">readings</th>
              </tr>
            </thead>
            <tbody>
              {data?.strings.map((string) => (
                <tr key={string.grains}>
                  <th scope="row">{withUnit(string.grains, 'gr', 1, units)}</th>
                  <td>{string.count}</td>
                  <td>{withUnit(string.mean, 'ft/s', 1, units)}</td>
                  <td>{string.spread === null ? '' : number(string.spread, 1)}</td>
                  <td>{signed(string.overNominal, 1)} %</td>
                  <td>{withUnit(string.energy, 'ft·lb', 1, units)}</td>
                  <td>{number(string.efficiency, 0)} %</td>
                  <td>{withUnit(string.momentum, 'slug·ft/s', 3, units)}</td>
                  <td>
                    {string.shots.map((shot) => (
                      <Plain
                        key={shot.id}
                        aria-label={`Take back ${number(shot.speed, 1)}`}
                        onClick={() => void withdraw(shot.id)}
                      >
                        {number(shot.speed, 1)}
                        {string.odd.includes(shot.id) && ' odd'}
                      </Plain>
                    ))}
                    {string.shots.length < string.count && (
                      <Plain onClick={() => setAll(true)}>All {string.count}</Plain>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </Table>
        </Scroller>
        {data?.nominalWords && <p className={w.muted}>{data.nominalWords}</p>}
        <p className={w.muted}>Press a reading to take it back. An odd one is asked about, never dropped by itself.</p>
      </section>
    </div>
  );
}
