import { Link } from 'react-router';
import { Table } from '../../parts/Table';
import { cardOf } from './cardOf';
import type { Flight } from './useFlight';
import w from '../../parts/words.module.css';

/** Crawls and gaps for an archer who aims over the point. */
export function AimPane({ bowId, view }: { bowId: string; view: Flight }) {
  return (
    <>
      <h1>{view.pointOn ?? 'The point is never on at distances that are shot'}</h1>
      <p className={w.muted}>
        From the path, the arrow’s length and the height of the eye over the nock. What a crawl does to speed and tiller
        is left out: what you proved wins. <a href={cardOf(bowId, view.arrowId)}>Print the card</a>
        {view.aims.some((aim) => aim.crawl) && (
          <>
            , <Link to={`/bows/${bowId}/bow?way=crawls`}>write down a crawl that was shot in</Link>
          </>
        )}
        .
      </p>
      <Table>
        <thead>
          <tr>
            <th scope="col">distance</th>
            {view.aims.some((aim) => aim.crawl) && <th scope="col">crawl, computed</th>}
            {view.aims.some((aim) => aim.proven) && <th scope="col">crawl, proven</th>}
            <th scope="col">or, hand at the nock, hold the point</th>
          </tr>
        </thead>
        <tbody data-testid="aims">
          {view.aims.map((aim) => (
            <tr key={aim.distance}>
              <th scope="row">{aim.distance}</th>
              {view.aims.some((other) => other.crawl) && (
                <td className={w.tabular}>{aim.crawl ?? 'beyond point on'}</td>
              )}
              {view.aims.some((other) => other.proven) && (
                <td className={w.tabular}>{aim.proven && <b>{aim.proven}</b>}</td>
              )}
              <td className={w.tabular}>{aim.gap ?? 'out of reach'}</td>
            </tr>
          ))}
        </tbody>
      </Table>
    </>
  );
}
