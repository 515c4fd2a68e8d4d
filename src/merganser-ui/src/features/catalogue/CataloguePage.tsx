import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { answer, api, ifMatch, newId, type Schemas } from '../../api/client';
import { useActs } from '../../api/useActs';
import { ShellHead } from '../../shell/ShellHead';
import { useEscape, useFaultFocus } from '../../shell/focus';
import { Foot } from '../../shell/Foot';
import { FileLink, Key, Plain } from '../../parts/Buttons';
import { Main, Page } from '../../parts/Page';
import { Table } from '../../parts/Table';
import { FindLine } from '../../parts/TextLine';
import { Tick } from '../../parts/Tick';
import { WayKey, Ways } from '../../parts/Ways';
import { classes } from '../../parts/classes';
import { ComponentForm, type Fields } from './ComponentForm';
import { ImportPanel } from './ImportPanel';
import w from '../../parts/words.module.css';
import l from '../../parts/layout.module.css';
import s from './CataloguePage.module.css';

type Kind = Schemas['ComponentClass'];
type Row = Schemas['ComponentView'];
export interface Editing {
  id: string;
  version: number | null;
  fields: Fields;
}

const kinds: [Kind, string][] = [
  ['shaft', 'Shafts'],
  ['insert', 'Inserts'],
  ['point', 'Points and heads'],
  ['nock', 'Nocks'],
  ['vane', 'Vanes'],
  ['wrap', 'Wraps'],
];
const PAGE = 200;
const NAME = 'name';

