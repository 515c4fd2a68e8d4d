import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { Plain } from '../../parts/Buttons';
import { Sections } from '../../parts/Sections';
import { Scroller, Table } from '../../parts/Table';
import { classes } from '../../parts/classes';
import { shortDay } from '../../units/days';
import w from '../../parts/words.module.css';
import type { Visit } from './useVisits';
import s from './Visit.module.css';

type Row = Schemas['DifferenceRow'];

const SECTIONS = [
  ['bow', 'The bow'],
  ['arrow', 'The arrow'],
  ['results', 'Results'],
] as const;

/** As found, and as it stands or left: what differs is strong. */
export function FoundTable({ visit }: { visit: Visit }) {
  const [same, setSame] = useState(false);
  const shown = visit.rows.filter((row) => row.differs || same || visit.rows.every((r) => !r.differs));
  const hidden = visit.rows.filter((row) => !row.differs).length;
  const left = visit.line.handedOverAt;
  return (
    <>
      <Scroller label="As found and now">
        <Table className={s.found}>
          <thead>
            <tr>
              <th scope="col">What</th>
              <th scope="col">as found, {shortDay(visit.line.arrivedAt)}</th>
              <th scope="col">{left ? `as it left, ${shortDay(left)}` : 'now'}</th>
              <th scope="col">change</th>
            </tr>
          </thead>
          <Sections
            names={SECTIONS}
            rows={shown}
            columns={4}
            className={s.section}
            row={(row) => <FoundRow key={row.name} row={row} />}
          />
        </Table>
      </Scroller>
      {hidden > 0 && hidden < visit.rows.length && (
        <Plain aria-expanded={same} onClick={() => setSame(!same)}>
          {same ? 'Hide what is the same' : `${hidden} values are as found: show them`}
        </Plain>
      )}
    </>
  );
}

const FoundRow = ({ row }: { row: Row }) => (
  <tr className={classes(!row.differs && w.muted)}>
    <th scope="row">{row.name}</th>
    <td>{row.then}</td>
    <td>{row.differs ? <b>{row.now}</b> : row.now}</td>
    <td>{row.differs ? row.change || 'differs' : ''}</td>
  </tr>
);
