import { scale } from '../../drawing/chart';
import { Plain } from '../../parts/Buttons';
import { Scroller, Table, differs } from '../../parts/Table';
import { useFigures, useYardsInUnit } from '../../units/UnitsContext';
import type { Flight } from './useFlight';
import w from '../../parts/words.module.css';

const WIDE = 170;

/** The bow's other arrows on one scale: what the range error allows, what the group allows, and both together. */
export function BesideTable({ view, onArrow }: { view: Flight; onArrow: (id: string) => void }) {
  const { figure } = useFigures();
  const yard = useYardsInUnit();
  const most = Math.max(40, ...view.beside.map((row) => Math.max(row.errorAlone ?? 0, row.groupAlone ?? 0)));
  const x = scale(0, most, 8, WIDE - 10);
  const whole = (yards: number | null) => (yards === null ? '' : String(Math.floor(yards / yard + 1e-3)));
  return (
    <Scroller label="Arrows beside each other">
      <Table>
        <thead>
          <tr>
            <th scope="col">beside it</th>
            <th scope="col">weight</th>
            <th scope="col">speed</th>
            <th scope="col">drop, 20 to {figure(40 * yard, 'yd', 0)}</th>
            <th scope="col">□ range error</th>
            <th scope="col">○ your group</th>
            <th scope="col">▼ both</th>
            <th scope="col">
              <span className="visually-hidden">On one scale</span>
            </th>
          </tr>
        </thead>
        <tbody data-testid="beside">
          {view.beside.map((row) => (
            <tr key={row.id} className={row.here ? differs : undefined}>
              <th scope="row">{row.here ? row.name : <Plain onClick={() => onArrow(row.id)}>{row.name}</Plain>}</th>
              <td className={w.tabular}>{row.grains}</td>
              <td className={w.tabular}>{row.speed}</td>
              <td className={w.tabular}>{row.drop}</td>
              {row.caution ? (
                <td colSpan={4}>{row.caution}</td>
              ) : (
                <>
                  <td className={w.tabular}>{whole(row.errorAlone)}</td>
                  <td className={w.tabular}>{whole(row.groupAlone)}</td>
                  <td className={w.tabular}>
                    <b>{whole(row.yards)}</b>
                  </td>
                  <td>
                    <svg width={WIDE} height="26" aria-hidden="true" display="block">
                      <path d={`M8 15H${WIDE - 10}`} stroke="var(--edge)" strokeWidth="1.5" />
                      <rect
                        x={x(row.errorAlone ?? 0) - 5}
                        y="10"
                        width="10"
                        height="10"
                        fill="var(--bench)"
                        stroke="var(--pred)"
                        strokeWidth="2.5"
                      />
                      <circle
                        cx={x(row.groupAlone ?? 0)}
                        cy="15"
                        r="6"
                        fill="var(--bench)"
                        stroke="var(--ink)"
                        strokeWidth="2"
                      />
                      <path d={`M${x(row.yards ?? 0)} 18l-7 -14h14z`} fill="var(--ink)" />
                    </svg>
                  </td>
                </>
              )}
            </tr>
          ))}
        </tbody>
      </Table>
    </Scroller>
  );
}
