import { Drawn } from '../../parts/Drawn';
import { ReadingField } from '../../parts/ReadingField';
import { useFigures } from '../../units/UnitsContext';
import { Scroller, Table } from '../../parts/Table';
import type { Dozen, DozenWork } from './useDozen';
import { blank } from './WeighPane';
import w from '../../parts/words.module.css';
import tray from './Tray.module.css';
import panes from './Panes.module.css';

/** Heads on the straightest arrows, the lightest arrow with the heaviest head; one kept for practice. */
export function HeadsPane({ dozen, work }: { dozen: Dozen; work: DozenWork }) {
  const { figure } = useFigures();
  const { heads } = dozen;
  const next = heads.pieces.length + 1;
  return (
    <div className={panes.tray} data-testid="heads">
      <section aria-label="Heads">
        <h2>Heads</h2>
        <ReadingField
          label={`Head ${next}, weight`}
          name="head"
          quantity="weight"
          fault={work.faults.value?.[0] ?? work.problem?.message}
          onTake={async (value) => {
            const entry = { ...blank, kind: 'piece', class: 'Head', value, word: 'typed' };
            return (await work.enter(dozen.id, entry)) ? `taken: ${value}` : null;
          }}
          hint="or weigh them under Weigh in"
          first
        />
        {heads.pieces.length === 0 && <Drawn of="heads" />}
        <ol className={tray.tray}>
          {heads.pieces.map((p) => (
            <li key={p.number} className={tray.filled}>
              <small>{p.number}</small>
              <b className={w.tabular}>{figure(p.grains, 'gr', 1)}</b>
            </li>
          ))}
        </ol>
        <p className={w.muted}>Broadheads: cutting edges, a wrench, a covered quiver. Weigh arrows without heads.</p>
      </section>
      <section aria-label="Which head goes on which arrow">
        <h2>{heads.words}</h2>
        <Scroller label="Heads on arrows">
          <Table>
            <thead>
              <tr>
                <th scope="col">arrow</th>
                <th scope="col">head</th>
                <th scope="col">together</th>
              </tr>
            </thead>
            <tbody>
              {heads.heads.map((on) => (
                <tr key={on.arrow}>
                  <th scope="row">Arrow {on.arrow}</th>
                  <td>head {on.head}</td>
                  <td>{figure(on.total, 'gr', 1)}</td>
                </tr>
              ))}
            </tbody>
          </Table>
        </Scroller>
        {heads.practice !== null && <p>Head {heads.practice} is the practice head.</p>}
      </section>
    </div>
  );
}
