import { ButtonBase, Checkbox } from '@mui/material';
import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { answer, api, ifMatch, newId, Refusal, type Schemas } from '../../api/client';
import { ShellHead } from '../../shell/ShellHead';
import { useEscape, useFaultFocus } from '../../shell/focus';
import { Foot } from '../../shell/Foot';
import { ComponentForm, type Fields } from './ComponentForm';
import { ImportPanel } from './ImportPanel';
import './catalogue.css';

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
  const kind = kinds.find(([k]) => k === search.get('kind'))?.[0] ?? 'shaft';
  const [find, setFind] = useState('');
  const [retired, setRetired] = useState(false);
  const [skip, setSkip] = useState(0);
  const [editing, setEditing] = useState<Editing | null>(null);
  const [importing, setImporting] = useState(false);
  const [problem, setProblem] = useState<Error | null>(null);
  const [busy, setBusy] = useState(false);
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
    setSearch(bowId ? { kind: next, bow: bowId } : { kind: next });
    setSkip(0);
    setEditing(null);
    setProblem(null);
  };
  const refresh = async () => {
    await queries.invalidateQueries({ queryKey: ['catalogue'] });
    await queries.invalidateQueries({ queryKey: ['components'] });
    await queries.invalidateQueries({ queryKey: ['figures'] });
  };
  const act = async (call: () => Promise<unknown>): Promise<boolean> => {
    setBusy(true);
    try {
      await call();
      setProblem(null);
      await refresh();
      return true;
    } catch (error) {
      setProblem(error as Error);
      return false;
    } finally {
      setBusy(false);
    }
  };
  const keep = async () => {
    if (!editing) return;
    const body = { id: editing.id, class: kind, fields: editing.fields };
    const ok = await act(() =>
      editing.version === null
        ? answer(api.POST('/api/catalogue', { body }))
        : answer(
            api.PUT('/api/catalogue/{id}', { params: { path: { id: editing.id } }, body, ...ifMatch(editing.version) }),
          ),
    );
    if (ok) setEditing(null);
  };
  const retire = (row: Row) =>
    act(() =>
      answer(
        api.POST('/api/catalogue/{id}/retire', {
          params: { path: { id: row.id } },
          body: { retired: !row.retired },
          ...ifMatch(row.version),
        }),
      ),
    );
  const remove = (id: string) => act(() => answer(api.DELETE('/api/catalogue/{id}', { params: { path: { id } } })));
  const fresh = (): Editing => ({ id: newId(), version: null, fields: {} });
  const faults = problem instanceof Refusal ? problem.errors : {};
  const rows = page.data?.rows ?? [];
  // A column that nothing stands in is left out; the form of a part has every field.
  const columns = shown.filter((f) => f.name === NAME || rows.some((row) => row.fields[f.name]));
  const opened = rows.find((row) => row.id === editing?.id);
  useEscape(editing !== null, () => setEditing(null));
  useFaultFocus(problem);

  return (
    <div className="page">
      <ShellHead at="arrow" bowId={bowId} title="Catalogue" />
      <main className="thing catalogue-page">
        <h1 className="visually-hidden">Catalogue</h1>
        <nav className="ways" aria-label="Classes of parts">
          {kinds.map(([name, label]) => (
            <ButtonBase key={name} className="way" aria-pressed={name === kind} onClick={() => go(name)}>
              {label}
            </ButtonBase>
          ))}
        </nav>
        <div className="catalogue-tools row">
          <input
            className="name-input"
            data-find
            aria-label="Find a part"
            placeholder="find: maker, name, material, .340"
            value={find}
            onChange={(event) => {
              setFind(event.target.value);
              setSkip(0);
            }}
          />
          <span className="muted" aria-live="polite">
            {page.data ? `${page.data.found} of ${page.data.all}` : ''}
          </span>
          <label className="tick">
            <Checkbox checked={retired} onChange={(event) => setRetired(event.target.checked)} />
            with retired ones
          </label>
          <ButtonBase className="key" onClick={() => setEditing(fresh())}>
            Add one
          </ButtonBase>
          <ButtonBase className="key" onClick={() => setImporting(!importing)} aria-expanded={importing}>
            Import CSV
          </ButtonBase>
          <a className="plain-link" href={`/api/catalogue/export.csv?kind=${kind}`} download={`${kind}.csv`}>
            CSV
          </a>
          <a className="plain-link" href="/api/catalogue/export.json" download="catalogue.json">
            All as JSON
          </a>
        </div>
        {importing && <ImportPanel kind={kind} onDone={() => void refresh()} onClose={() => setImporting(false)} />}
        {editing && (
          <ComponentForm
            fields={fields}
            values={editing.fields}
            faults={faults}
            onChange={(values) => setEditing({ ...editing, fields: values })}
          >
            {opened && (
              <>
                <ButtonBase
                  className="key"
                  onClick={() =>
                    setEditing({ ...fresh(), fields: { ...opened.fields, name: `${opened.fields.name}, copy` } })
                  }
                >
                  Copy it
                </ButtonBase>
                <ButtonBase className="key" onClick={() => void retire(opened).then((ok) => ok && setEditing(null))}>
                  {opened.retired ? 'Put it back' : 'Retire it'}
                </ButtonBase>
                <ButtonBase className="key" onClick={() => void remove(opened.id).then((ok) => ok && setEditing(null))}>
                  Delete it
                </ButtonBase>
              </>
            )}
          </ComponentForm>
        )}
        <div className="catalogue-grid" tabIndex={0} role="region" aria-label="Parts">
          <table className="cants">
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
                <tr key={row.id} className={row.retired ? 'retired' : ''} data-part={row.id}>
                  {columns.map((field) =>
                    field.name === NAME ? (
                      <th key={field.name} scope="row">
                        <ButtonBase
                          className="plain"
                          aria-label={`Open ${row.fields.name}`}
                          aria-expanded={editing?.id === row.id}
                          onClick={() => setEditing({ id: row.id, version: row.version, fields: row.fields })}
                        >
                          {row.fields.name}
                        </ButtonBase>
                        {row.retired && <em> retired</em>}
                      </th>
                    ) : (
                      <td key={field.name}>{row.fields[field.name]}</td>
                    ),
                  )}
                </tr>
              ))}
            </tbody>
          </table>
          {rows.length === 0 && page.data && <p>No such part. Add one, or import a table.</p>}
        </div>
        {page.data && page.data.found > PAGE && (
          <div className="row pages">
            <ButtonBase className="key" disabled={skip === 0} onClick={() => setSkip(Math.max(0, skip - PAGE))}>
              Before
            </ButtonBase>
            <span className="n">
              {skip + 1} to {Math.min(skip + PAGE, page.data.found)}
            </span>
            <ButtonBase className="key" disabled={skip + PAGE >= page.data.found} onClick={() => setSkip(skip + PAGE)}>
              Next
            </ButtonBase>
          </div>
        )}
      </main>
      {problem ? (
        <Foot
          trouble
          sentence={problem.message}
          reason="Nothing you typed is lost."
          button={editing ? 'Try again' : 'I see'}
          busy={busy}
          onGo={() => (editing ? void keep() : setProblem(null))}
          alternative={editing ? 'Leave it' : null}
          onAlternative={() => {
            setEditing(null);
            setProblem(null);
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
          onGo={() => void navigate(bowId ? `/bows/${bowId}/arrow` : '/')}
        />
      )}
    </div>
  );
}
