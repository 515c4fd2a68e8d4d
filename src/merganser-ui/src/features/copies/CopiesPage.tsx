import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { answer, api } from '../../api/client';
import { useActs } from '../../api/useActs';
import { Drawn } from '../../parts/Drawn';
import { FileLink } from '../../parts/Buttons';
import { Empty } from '../../parts/Empty';
import { Main, Page } from '../../parts/Page';
import { Scroller, Table } from '../../parts/Table';
import { Foot } from '../../shell/Foot';
import { Bin } from './Bin';
import { OpenData } from './OpenData';
import { People } from './People';
import { ShellHead } from '../../shell/ShellHead';
import { dayOf } from '../../units/days';
import w from '../../parts/words.module.css';
import s from './Copies.module.css';

const size = (bytes: number) =>
  bytes < 1e6 ? `${Math.max(1, Math.round(bytes / 1e3))} kB` : `${(bytes / 1e6).toFixed(1)} MB`;
const time = (at: string) => new Date(at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });

/** Where the data lie, when they were copied last, and a copy now. */
export default function CopiesPage() {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const acts = useActs('copies');
  const read = useQuery({ queryKey: ['copies'], queryFn: () => answer(api.GET('/api/copies')) });
  const view = read.data;
  const newest = view?.copies[0];
  const make = async () => {
    const made = await acts.act('copy', () => answer(api.POST('/api/copies')));
    if (made) queries.setQueryData(['copies'], made);
  };
  const problem = acts.problem ?? read.error;
  return (
    <Page>
      <ShellHead at={null} title="Data" />
      <Main kind="inset" className={s.page}>
        <h1>Data and copies</h1>
        {!view && !read.isError && <Drawn of="data" waits />}
        {view && (
          <>
            <p>
              Everything lies in one file on this machine: <code>{view.file}</code>, {size(view.bytes)}. Nothing leaves
              it.
            </p>
            <p role="status" data-testid="last-copy">
              {newest ? `The last copy was made on ${dayOf(newest.at)}, ${time(newest.at)}.` : 'No copy was made yet.'}{' '}
              One is made by itself each day on which the program runs; {view.dailyKept} of those are kept, in{' '}
              <code>{view.folder}</code>.
            </p>
            {view.copies.length > 0 && (
              <Scroller label="Copies">
                <Table>
                  <thead>
                    <tr>
                      <th scope="col">When</th>
                      <th scope="col">How</th>
                      <th scope="col">Size</th>
                      <th scope="col">Take it along</th>
                    </tr>
                  </thead>
                  <tbody>
                    {view.copies.map((copy) => (
                      <tr key={copy.name}>
                        <td>
                          {dayOf(copy.at)}, {time(copy.at)}
                        </td>
                        <td>{copy.daily ? 'by itself' : 'by hand'}</td>
                        <td>{size(copy.bytes)}</td>
                        <td>
                          <FileLink href={`/api/copies/${copy.name}`} download>
                            {copy.name}
                          </FileLink>
                        </td>
                      </tr>
                    ))}
                  </tbody>
                </Table>
              </Scroller>
            )}
            <h2>Putting one back</h2>
            <p className={w.muted}>
              Stop the program, then type <code>./merganser restore COPY</code>. The copy is looked over first, and what
              was there is kept beside it. <code>./merganser check</code> looks your data over. Keep a copy on another
              disk as well: a copy beside its original is lost with it.
            </p>
          </>
        )}
        <OpenData />
        <Bin />
        <People />
        {read.isError && !view && <Empty of="data">{read.error.message}</Empty>}
      </Main>
      <Foot
        trouble={problem !== null}
        sentence={problem?.message ?? (newest ? 'Copy it before a big change.' : 'Make the first copy.')}
        reason={problem ? 'Nothing is lost.' : 'The bench may go on meanwhile.'}
        button={acts.busy ? 'Copying …' : 'Copy it now'}
        busy={acts.busy || !view}
        onGo={() => void make()}
        alternative="Back"
        onAlternative={() => void navigate(-1)}
      />
    </Page>
  );
}
