import { useQuery } from '@tanstack/react-query';
import { answer, api, ifMatch, type Schemas } from '../../api/client';
import { useActs } from '../../api/useActs';
import { useEarlier } from '../../api/useEarlier';
import { Plain } from '../../parts/Buttons';
import { Column, Columns } from '../../parts/Columns';
import { Earlier } from '../../parts/Earlier';
import { Log } from '../../parts/List';
import { Fault } from '../../parts/Note';
import type { Draft } from './parts';
import w from '../../parts/words.module.css';
import s from './VersionsPane.module.css';

const when = (at: string) =>
  new Date(at).toLocaleString('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });

const NONE = { rows: [], earlier: null };

interface Props {
  row: Schemas['ArrowRow'];
  onOpen: (draft: Draft) => void;
  /** It was never kept, and was thrown away. */
  onBinned: () => void;
}

/** Every kept version, what changed in it, and the arrow as files. */
export function VersionsPane({ row, onOpen, onBinned }: Props) {
  const arrowId = row.id;
  const acts = useActs(`bin ${arrowId}`);
  const bin = async () => {
    const gone = await acts.act(`bin ${row.version}`, () =>
      answer(api.DELETE('/api/arrows/{id}', { params: { path: { id: arrowId } }, ...ifMatch(row.version) })).then(
        () => true,
      ),
    );
    if (gone) onBinned();
  };
  const load = (before?: number) =>
    answer(api.GET('/api/arrows/{id}/versions', { params: { path: { id: arrowId }, query: { before } } }));
  const rows = ({ versions: all, earlier }: Schemas['VersionPage']) => ({ rows: all, earlier });
  const key = ['arrows', arrowId, 'versions'];
  const newest = useQuery({ queryKey: key, queryFn: () => load() });
  const versions = useEarlier(key, newest.data ? rows(newest.data) : NONE, (before) => load(before).then(rows));
  const file = (name: string) => `/api/arrows/${arrowId}/${name}`;
  return (
    <Columns bare>
      <Column wide label="Versions">
        <h2>Versions</h2>
        <p className={w.muted}>A kept version is never rewritten: a change makes the next one.</p>
        {newest.data?.versions.length === 0 && (
          <>
            <p>Nothing is kept yet.</p>
            <Plain disabled={acts.busy} onClick={() => void bin()}>
              Put this arrow in the bin
            </Plain>
          </>
        )}
        {acts.problem && <Fault>{acts.problem.message}</Fault>}
        <Log>
          {versions.rows.map((version) => (
            <li key={version.id}>
              <p>
                <b>Version {version.number}</b>: {version.words}
                {version.shot && <em> (shot through paper: frozen)</em>}
              </p>
              <small>{when(version.keptAt)}</small>
              <Plain onClick={() => onOpen(version.typed)}>Put it on the bench</Plain>
            </li>
          ))}
        </Log>
        <Earlier list={versions} />
      </Column>
      <Column label="Files">
        <h2>This arrow as a file</h2>
        <ul className={s.files}>
          <li>
            <a href={file('card.pdf')} download>
              Card to print (PDF)
            </a>
          </li>
          <li>
            <a href={file('export.svg')} download="arrow.svg">
              Drawing to scale (SVG)
            </a>
          </li>
          <li>
            <a href={file('export.json')} download="arrow.json">
              JSON
            </a>
            , with its <a href="/api/schemas/arrow.json">schema</a>
          </li>
          <li>
            <a href={file('export.csv')} download="arrow.csv">
              CSV
            </a>
          </li>
        </ul>
      </Column>
    </Columns>
  );
}
