import { memo, useRef } from 'react';
import type { Schemas } from '../../api/client';
import { arrowPaths, layout } from '../../drawing/arrow';
import { number, show } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import { Scroller, TakeAlong } from '../../parts/Table';
import { classes } from '../../parts/classes';
import { ArrowParts } from './ArrowParts';
import { measuresOf } from './measures';
import warned from './warned.module.css';
import s from './Beside.module.css';

const WIDTH = 480;
const THICK = 1.25;

export interface BesideRow {
  id: string;
  name: string;
  arrow: Schemas['Arrow'];
  summary: Schemas['ArrowSummary'];
}

/** This arrow under the others on one ruler: the figures that differ, and the drawing. */
export const Beside = memo(function Beside({ rows }: { rows: BesideRow[] }) {
  const units = useUnits();
  const table = useRef<HTMLTableElement>(null);
  const unit = (code: string) => show(0, code, 0, units).unit;
  const longest = Math.max(...rows.map((r) => r.arrow.cutLength));
  const at = layout(WIDTH, longest);
  return (
    <Scroller label="Arrows beside each other">
      <table ref={table} className={s.beside}>
        <thead>
          <tr>
            <th scope="col">Beside it</th>
            <th scope="col">{unit('gr')}</th>
            <th scope="col">{unit('gr/lb')}</th>
            <th scope="col">FOC %</th>
            <th scope="col" className={s.words}>
              fit
            </th>
            <th scope="col">{unit('ft/s')}</th>
            <th scope="col">{unit('ft·lb')}</th>
            <th scope="col" className={classes(s.words, s.drawn)}>
              one ruler for all, not to scale across
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row, i) => (
            <tr key={row.id}>
              <th scope="row">{row.name}</th>
              <td>{show(row.summary.grains, 'gr', 1, units).value}</td>
              <td className={row.summary.cautions.includes('light-arrow') ? warned.warned : undefined}>
                {show(row.summary.grainsPerPound, 'gr/lb', 2, units).value}
              </td>
              <td>{number(row.summary.frontOfCenter, 1)}</td>
              <td className={s.words}>
                <b>{number(row.summary.ratio, 2)}</b> {row.summary.words}
              </td>
              <td>{show(row.summary.speed, 'ft/s', 0, units).value}</td>
              <td>{show(row.summary.kineticEnergy, 'ft·lb', 1, units).value}</td>
              <td className={s.drawn}>
                <svg
                  width="100%"
                  height="22"
                  viewBox={`0 0 ${WIDTH} 24`}
                  aria-hidden="true"
                  preserveAspectRatio="xMinYMid meet"
                >
                  <ArrowParts paths={arrowPaths(measuresOf(row.arrow), at, 10, THICK)} chosen={null} />
                  <line
                    x1={at.x(row.arrow.cutLength / 2)}
                    x2={at.x(row.arrow.cutLength / 2)}
                    y1="1"
                    y2="20"
                    stroke="var(--ink)"
                    strokeDasharray="3 2"
                  />
                  <path
                    d={`M${at.x(row.summary.balancePoint)} 14l-5 9h10z`}
                    fill={i === 0 ? 'var(--bill)' : 'var(--ink2)'}
                  />
                </svg>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <TakeAlong of={table} />
    </Scroller>
  );
});
