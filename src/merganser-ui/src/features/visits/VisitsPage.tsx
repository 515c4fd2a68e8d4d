import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { answer, api } from '../../api/client';
import { useEarlier } from '../../api/useEarlier';
import { Drawn } from '../../parts/Drawn';
import { Earlier } from '../../parts/Earlier';
import { Main, Page } from '../../parts/Page';
import { Scroller, Table } from '../../parts/Table';
import { FindLine } from '../../parts/TextLine';
import { classes } from '../../parts/classes';
import { Foot } from '../../shell/Foot';
import { ShellHead } from '../../shell/ShellHead';
import { dayOf } from '../../units/days';
import l from '../../parts/layout.module.css';
import w from '../../parts/words.module.css';
import s from './Visit.module.css';

/** The visits of all bows: those at the bench first. */
export default function VisitsPage() {
  const navigate = useNavigate();
  const [find, setFind] = useState('');
  const load = async (after?: string) => {
    const query = { find: find.trim() || undefined, after: after ? Number(after) : undefined };
    const page = await answer(api.GET('/api/visits', { params: { query } }));
    return { rows: page.visits, earlier: page.after === null ? null : String(page.after) };
  };
  const key = ['visits', 'all', find.trim()];
  const read = useQuery({ queryKey: key, queryFn: () => load(), placeholderData: keepPreviousData });
  const list = useEarlier(key, read.data ?? { rows: [], earlier: null }, (after: string) => load(after));
  const open = list.rows.filter((visit) => visit.handedOverAt === null);
  const first = open[0] ?? list.rows[0];
  return (
    <Page>
      <ShellHead at={null} title="Visits" />
      <Main kind="inset">
        <div className={classes(l.row, s.listTitle)}>
          <h1>Visits</h1>
          <FindLine
            className={l.far}
            label="Find a bow, a person or what was wanted"
            placeholder="bow, person or work"
            value={find}
            onChange={setFind}
            maxLength={60}
          />
        </div>
        {list.rows.length === 0 && <Drawn of="visit" waits={!read.data} />}
        {read.data && list.rows.length === 0 && (
          <p>{find ? 'No visit is so.' : 'No bow was brought in yet. A visit is begun at its bow, under Visits.'}</p>
        )}
        {list.rows.length > 0 && (
          <Scroller label="Visits">
            <Table className={s.listed}>
              <thead>
                <tr>
                  <th scope="col">Bow</th>
                  <th scope="col">Whose</th>
                  <th scope="col">Came</th>
                  <th scope="col">Wanted</th>
                  <th scope="col">Left</th>
                  <th scope="col">Next</th>
                </tr>
              </thead>
              <tbody>
                {list.rows.map((visit) => (
                  <tr key={visit.id}>
                    <th scope="row">
                      <Link className={s.to} to={`/bows/${visit.bowId}/visit?visit=${visit.id}`}>
                        {visit.bow}, visit {visit.number}
                      </Link>
                    </th>
                    <td>{visit.owner}</td>
                    <td>{dayOf(visit.arrivedAt)}</td>
                    <td className={s.wanted}>{visit.wants}</td>
                    <td>{visit.handedOverAt ? dayOf(visit.handedOverAt) : <b>at the bench</b>}</td>
                    <td>{visit.nextOn ? dayOf(visit.nextOn) : ''}</td>
                  </tr>
                ))}
              </tbody>
            </Table>
          </Scroller>
        )}
        <Earlier list={list} />
        <p className={w.muted}>{open.length > 0 && `${open.length} at the bench.`}</p>
      </Main>
      <Foot
        trouble={read.isError && !read.data}
        sentence={
          read.isError && !read.data
            ? read.error.message
            : first
              ? `${first.bow}, visit ${first.number}${first.handedOverAt ? ' is handed over' : ' is open'}.`
              : 'Nothing is at the bench.'
        }
        reason={first?.wants ?? ''}
        button={read.isError && !read.data ? 'Try again' : first ? 'Open it' : 'To the rack'}
        busy={!read.data && !read.isError}
        onGo={() =>
          read.isError && !read.data
            ? void read.refetch()
            : void navigate(first ? `/bows/${first.bowId}/visit?visit=${first.id}` : '/')
        }
        alternative={first ? 'To the rack' : null}
        onAlternative={() => void navigate('/')}
      />
    </Page>
  );
}
