import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answer, api } from '../../api/client';
import { Scroller, Table } from '../../parts/Table';
import { useFigures } from '../../units/UnitsContext';
import type { Flight } from './useFlight';
import w from '../../parts/words.module.css';
import s from './FlightPage.module.css';

/** What to set the sight for on a slope, from the path itself. */
export function SlopesPane({ bowId, view }: { bowId: string; view: Flight }) {
  const { figure } = useFigures();
  const distances = [...new Set(view.slopes.map((slope) => slope.yards))];
  const slopes = [...new Set(view.slopes.map((slope) => slope.slope))];
  return (
    <>
      <h1>Uphill and downhill</h1>
      <p className={w.muted}>
        Distances along the line of sight. Set the sight for what stands in the table; smaller beneath it: what the rule
        of the level distance says. Hold the bow upright on a slope: look at the bubble, not at the hill.
      </p>
      <Scroller label="What to set on a slope">
        <Table>
          <thead>
            <tr>
              <th scope="col">slope</th>
              {distances.map((yards) => (
                <th key={yards} scope="col">
                  {figure(yards, 'yd', 0)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody data-testid="slopes">
            {slopes.map((slope) => (
              <tr key={slope}>
                <th scope="row">
                  <Slope degrees={slope} />
                </th>
                {distances.map((yards) => {
                  const at = view.slopes.find((row) => row.slope === slope && row.yards === yards);
                  return (
                    <td key={yards} className={w.tabular}>
                      {at && (
                        <>
                          <b className={s.set}>{at.set}</b>
                          <small className={w.muted}>{at.byCosine}</small>
                          {at.high && <small> {at.high} high</small>}
                        </>
                      )}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </Table>
      </Scroller>
      {view.hasSight && <ThirdAxis bowId={bowId} />}
    </>
  );
}

const tilted = { degrees: 1, zero: 20, slope: 30 };

/** What a sight that leans on its third axis costs on a slope. */
function ThirdAxis({ bowId }: { bowId: string }) {
  const { figure } = useFigures();
  const cants = useQuery({
    queryKey: ['cants', bowId, tilted],
    queryFn: () => answer(api.GET('/api/bows/{id}/cants', { params: { path: { id: bowId }, query: tilted } })),
  });
  if (!cants.data) return null;
  return (
    <>
      <h2>One degree off on the third axis, {tilted.slope}° up</h2>
      <p data-testid="third-axis">
        {cants.data.rows
          .map((row) => `${figure(row.yards, 'yd', 0)}: ${figure(Math.abs(row.thirdAxisUphill), 'in', 1)} aside`)
          .join('; ')}
        . Downhill to the other side. <Link to={`/bows/${bowId}/bow?way=sights`}>Sight axes</Link>
      </p>
    </>
  );
}

/** A slope as it lies, with its degrees. */
function Slope({ degrees }: { degrees: number }) {
  const rise = Math.tan((degrees * Math.PI) / 180) * 40;
  return (
    <span className={s.slope}>
      <svg width="52" height="34" viewBox="0 -17 52 34" aria-hidden="true">
        <path d={`M4 ${rise / 2}H48`} stroke="var(--line)" strokeWidth="1.5" />
        <path d={`M4 ${rise / 2}L48 ${-rise / 2}`} stroke="var(--ink)" strokeWidth="3" />
      </svg>
      {degrees > 0 ? `${degrees}° up` : `${-degrees}° down`}
    </span>
  );
}
