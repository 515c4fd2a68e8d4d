import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { Bullets } from '../../parts/List';
import { Table } from '../../parts/Table';
import type { Paper } from './paperTypes';
import w from '../../parts/words.module.css';

/** A trial: which arrows need no move, the points each shaft tolerates, and whether bow or arrow is the cause. */
export function TrialPanel({ trial, paper }: { trial: Schemas['Trial']; paper: Paper }) {
  const left = paper.plan.stillToShoot;
  return (
    <div data-testid="trial">
      <p>
        In work: <b>{paper.sets.at(-1)!.arrowName}</b>.
        {left.length > 0 && ` Then: ${left.map((a) => a.name).join('; ')}.`}
      </p>
      <h2>{trial.cause}</h2>
      {trial.because && <p className={w.muted}>{trial.because}</p>}
      <Table kind="card">
        <thead>
          <tr>
            <th scope="col">Arrow</th>
            <th scope="col">Mean tear</th>
            <th scope="col">Shots</th>
            <th scope="col">Reading</th>
          </tr>
        </thead>
        <tbody>
          {trial.rows.map((row) => (
            <tr key={row.arrow.name}>
              <th scope="row">{row.arrow.name}</th>
              <td>{`${row.length} ± ${row.radius}`}</td>
              <td>{row.mean.count}</td>
              <td>{row.words}</td>
            </tr>
          ))}
        </tbody>
      </Table>
      <p>
        <Link to={`/bows/${paper.bowId}/paper?way=trial`}>Points over shafts</Link>, by figures and by papers.
      </p>
      {trial.ranges.length > 0 && (
        <>
          <h2>Points that need no move, the widest range first</h2>
          <Bullets>
            {trial.ranges.map((range) => (
              <li key={range.shaft}>{range.words}</li>
            ))}
          </Bullets>
        </>
      )}
    </div>
  );
}