/** Every part that can be picked: find, add, edit, copy, retire, import, export. */
export default function CataloguePage() {
  const [search, setSearch] = useSearchParams();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const bowId = search.get('bow') ?? undefined;
  const arrowId = search.get('arrow');
  const kind = kinds.find(([k]) => k === search.get('kind'))?.[0] ?? 'shaft';
  const [find, setFind] = useState('');
  const [retired, setRetired] = useState(false);
  const [skip, setSkip] = useState(0);
  const [editing, setEditing] = useState<Editing | null>(null);
  const [importing, setImporting] = useState(false);
  const acts = useActs('catalogue');
  const { problem, busy, faults } = acts;
  const specs = useQuery({
    queryKey: ['component-fields'],
    queryFn: () => answer(api.GET('/api/component-fields')),
    staleTime: Infinity,
  });
  const page = useQuery({
    queryKey: ['catalogue', kind, find, retired, skip],
    queryFn: () => answer(api.GET('/api/catalogue', { params: { query: { kind, find, retired, skip } } })),
    placeholderData: keepPreviousData,
  });
  const fields = (specs.data?.[kind] ?? []) as Schemas['ComponentField'][];
  const shown = fields.filter((f) => !f.name.startsWith('measured') || f.name.startsWith('measuredG'));

  const go = (next: Kind) => {
    setSearch({ kind: next, ...(bowId ? { bow: bowId } : {}), ...(arrowId ? { arrow: arrowId } : {}) });
    setSkip(0);
    setEditing(null);
    acts.clear();
  };
  const refresh = async () => {
    await queries.invalidateQueries({ queryKey: ['catalogue'] });
    await queries.invalidateQueries({ queryKey: ['components'] });
    await queries.invalidateQueries({ queryKey: ['figures'] });
  };
  const act = async (what: string, call: () => Promise<unknown>): Promise<boolean> => {
    const done = await acts.act(what, async () => ({ done: await call() }));
    if (done) await refresh();
    return done !== null;
  };
  const keep = async () => {
    if (!editing) return;
    const body = { id: editing.id, class: kind, fields: editing.fields };
    const ok = await act(`keep ${JSON.stringify(body)}`, () =>
      editing.version === null
        ? answer(api.POST('/api/catalogue', { body }))
        : answer(
            api.PUT('/api/catalogue/{id}', { params: { path: { id: editing.id } }, body, ...ifMatch(editing.version) }),
          ),
    );
    if (ok) setEditing(null);
  };
  const retire = (row: Row) =>
    act(`retire ${row.id} ${row.version}`, () =>
      answer(
        api.POST('/api/catalogue/{id}/retire', {
          params: { path: { id: row.id } },
          body: { retired: !row.retired },
          ...ifMatch(row.version),
        }),
      ),
    );
  const remove = (id: string, version: number) =>
    act(`delete ${id} ${version}`, () =>
      answer(api.DELETE('/api/catalogue/{id}', { params: { path: { id } }, ...ifMatch(version) })),
    );
  const fresh = (): Editing => ({ id: newId(), version: null, fields: {} });
  const rows = page.data?.rows ?? [];
  // A column that nothing stands in is left out; the form of a part has every field.
  const columns = shown.filter((f) => f.name === NAME || rows.some((row) => row.fields[f.name]));
  const opened = rows.find((row) => row.id === editing?.id);
  useEscape(editing !== null, () => setEditing(null));
  useFaultFocus(problem);

  return (
    <Page>
      <ShellHead at="arrow" bowId={bowId} title="Catalogue" />
      <Main className={s.page}>
        <h1 className="visually-hidden">Catalogue</h1>
        <Ways label="Classes of parts">
          {kinds.map(([name, label]) => (
            <WayKey key={name} aria-pressed={name === kind} onClick={() => go(name)}>
              {label}
            </WayKey>
          ))}
        </Ways>
        <div className={classes(s.tools, l.row)}>
          <FindLine
            className={s.find}
            label="Find a part"
            placeholder="find: maker, name, material, .340"
            value={find}
            onChange={(text) => {
              setFind(text);
              setSkip(0);
            }}
          />
          <span className={w.muted} aria-live="polite">
            {page.data ? `${page.data.found} of ${page.data.all}` : ''}
          </span>
          <Tick checked={retired} onChange={setRetired}>
            with retired ones
          </Tick>
          <Key onClick={() => setEditing(fresh())}>Add one</Key>
          <Key onClick={() => setImporting(!importing)} aria-expanded={importing}>
            Import CSV
          </Key>
          <FileLink href={`/api/catalogue/export.csv?kind=${kind}`} download={`${kind}.csv`}>
            CSV
          </FileLink>
          <FileLink href="/api/catalogue/export.json" download="catalogue.json">
            All as JSON
          </FileLink>
        </div>
        {importing && <ImportPanel kind={kind} onDone={() => void refresh()} onClose={() => setImporting(false)} />}
        {editing && (
          <ComponentForm
            className={s.form}
            fields={fields}
            values={editing.fields}
            faults={faults}
            onChange={(values) => setEditing({ ...editing, fields: values })}
          >
            {opened && (
              <>
                <Key
                  onClick={() =>
                    setEditing({ ...fresh(), fields: { ...opened.fields, name: `${opened.fields.name}, copy` } })
                  }
                >
                  Copy it
                </Key>
                <Key onClick={() => void retire(opened).then((ok) => ok && setEditing(null))}>
                  {opened.retired ? 'Put it back' : 'Retire it'}
                </Key>
                <Key onClick={() => void remove(opened.id, opened.version).then((ok) => ok && setEditing(null))}>
                  Delete it
                </Key>
              </>
            )}
          </ComponentForm>
        )}
        <div className={s.grid} tabIndex={0} role="region" aria-label="Parts">
          <Table>
            <thead>
              <tr>
                {columns.map((field) => (
                  <th key={field.name} scope="col">
                    {field.label}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <tr key={row.id} className={row.retired ? s.retired : undefined} data-part={row.id}>
                  {columns.map((field) =>
                    field.name === NAME ? (
                      <th key={field.name} scope="row">
                        <Plain
                          aria-label={`Open ${row.fields.name}`}
                          aria-expanded={editing?.id === row.id}
                          onClick={() => setEditing({ id: row.id, version: row.version, fields: row.fields })}
                        >
                          {row.fields.name}
                        </Plain>
                        {row.retired && <em> retired</em>}
                        {bowId && arrowId && !row.retired && (
                          <Plain
                            aria-label={`Use ${row.fields.name} in this arrow`}
                            onClick={() =>
                              void navigate(`/bows/${bowId}/arrow?arrow=${arrowId}&kind=${kind}&use=${row.id}`)
                            }
                          >
                            use
                          </Plain>
                        )}
                      </th>
                    ) : (
                      <td key={field.name}>{row.fields[field.name]}</td>
                    ),
                  )}
                </tr>
              ))}
            </tbody>
          </Table>
          {rows.length === 0 && page.data && <p>No such part. Add one, or import a table.</p>}
        </div>
        {page.data && page.data.found > PAGE && (
          <div className={classes(l.row, s.pages)}>
            <Key disabled={skip === 0} onClick={() => setSkip(Math.max(0, skip - PAGE))}>
              Before
            </Key>
            <span className={w.tabular}>
              {skip + 1} to {Math.min(skip + PAGE, page.data.found)}
            </span>
            <Key disabled={skip + PAGE >= page.data.found} onClick={() => setSkip(skip + PAGE)}>
              Next
            </Key>
          </div>
        )}
      </Main>
      {problem ? (
        <Foot
          trouble
          sentence={problem.message}
          reason="Nothing you typed is lost."
          button={editing ? 'Try again' : 'I see'}
          busy={busy}
          onGo={() => (editing ? void keep() : acts.clear())}
          alternative={editing ? 'Leave it' : null}
          onAlternative={() => {
            setEditing(null);
            acts.clear();
          }}
        />
      ) : editing ? (
        <Foot
          sentence={
            editing.version === null ? 'Fill in what you know of the part and keep it.' : 'Change the part and keep it.'
          }
          reason="Arrows that were kept with it stay as they were."
          button="Keep this part"
          busy={busy}
          onGo={() => void keep()}
          alternative="Leave it"
          onAlternative={() => setEditing(null)}
        />
      ) : (
        <Foot
          sentence="Find a part, or add your own."
          reason="A measured value wins over the nominal one, and says so in every working."
          button={bowId ? 'Back to the arrow' : 'To the rack'}
          onGo={() => void navigate(bowId ? `/bows/${bowId}/arrow${arrowId ? `?arrow=${arrowId}` : ''}` : '/')}
        />
      )}
    </Page>
  );
}
