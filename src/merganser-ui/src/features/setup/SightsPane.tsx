import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, faultsOf } from '../../api/client';
import { Field } from '../../parts/Field';
import { scale } from '../../drawing/chart';
import { withUnit } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import { Column, Columns } from '../../parts/Columns';
import { Scroller, Table } from '../../parts/Table';
import w from '../../parts/words.module.css';

/** What a degree costs at this bow's speed and distances, flat and on a slope. */
export function SightsPane({ bowId }: { bowId: string }) {
  const units = useUnits();
  const [degrees, setDegrees] = useState('1');
  const [zero, setZero] = useState('20');
  const [slope, setSlope] = useState('30');
  const [speed, setSpeed] = useState('');
  const [distance, setDistance] = useState('');
  const asked = {
    degrees: value(degrees),
    zero: value(zero),
    slope: value(slope),
    speed: value(speed) || undefined,
    distance: value(distance) || undefined,
  };
  const table = useQuery({
    queryKey: ['cants', bowId, asked],
    queryFn: () => answer(api.GET('/api/bows/{id}/cants', { params: { path: { id: bowId }, query: asked } })),
    placeholderData: keepPreviousData,
  });
  const faults = faultsOf(table.error);
  // While an entry cannot be read, the table is that of the last one that could.
  const [read, setRead] = useState(table.data);
  if (table.data && table.data !== read) setRead(table.data);
  const shown = table.data ?? read;
  const rows = shown?.rows ?? [];
  const most = Math.max(0.01, ...rows.map((r) => Math.max(r.cant, r.thirdAxisUphill)));
  const bar = scale(0, most, 4, 144);
  return (
    <Columns>
      <Column label="Cant">
        <h2>What a degree costs</h2>
        <p className={w.muted}>
          Bow plumb first, then the bar (first axis), the housing level (second), then leaned forward, square to the
          line of sight (third). Tightening moves the level: check again after it.
        </p>
        <Field label="Degrees off" name="degrees" value={degrees} onChange={setDegrees} fault={faults.degrees?.[0]} />
        <Field
          label="Sight zeroed at"
          name="zero"
          quantity="distance"
          value={zero}
          onChange={setZero}
          fault={faults.zero?.[0]}
        />
        <Field
          label="Slope of the shot, degrees"
          name="slope"
          value={slope}
          onChange={setSlope}
          fault={faults.slope?.[0]}
        />
        <Field
          label="Another distance"
          name="distance"
          quantity="distance"
          value={distance}
          onChange={setDistance}
          fault={faults.distance?.[0]}
        />
        <Field
          label="Another speed"
          name="speed"
          quantity="speed"
          value={speed}
          onChange={setSpeed}
          fault={faults.speed?.[0]}
          hint="empty takes this bow’s own"
        />
      </Column>
      <Column wide label="The table">
        <h2>
          Sideways at the target{' '}
          {shown && <small className={w.muted}>at {withUnit(shown.speed, 'ft/s', 0, units)}</small>}
        </h2>
        {table.isError && shown && (
          <p className={w.muted}>For what could be read last: an entry is not readable yet.</p>
        )}
        <Scroller label="Sideways at the target">
          <Table>
            <thead>
              <tr>
                <th scope="col">distance</th>
                <th scope="col">bow canted</th>
                <th scope="col">after the zero</th>
                <th scope="col">third axis, uphill</th>
                <th scope="col" aria-hidden="true" />
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <tr key={row.yards}>
                  <th scope="row">{withUnit(row.yards, 'yd', 0, units)}</th>
                  <td>{withUnit(row.cant, 'in', 2, units)}</td>
                  <td>{withUnit(row.cantAfterZero, 'in', 2, units)}</td>
                  <td>{withUnit(row.thirdAxisUphill, 'in', 2, units)}</td>
                  <td aria-hidden="true">
                    <svg width="150" height="26">
                      <line x1="4" x2={bar(row.cant)} y1="8" y2="8" stroke="var(--ink)" strokeWidth="5" />
                      <line
                        x1="4"
                        x2={bar(row.thirdAxisUphill)}
                        y1="19"
                        y2="19"
                        stroke="var(--ink)"
                        strokeWidth="2"
                        strokeDasharray="4 3"
                      />
                    </svg>
                  </td>
                </tr>
              ))}
            </tbody>
          </Table>
        </Scroller>
        <p className={w.muted}>
          Bow canted: drop × sin of the cant, drop ½ g t², in vacuum. After the zero: what is left once the sight was
          set with the same cant at {withUnit(asked.zero, 'yd', 1, units)}. Third axis: drop × cos of the slope × tan of
          the error × tan of the slope, to the other side downhill. Thick bar: canted; dashed: third axis.
        </p>
      </Column>
    </Columns>
  );
}

const value = (text: string) => Number(text.replace(',', '.')) || 0;
