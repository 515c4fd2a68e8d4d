import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api } from '../../api/client';
import { useActs } from '../../api/useActs';
import { Field } from '../../parts/Field';
import { ReadingField } from '../../parts/ReadingField';
import { useRefresh } from '../../api/queries';
import { fieldText, fieldUnit, number, withUnit } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import { Key, Plain } from '../../parts/Buttons';
import { Scroller, Table } from '../../parts/Table';
import { LiveReading } from './LiveReading';
import { useInstrument } from './useInstrument';
import { Simulated } from './Simulated';
import w from '../../parts/words.module.css';
import l from '../../parts/layout.module.css';
import panes from './Panes.module.css';

/** Strings of shots through the chronograph; this bow's virtual mass and energy follow, and every speed figure with them. */
export function SpeedPane({ bowId, grains: first }: { bowId: string; grains: number }) {
  const units = useUnits();
  const queries = useQueryClient();
  const refresh = useRefresh(bowId);
  const [grains, setGrains] = useState(number(first, 1));
  const acts = useActs(`speed ${bowId}`);
  const faults: Record<string, string[]> =
    acts.problem && !acts.faults.speed && !acts.faults.grains ? { speed: [acts.problem.message] } : acts.faults;
  const view = useQuery({
    queryKey: ['chronograph', bowId],
    queryFn: () => answer(api.GET('/api/bows/{bowId}/chronograph', { params: { path: { bowId } } })),
  });
  const done = () => {
    void queries.invalidateQueries({ queryKey: ['chronograph', bowId] });
    void queries.invalidateQueries({ queryKey: ['figures', bowId] });
    refresh();
  };
  const shoot = async (value: string, source: string): Promise<string | null> => {
    const kept = await acts.act(`shot ${grains} ${value} ${source}`, (id) =>
      answer(
        api.POST('/api/bows/{bowId}/chronograph', {
          params: { path: { bowId } },
          body: { id, grains, speed: value, source },
        }),
      ),
    );
    if (!kept) return null;
    done();
    return `taken: ${value}, with ${fieldText(grains, 'weight', units)} ${fieldUnit('weight', units)}`;
  };
  const chrono = useInstrument('chronograph', true, (value) => void shoot(String(value), 'chronograph'));
  const withdraw = async (shot: string) => {
    const gone = await acts.act(`withdraw ${shot}`, () =>
      answer(api.POST('/api/bows/{bowId}/chronograph/{id}/withdraw', { params: { path: { bowId, id: shot } } })),
    );
    if (gone) done();
  };
  const data = view.data;
  return (
    <div className={panes.tray}>
      <section aria-label="Chronograph">
        <h2>Chronograph</h2>
        <LiveReading last={chrono.last} trouble={chrono.trouble} unit="ft/s" />
        <Field
          label="Arrow weight"
          name="arrowGrains"
          quantity="weight"
          value={grains}
          onChange={setGrains}
          fault={faults.grains?.[0]}
        />
        <ReadingField
          label="Or type the speed, one shot after the other"
          name="speed"
          quantity="speed"
          fault={faults.speed?.[0]}
          onTake={(value) => shoot(value, 'typed')}
          first
        />
        {(chrono.last?.simulated ?? true) && (
          <div className={l.row}>
            <Simulated what="simulated shot" />
            <Key
              data-testid="shoot"
              onClick={() =>
                void chrono.order({
                  order: 'shoot',
                  value: Number(grains) || 400,
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
                <th scope="col">energy</th>
                <th scope="col">momentum</th>
                <th scope="col">readings</th>
              </tr>
            </thead>
            <tbody>
              {data?.strings.map((s) => (
                <tr key={s.grains}>
                  <th scope="row">{withUnit(s.grains, 'gr', 1, units)}</th>
                  <td>{s.count}</td>
                  <td>{withUnit(s.mean, 'ft/s', 1, units)}</td>
                  <td>{s.spread === null ? '' : number(s.spread, 1)}</td>
                  <td>{withUnit(s.energy, 'ft·lb', 1, units)}</td>
                  <td>{withUnit(s.momentum, 'slug·ft/s', 3, units)}</td>
                  <td>
                    {s.shots.map((shot) => (
                      <Plain
                        key={shot.id}
                        aria-label={`Take back ${number(shot.speed, 1)}`}
                        onClick={() => void withdraw(shot.id)}
                      >
                        {number(shot.speed, 1)}
                        {s.odd.includes(shot.id) && ' odd'}
                      </Plain>
                    ))}
                  </td>
                </tr>
              ))}
            </tbody>
          </Table>
        </Scroller>
        <p className={w.muted}>Press a reading to take it back. An odd one is asked about, never dropped by itself.</p>
      </section>
    </div>
  );
}
