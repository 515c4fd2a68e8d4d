import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, faultsOf, type Schemas } from '../../api/client';
import { useActs } from '../../api/useActs';
import { scale } from '../../drawing/chart';
import { Empty } from '../../parts/Empty';
import { Key, Plain } from '../../parts/Buttons';
import { Column, Columns } from '../../parts/Columns';
import { Field } from '../../parts/Field';
import { Fault } from '../../parts/Note';
import { NoteField } from '../../parts/NoteField';
import { Table } from '../../parts/Table';
import { useFigures } from '../../units/UnitsContext';
import l from '../../parts/layout.module.css';
import w from '../../parts/words.module.css';

type Crawl = Schemas['CrawlView'];

/** A string walker's marks: the crawl for each distance, with the nocking point that it was shot with. */
export function CrawlsPane({ bowId }: { bowId: string }) {
  const { figure } = useFigures();
  const [distance, setDistance] = useState('');
  const [crawl, setCrawl] = useState('');
  const [note, setNote] = useState('');
  const [asked, setAsked] = useState('');
  const path = { id: bowId };
  const crawls = useQuery({
    queryKey: ['crawls', bowId],
    queryFn: () => answer(api.GET('/api/bows/{id}/crawls', { params: { path } })),
  });
  // Asked for by itself: what cannot be read yet while it is typed leaves the marks where they are.
  const between = useQuery({
    queryKey: ['crawl between', bowId, asked],
    queryFn: () => answer(api.GET('/api/bows/{id}/crawls', { params: { path, query: { distance: asked } } })),
    enabled: asked.trim() !== '',
    placeholderData: keepPreviousData,
  });
  const queries = useQueryClient();
  const acts = useActs(`crawls ${bowId}`);
  const put = (mark: { distance: string; crawl: string; note: string }) =>
    acts
      .act(`crawl ${JSON.stringify(mark)}`, (id) =>
        answer(api.POST('/api/bows/{id}/crawls', { params: { path }, body: { id, ...mark } })),
      )
      .then((kept) => {
        if (kept === null) return false;
        queries.setQueryData(['crawls', bowId], kept);
        void queries.invalidateQueries({ queryKey: ['crawl between', bowId] });
        return true;
      });
  const missing = crawl.trim() === '';
  const keep = async () => {
    if (missing || !(await put({ distance, crawl, note }))) return;
    setDistance('');
    setCrawl('');
    setNote('');
    document.querySelector<HTMLElement>('[name=distance]')?.focus();
  };
  const [given, setGiven] = useState<Crawl | null>(null);
  const giveUp = async (mark: Crawl) => {
    if (await put({ distance: mark.distance, crawl: '', note: '' })) setGiven(mark);
  };
  const back = async (mark: Crawl) => {
    if (await put({ distance: mark.distance, crawl: mark.typed, note: mark.note })) setGiven(null);
  };
  const marks = crawls.data?.marks ?? [];
  const faults = acts.faults;
  return (
    <Columns>
      <Column label="A mark">
        <h2>A mark that was shot in</h2>
        <p className={w.muted}>
          Tune and read bare shafts at the crawl that is shot most. Measure on the string, from the nock down to the top
          of the tab.
        </p>
        <Field
          label="Distance"
          name="distance"
          quantity="distance"
          value={distance}
          onChange={setDistance}
          fault={faults.distance?.[0]}
          first
        />
        <Field
          label="Crawl below the nock"
          term="crawl"
          name="crawl"
          quantity="length"
          value={crawl}
          onChange={setCrawl}
          onEnter={() => void keep()}
          fault={faults.crawl?.[0]}
          hint="0 with the hand at the nock"
        />
        <NoteField label="Note" placeholder="stitches of the tab, the anchor" value={note} onChange={setNote} />
        {acts.problem && Object.keys(faults).length === 0 && <Fault>{acts.problem.message}</Fault>}
        <div className={l.row}>
          <Key disabled={acts.busy || missing || distance.trim() === ''} onClick={() => void keep()}>
            Keep this mark
          </Key>
        </div>
        {crawls.data?.nockingPoint && (
          <p className={w.muted}>It is kept with the nocking point as it stands: {crawls.data.nockingPoint}.</p>
        )}
      </Column>
      <Column wide label="The marks">
        <h2>Marks</h2>
        {given && (
          <div className={l.row} role="status">
            <span>The mark at {figure(given.yards, 'yd', 0)} was given up.</span>
            <Plain onClick={() => void back(given)}>Put it back</Plain>
          </div>
        )}
        {crawls.data && marks.length === 0 ? (
          <Empty of="crawl">
            No mark yet. Shoot the nearest distance first: its crawl is the longest, and each farther one is shorter
            until the hand is at the nock.
          </Empty>
        ) : (
          <Marks marks={marks} onGiveUp={(mark) => void giveUp(mark)} busy={acts.busy} />
        )}
        {marks.length > 1 && (
          <>
            <Field
              label="A distance between"
              name="between"
              quantity="distance"
              value={asked}
              onChange={setAsked}
              fault={faultsOf(between.error).distance?.[0]}
            />
            {asked.trim() !== '' && between.data?.asked && <Asked asked={between.data.asked} />}
          </>
        )}
      </Column>
    </Columns>
  );
}

function Asked({ asked }: { asked: Schemas['CrawlAsked'] }) {
  const { figure } = useFigures();
  return (
    <p data-testid="crawl-asked">
      {asked.crawl !== null && <b className={w.tabular}>{figure(asked.crawl, 'in', 2)}</b>} {asked.words}
    </p>
  );
}

function Marks({ marks, onGiveUp, busy }: { marks: Crawl[]; onGiveUp: (mark: Crawl) => void; busy: boolean }) {
  const { figure } = useFigures();
  const longest = Math.max(0.01, ...marks.map((m) => m.crawl));
  const bar = scale(0, longest, 2, 82);
  return (
    <Table>
      <thead>
        <tr>
          <th scope="col">distance</th>
          <th scope="col">crawl</th>
          <th scope="col">how it stands</th>
          <th scope="col">
            <span className="visually-hidden">Give it up</span>
          </th>
        </tr>
      </thead>
      <tbody data-testid="crawls">
        {marks.map((mark) => (
          <tr key={mark.yards} data-state={mark.state}>
            <th scope="row">{figure(mark.yards, 'yd', 0)}</th>
            <td>
              {figure(mark.crawl, 'in', 2)}
              <svg width="84" height="14" aria-hidden="true" display="block">
                <line x1="2" x2="82" y1="7" y2="7" stroke="var(--line)" strokeWidth="2" />
                <line
                  x1="2"
                  x2={bar(mark.crawl)}
                  y1="7"
                  y2="7"
                  stroke="var(--ink)"
                  strokeWidth="5"
                  strokeDasharray={mark.state === 'stands' ? undefined : '5 4'}
                />
              </svg>
            </td>
            <td>
              {mark.words}
              {mark.nockingPoint && <small className={w.muted}> Nocking point then: {mark.nockingPoint}.</small>}
              {mark.note && <em> {mark.note}</em>}
            </td>
            <td>
              <Plain disabled={busy} onClick={() => onGiveUp(mark)} aria-label={`Give it up: ${mark.distance}`}>
                Give it up
              </Plain>
            </td>
          </tr>
        ))}
      </tbody>
    </Table>
  );
}
