import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../../api/client';
import { FileLink } from '../../parts/Buttons';
import { Field } from '../../parts/Field';
import { Note } from '../../parts/Note';
import { Scroller, Table } from '../../parts/Table';
import { number, withUnit } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import { GlueSheets } from './GlueSheets';
import { LabelSheet } from './LabelSheet';
import type { Dozen, DozenWork } from './useDozen';
import { blank } from './WeighPane';
import l from '../../parts/layout.module.css';
import w from '../../parts/words.module.css';
import panes from './Panes.module.css';

type Shopping = Schemas['ShoppingList'];

const sheets = [
  ['cut-list', 'Cut list', 'what comes off each shaft, in true size'],
  ['tray', 'Tray list', 'each arrow’s pieces with their weights, steps, glue'],
  ['fletching', 'Fletching sheet', 'jig, places, and a strip in true size around the shaft'],
  ['shopping', 'Shopping list', 'what is needed against what is owned'],
] as const;

/** What goes to the workshop: sheets to print, the jig, the glue, and what is to be bought. */
export function WorkshopPane({ dozen, work }: { dozen: Dozen; work: DozenWork }) {
  const shop = useQuery({
    queryKey: ['dozens', dozen.id, 'workshop', dozen.lastEntryId],
    queryFn: () => answer(api.GET('/api/dozens/{id}/workshop', { params: { path: { id: dozen.id } } })),
  });
  if (!shop.data) return <p className={w.muted}>Looking in the drawer …</p>;
  const { cutList, fletching, joints, shopping, grids } = shop.data;
  return (
    <div className={panes.tray}>
      <section aria-label="Sheets to print">
        <h2>Sheets to print</h2>
        {dozen.tray.length === 0 && (
          <Note word="Not matched yet.">
            The cut list goes by the shafts’ numbers; tray list and labels wait for the match.
          </Note>
        )}
        <ul className={l.bare}>
          {sheets.map(([name, title, what]) => (
            <li key={name} className={l.row}>
              <FileLink href={`/api/dozens/${dozen.id}/${name}.pdf`} download={`${dozen.name}, ${name}.pdf`}>
                {title}
              </FileLink>
              <span className={w.muted}>{what}</span>
            </li>
          ))}
        </ul>
        <LabelSheet dozenId={dozen.id} grids={grids} />
        <CutWords cutList={cutList} />
        {fletching && <Jig dozen={dozen} work={work} fletching={fletching} />}
      </section>
      <section aria-label="Glue and shopping">
        <GlueSheets dozenId={dozen.id} joints={joints} />
        <ShoppingTable shopping={shopping} />
      </section>
    </div>
  );
}

function CutWords({ cutList }: { cutList: Schemas['CutList'] }) {
  const units = useUnits();
  const crooked = cutList.shafts.filter((s) => s.offNock > 0).map((s) => s.shaft);
  const unmarked = cutList.shafts.filter((s) => !s.spare && s.indexMark === null).length;
  return (
    <>
      <h3>Cut</h3>
      <p>
        Each shaft to <b>{withUnit(cutList.tube, 'in', 2, units)}</b>, {withUnit(cutList.off, 'in', 2, units)} off{' '}
        {withUnit(cutList.sold, 'in', 2, units)} as sold, at the point end: the index at the nock end stays.
        {crooked.length > 0 &&
          ` Crooked, half at each end: ${crooked.join(', ')}. Draw their index along the shaft first.`}
        {unmarked > 0 && ` ${unmarked} without an index: find the stiff side at Spin, then cut.`}
      </p>
    </>
  );
}

function Jig({
  dozen,
  work,
  fletching,
}: {
  dozen: Dozen;
  work: DozenWork;
  fletching: NonNullable<Schemas['WorkshopView']['fletching']>;
}) {
  const kept = fletching.degrees === null ? '' : String(fletching.degrees);
  const [text, setText] = useState(kept);
  const units = useUnits();
  return (
    <>
      <h3>Jig</h3>
      <p>
        {fletching.count} vanes, {number(fletching.clocking, 0)}° apart, the first on the index; rear edge{' '}
        {withUnit(fletching.fromTube, 'in', 2, units)} from the end of the tube.
      </p>
      <div className={l.smallFields}>
        <Field
          label="Angle, degrees"
          name="jig"
          value={text}
          onChange={setText}
          fault={text !== kept ? work.faults.value?.[0] : undefined}
          onEnter={() => void work.enter(dozen.id, { ...blank, kind: 'plan', word: 'jig', value: text })}
          hint="to the right; below 0 to the left. Enter keeps it"
        />
      </div>
      {fletching.across !== null && fletching.degrees !== 0 && (
        <p>The front stands {withUnit(fletching.across, 'in', 3, units)} beside the rear.</p>
      )}
    </>
  );
}

function ShoppingTable({ shopping }: { shopping: Shopping }) {
  const buy = shopping.lines.filter((line) => line.toBuy > 0);
  return (
    <>
      <h2>Shopping</h2>
      {buy.length === 0 ? (
        <p>Everything is at hand.</p>
      ) : (
        <Scroller label="Parts to buy">
          <Table>
            <thead>
              <tr>
                <th scope="col">part</th>
                <th scope="col">needs</th>
                <th scope="col">has</th>
                <th scope="col">buy</th>
                <th scope="col">cost</th>
              </tr>
            </thead>
            <tbody>
              {buy.map((line) => (
                <tr key={`${line.class} ${line.name}`}>
                  <th scope="row">
                    {line.name}
                    {line.orderNumber && <small className={w.muted}> {line.orderNumber}</small>}
                  </th>
                  <td>{line.needed}</td>
                  <td>{line.atHand}</td>
                  <td>
                    <b>{line.toBuy}</b>
                  </td>
                  <td>{line.cost === null ? 'no price' : number(line.cost, 2)}</td>
                </tr>
              ))}
            </tbody>
          </Table>
        </Scroller>
      )}
      {shopping.cost > 0 && (
        <p>
          Together <b>{number(shopping.cost, 2)}</b>
          {shopping.unpriced > 0 && `, and ${shopping.unpriced} without a price`}.
        </p>
      )}
      <p className={w.muted}>
        Owned by the catalogue or weighed in here, whichever is more. Price, order number and what is owned stand in the
        catalogue.
      </p>
    </>
  );
}
