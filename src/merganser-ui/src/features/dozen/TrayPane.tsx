import { useState } from 'react';
import { Empty } from '../../parts/Empty';
import { Field } from '../../parts/Field';
import { number, showChange, withUnit } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import { FileLink, Plain } from '../../parts/Buttons';
import { Note } from '../../parts/Note';
import { Body } from '../../parts/Page';
import { Scroller, Table, differs } from '../../parts/Table';
import { Tick } from '../../parts/Tick';
import { RetiredArrows } from './RetiredArrows';
import type { Dozen, DozenWork } from './useDozen';
import { blank } from './WeighPane';
import w from '../../parts/words.module.css';
import l from '../../parts/layout.module.css';
import panes from './Panes.module.css';
import s from './TrayPane.module.css';

/** The build list: which pieces make which arrow, ticked as it is assembled; and the arrow's own record. */
export function TrayPane({ dozen, work }: { dozen: Dozen; work: DozenWork }) {
  const units = useUnits();
  const use = dozen.tray.filter((a) => !a.retired);
  const [open, setOpen] = useState<number>(use.find((a) => a.state !== 'verified')?.number ?? 1);
  const arrow = use.find((a) => a.number === open) ?? use[0];
  const done = (step: string) => step in arrow!.tickIds;
  if (dozen.tray.length === 0)
    return (
      <Body>
        <Empty of="dozen">Match the pieces first: then the build list stands here.</Empty>
      </Body>
    );
  const made = (word: string, value: string | null, note: string | null = null) =>
    work.enter(dozen.id, { ...blank, kind: 'made', number: open, word, value, note });
  return (
    <div className={panes.tray}>
      <section aria-label="Build list">
        <h2>Build list</h2>
        <Scroller label="Arrows and their pieces">
          <Table>
            <thead>
              <tr>
                <th scope="col">arrow</th>
                {dozen.classes.map((c) => (
                  <th key={c.name} scope="col">
                    {c.name}
                  </th>
                ))}
                <th scope="col">weight</th>
                <th scope="col">state</th>
                <th scope="col">built</th>
              </tr>
            </thead>
            <tbody>
              {use.map((a) => (
                <tr key={a.number} className={a.number === open ? differs : undefined} data-arrow={a.number}>
                  <th scope="row">
                    <Plain onClick={() => setOpen(a.number)} aria-pressed={a.number === open}>
                      Arrow {a.number}
                    </Plain>
                  </th>
                  {dozen.classes.map((c) => (
                    <td key={c.name}>{a.pieces[c.name]?.join('·')}</td>
                  ))}
                  <td>
                    {withUnit(a.total, 'gr', 1, units)}{' '}
                    <small className={w.muted}>{showChange(a.deviation, 'gr', 1, units)}</small>
                  </td>
                  <td>
                    {a.state}
                    {a.locked && ', locked'}
                    {a.repaired && ', repaired'}
                    {a.practice && ', practice only'}
                  </td>
                  <td>
                    {a.built === null
                      ? ''
                      : `${withUnit(a.built, 'gr', 1, units)}, glue and wrap ${showChange(a.glueAndWrap!, 'gr', 1, units)}`}
                  </td>
                </tr>
              ))}
            </tbody>
          </Table>
        </Scroller>
        <RetiredArrows dozen={dozen} />
        <p className={l.row}>
          <FileLink href={`/api/dozens/${dozen.id}/tray.pdf`} download>
            Print the list
          </FileLink>
          <FileLink href={`/api/dozens/${dozen.id}/export.csv`} download>
            CSV
          </FileLink>
          <FileLink href={`/api/dozens/${dozen.id}`} download="dozen.json">
            JSON
          </FileLink>
        </p>
      </section>
      {arrow && (
        <section aria-label={`Arrow ${arrow.number}`} key={arrow.number}>
          <h2>
            Arrow {arrow.number} <small className={w.muted}>{arrow.state}</small>
          </h2>
          <ol className={s.assembly} data-testid="assembly">
            {dozen.steps.map((step) => (
              <li key={step.code}>
                <Tick
                  checked={done(step.code)}
                  disabled={work.busy}
                  step={step.code}
                  onChange={() =>
                    void (done(step.code)
                      ? work.withdraw(dozen.id, arrow.tickIds[step.code]!)
                      : work.enter(dozen.id, { ...blank, kind: 'tick', number: arrow.number, word: step.code }))
                  }
                >
                  <span>
                    {step.words}
                    {step.caution && <small> {step.caution}</small>}
                  </span>
                </Tick>
              </li>
            ))}
          </ol>
          <Tick
            checked={arrow.stays}
            disabled={work.busy || (arrow.stays && !arrow.locked)}
            onChange={() => void made('locked', null, arrow.locked ? '' : 'yes')}
          >
            <span>
              Stays as it is when the rest is matched again
              {arrow.stays && !arrow.locked && <small> it is begun</small>}
            </span>
          </Tick>
          <div className={l.smallFields}>
            <Made
              label="Built weight"
              quantity="weight"
              value={arrow.built}
              onKeep={(v) => made('built', v)}
              fault={work.faults.value?.[0]}
            />
            <Made label="Balance point" quantity="length" value={arrow.balance} onKeep={(v) => made('balance', v)} />
            <Made label="Nock turned to" value={arrow.nockMark} onKeep={(v) => made('nock', null, v)} />
            <Made label="Paper result" value={arrow.paper} onKeep={(v) => made('paper', null, v)} />
            <Made label="Note" value={arrow.note} onKeep={(v) => made('note', null, v)} />
            <Made label="Renewed: pin, vane, nock" value={arrow.repaired} onKeep={(v) => made('repaired', null, v)} />
            <Made label="Practice only, why" value={arrow.practice} onKeep={(v) => made('practice', null, v)} />
            <Made label="Retired, why" value={arrow.retiredWhy} onKeep={(v) => made('retired', null, v)} />
          </div>
          {arrow.repaired && (
            <Note word={`Repaired: ${arrow.repaired}.`}>
              Its weight, the turn of its nock and its paper count from there: weigh, turn and verify it again.
            </Note>
          )}
          <p>
            FOC {number(arrow.frontOfCenter, 1)} % from its pieces
            {arrow.builtFrontOfCenter !== null && `, ${number(arrow.builtFrontOfCenter, 1)} % as built`}.
            {arrow.glueAndWrap !== null &&
              ` Glue and what was not weighed: ${withUnit(arrow.glueAndWrap, 'gr', 1, units)}.`}
          </p>
        </section>
      )}
    </div>
  );
}

function Made({
  label,
  value,
  quantity,
  onKeep,
  fault,
}: {
  label: string;
  value: number | string | null;
  quantity?: 'weight' | 'length';
  onKeep: (text: string) => Promise<unknown>;
  fault?: string;
}) {
  const [text, setText] = useState(value === null ? '' : String(value));
  return (
    <Field
      label={label}
      name={label.toLowerCase().replace(/\W+/g, '-')}
      quantity={quantity}
      value={text}
      onChange={setText}
      fault={text !== '' && text !== String(value ?? '') ? fault : undefined}
      onEnter={() => void onKeep(text)}
      hint="Enter keeps it"
    />
  );
}
