import { number, signed } from '../../units/units';
import { Empty } from '../../parts/Empty';
import { Body } from '../../parts/Page';
import { Scroller, Table, differs } from '../../parts/Table';
import { RetiredArrows } from './RetiredArrows';
import type { Dozen } from './useDozen';
import w from '../../parts/words.module.css';

const NOT_SPUN = 0.003;

/** The arrows' own records, the best spinners first: what goes into the quiver today. */
export function QuiverPane({ dozen }: { dozen: Dozen }) {
  const shaftOf = (a: Dozen['tray'][number]) => dozen.shafts.find((s) => s.number === a.pieces.Shaft?.[0]);
  const runOut = (a: Dozen['tray'][number]) => shaftOf(a)?.crookedness ?? NOT_SPUN;
  const practice = (a: Dozen['tray'][number]) => (a.practice === null ? 0 : 1);
  const sorted = dozen.tray
    .filter((a) => !a.retired)
    .toSorted((a, b) => practice(a) - practice(b) || runOut(a) - runOut(b));
  const first = new Set(sorted.filter((a) => a.practice === null).slice(0, 5));
  return (
    <Body>
      <h2>The five that spin best go first</h2>
      <Scroller label="Arrows">
        <Table>
          <thead>
            <tr>
              <th scope="col">arrow</th>
              <th scope="col">run-out</th>
              <th scope="col">spine mark</th>
              <th scope="col">weight, gr</th>
              <th scope="col">FOC %</th>
              <th scope="col">nock</th>
              <th scope="col">paper</th>
              <th scope="col">state</th>
              <th scope="col">note</th>
            </tr>
          </thead>
          <tbody>
            {sorted.map((a) => {
              const shaft = shaftOf(a);
              return (
                <tr key={a.number} className={first.has(a) ? differs : undefined}>
                  <th scope="row">
                    Arrow {a.number}
                    {first.has(a) && ', quiver'}
                  </th>
                  <td>{shaft?.runOut ? number(shaft.runOut, 4) : (shaft?.grade ?? 'not spun')}</td>
                  <td>{shaft?.indexMark}</td>
                  <td>
                    {number(a.built ?? a.total, 1)} <small className={w.muted}>{signed(a.deviation, 1)}</small>
                  </td>
                  <td>{number(a.builtFrontOfCenter ?? a.frontOfCenter, 1)}</td>
                  <td>{a.nockMark}</td>
                  <td>{a.paper}</td>
                  <td>{a.practice === null ? a.state : 'practice only'}</td>
                  <td>{[a.practice, a.repaired && `renewed: ${a.repaired}`, a.note].filter(Boolean).join('; ')}</td>
                </tr>
              );
            })}
          </tbody>
        </Table>
      </Scroller>
      <RetiredArrows dozen={dozen} />
      {sorted.length === 0 && <Empty of="dozen">No arrow yet: match the pieces first.</Empty>}
    </Body>
  );
}
