import { useState } from 'react';
import { Key, Plain } from '../../parts/Buttons';
import { ChoiceRow } from '../../parts/ChoiceRow';
import { Field, Select } from '../../parts/Field';
import { Fault, Note } from '../../parts/Note';
import { Scroller, Table } from '../../parts/Table';
import l from '../../parts/layout.module.css';
import w from '../../parts/words.module.css';
import type { BowVisits, TypedLine, Visit, VisitWork } from './useVisits';
import s from './Visit.module.css';

const EMPTY: TypedLine = { kind: 'part', text: '', quantity: '1', price: '', fromBowId: '' };
const CARRIED = ['Rest', 'Sight', 'Stabiliser', 'Quiver'] as const;

const money = (sum: number) =>
  sum.toLocaleString('en-GB', { minimumFractionDigits: 2, maximumFractionDigits: 2, useGrouping: true });

/** Parts and labour; a price may be left out. */
export function PartsPane({ visit, view, work }: { visit: Visit; view: BowVisits; work: VisitWork }) {
  const [line, setLine] = useState(EMPTY);
  const set = (change: Partial<TypedLine>) => {
    work.clear();
    setLine({ ...line, ...change });
  };
  const open = visit.line.handedOverAt === null;
  const keep = () => void work.addLine(visit.line.id, line).then((ok) => ok && setLine({ ...EMPTY, kind: line.kind }));
  const faults = work.faults;
  const named = ['text', 'quantity', 'price', 'fromBowId'].some((field) => faults[field]);
  return (
    <section aria-label="Parts and labour" data-testid="parts">
      <h2>Parts and labour</h2>
      {visit.lines.length === 0 ? (
        <p className={w.muted}>{open ? 'None yet; they are optional, and so is their price.' : 'None.'}</p>
      ) : (
        <Scroller label="Lines of parts and labour">
          <Table>
            <thead>
              <tr>
                <th scope="col">What</th>
                <th scope="col">How many</th>
                <th scope="col">Each</th>
                <th scope="col">Comes to</th>
                {open && <th scope="col">Wrong?</th>}
              </tr>
            </thead>
            <tbody>
              {visit.lines.map((one) => (
                <tr key={one.id}>
                  <th scope="row">
                    {one.text}
                    {one.fromBow && <span className={w.muted}>, carried over from {one.fromBow}</span>}
                  </th>
                  <td className={w.tabular}>{one.quantity}</td>
                  <td className={w.tabular}>{one.price === null ? '' : money(one.price)}</td>
                  <td className={w.tabular}>{one.sum === null ? '' : money(one.sum)}</td>
                  {open && (
                    <td>
                      <Plain
                        aria-label={`Take back: ${one.text}`}
                        onClick={() => void work.takeBack(visit.line.id, one.id)}
                      >
                        Take back
                      </Plain>
                    </td>
                  )}
                </tr>
              ))}
              {visit.sum !== null && (
                <tr>
                  <th scope="row">In all</th>
                  <td />
                  <td />
                  <td className={w.tabular}>
                    <b>{money(visit.sum)}</b>
                  </td>
                  {open && <td />}
                </tr>
              )}
            </tbody>
          </Table>
        </Scroller>
      )}
      {visit.lines
        .filter((one) => one.brings.length > 0)
        .map((one) => (
          <section key={one.id} aria-label={`${one.text}, its own facts`} data-testid="brings">
            <p>
              <b>
                {one.text} from {one.fromBow}
              </b>
              : what belongs to the part, and this bow’s record says otherwise.
            </p>
            <ul>
              {one.brings.map((fact) => (
                <li key={fact.name}>
                  {fact.name}: {fact.here} here, <b>{fact.there}</b> there
                </li>
              ))}
            </ul>
            <div className={l.row}>
              <Plain disabled={work.busy} onClick={() => void work.takeFacts(visit.line.id, one.id)}>
                Put it on this bow’s record
              </Plain>
            </div>
          </section>
        ))}
      {open && (
        <form
          aria-label="A line of parts or labour"
          className={s.form}
          onSubmit={(event) => {
            event.preventDefault();
            keep();
          }}
        >
          <ChoiceRow<TypedLine['kind']>
            label="What it is"
            value={line.kind}
            onChange={(kind) => set({ kind, text: '' })}
            choices={[
              ['part', 'A part'],
              ['labour', 'Labour'],
              ['carried', 'Carried over'],
            ]}
          />
          {line.kind === 'carried' ? (
            <>
              <ChoiceRow<string>
                label="Which part"
                value={line.text}
                onChange={(text) => set({ text })}
                choices={CARRIED.map((part) => [part, part] as const)}
              />
              <Select
                label="From which bow"
                name="fromBow"
                value={line.fromBowId}
                onChange={(fromBowId) => set({ fromBowId })}
                choices={[
                  { value: '', label: 'choose' },
                  ...view.otherBows.map((bow) => ({ value: bow.id, label: bow.name })),
                ]}
                fault={(faults.fromBowId ?? faults.text)?.[0]}
              />
              <Note word="Measure anew.">
                A part keeps its own screws and marks, never its place: centre shot, nocking point and above all the
                height of the peep are found again on this bow.
              </Note>
            </>
          ) : (
            <div className={l.smallFields}>
              <Field
                label={line.kind === 'part' ? 'Which part' : 'Which work'}
                name="text"
                value={line.text}
                onChange={(text) => set({ text })}
                fault={faults.text?.[0]}
              />
              <Field
                label={line.kind === 'part' ? 'How many' : 'Hours, or how often'}
                name="quantity"
                value={line.quantity}
                onChange={(quantity) => set({ quantity })}
                fault={faults.quantity?.[0]}
              />
              <Field
                label="Price of one, if any"
                name="price"
                value={line.price}
                onChange={(price) => set({ price })}
                fault={faults.price?.[0]}
                onEnter={keep}
              />
            </div>
          )}
          {work.problem && !named && <Fault>{work.problem.message}</Fault>}
          <div className={l.row}>
            <Key type="submit" disabled={work.busy}>
              Put it on the sheet
            </Key>
          </div>
        </form>
      )}
    </section>
  );
}
