import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answer, api, type Schemas } from '../../api/client';
import { useEarlier } from '../../api/useEarlier';
import { Earlier } from '../../parts/Earlier';
import { Empty } from '../../parts/Empty';
import { Body, Main } from '../../parts/Page';
import { Foot } from '../../shell/Foot';
import { dayOf } from '../../units/days';
import w from '../../parts/words.module.css';
import s from './EarlierPapers.module.css';

const NONE = { rows: [], earlier: null };
const rows = ({ papers, earlier }: Schemas['PaperPage']) => ({ rows: papers, earlier });
const count = (n: number, one: string) => `${n} ${one}${n === 1 ? '' : 's'}`;

const stands = (paper: Schemas['PaperLine']) =>
  `${paper.kind === 'trial' ? 'a trial, ' : ''}${paper.acceptedAt ? `accepted ${dayOf(paper.acceptedAt)}` : 'open'}`;

/** Every paper and every group of a bow, the newest first; each can be opened as it was. */
export function EarlierPapers({ bowId, onBack }: { bowId: string; onBack: () => void }) {
  const load = (before?: string) =>
    answer(api.GET('/api/bows/{bowId}/papers', { params: { path: { bowId }, query: { before } } }));
  const key = ['papers', bowId, 'lines'];
  const newest = useQuery({ queryKey: key, queryFn: () => load() });
  const list = useEarlier(key, newest.data ? rows(newest.data) : NONE, (before: string) => load(before).then(rows));
  return (
    <>
      <Main kind="ways">
        <Body>
          <h1>Papers and groups of this bow</h1>
          {newest.isError && <p role="alert">{newest.error.message}</p>}
          {newest.data?.papers.length === 0 && (
            <Empty of="paper" title="None yet">
              Nothing was shot with this bow so far.
            </Empty>
          )}
          <ol className={s.papers} data-testid="papers">
            {list.rows.map((paper) => (
              <li key={paper.id}>
                <Link to={`?paper=${paper.id}`}>
                  <b>{dayOf(paper.startedAt)}</b>
                  <span>
                    {paper.arrowName}, version {paper.arrowVersion}
                  </span>
                  <span className={w.tabular}>
                    {count(paper.sets, 'set')}, {count(paper.shots, 'shot')}
                  </span>
                  <span className={w.muted}>{stands(paper)}</span>
                </Link>
              </li>
            ))}
          </ol>
          <Earlier list={list} />
        </Body>
      </Main>
      <Foot
        sentence="Press a paper to see it as it was."
        reason="What was shot then stays as it is; it is worked on at the newest one."
        button="Back to the newest"
        onGo={onBack}
      />
    </>
  );
}
