import type { Schemas } from '../../api/client';
import { Column, Columns } from '../../parts/Columns';
import { Table } from '../../parts/Table';
import type { Setup } from './useSetup';
import w from '../../parts/words.module.css';

/** The set-up card on the screen, and as a page to print. */
export function CardPane({ bow, setup }: { bow: Schemas['BowView']; setup: Setup }) {
  return (
    <Columns>
      <Column wide label="Set-up card">
        <h1>{bow.bow.name}</h1>
        <p className={w.muted}>
          {bow.line}. String: {setup.string.shots} shots.{' '}
          <a href={`/api/bows/${bow.id}/card.pdf`} download={`${bow.bow.name}.pdf`}>
            One page to print (PDF)
          </a>
        </p>
        <Table kind="card">
          <tbody>
            {setup.checks.map((check) => (
              <tr key={check.kind}>
                <th scope="row">{check.title}</th>
                <td>{check.line}</td>
                <td className={w.muted}>{check.state === 'done' ? check.besides : ''}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      </Column>
      <Column label="Positions">
        <h2>Adjusters, from their marks</h2>
        <Table kind="card">
          <tbody>
            {bow.adjusters.map((a) => (
              <tr key={a.kind}>
                <th scope="row">{a.name}</th>
                <td>{a.standing}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      </Column>
    </Columns>
  );
}
