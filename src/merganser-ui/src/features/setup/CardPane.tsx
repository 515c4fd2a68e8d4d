import type { Schemas } from '../../api/client';
import type { Setup } from './useSetup';

/** The set-up card on the screen, and as a page to print. */
export function CardPane({ bow, setup }: { bow: Schemas['BowView']; setup: Setup }) {
  return (
    <div className="history">
      <section className="wide" aria-label="Set-up card">
        <h1>{bow.bow.name}</h1>
        <p className="muted">
          {bow.line}. String: {setup.string.shots} shots.{' '}
          <a href={`/api/bows/${bow.id}/card.pdf`} download={`${bow.bow.name}.pdf`}>
            One page to print (PDF)
          </a>
        </p>
        <table className="card-table">
          <tbody>
            {setup.checks.map((check) => (
              <tr key={check.kind}>
                <th scope="row">{check.title}</th>
                <td>{check.line}</td>
                <td className="muted">{check.state === 'done' && check.verdict ? check.verdict.words : ''}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <section aria-label="Positions">
        <h2>Adjusters, from their marks</h2>
        <table className="card-table">
          <tbody>
            {bow.adjusters.map((a) => (
              <tr key={a.kind}>
                <th scope="row">{a.name}</th>
                <td>{a.standing}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </div>
  );
}
