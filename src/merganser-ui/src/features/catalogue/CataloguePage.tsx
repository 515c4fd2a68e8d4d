import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { answer, api, ifMatch, newId, type Schemas } from '../../api/client';
import { useActs } from '../../api/useActs';
import { ShellHead } from '../../shell/ShellHead';
import { useEscape, useFaultFocus } from '../../shell/focus';
import { Foot } from '../../shell/Foot';
import { useUndo } from '../../shell/useUndo';
import { FileLink, Key } from '../../parts/Buttons';
import { Main, Page } from '../../parts/Page';
import { FindLine } from '../../parts/TextLine';
import { Tick } from '../../parts/Tick';
import { WayKey, Ways } from '../../parts/Ways';
import { classes } from '../../parts/classes';
import { ColumnsKey, useColumns } from './ColumnsKey';
import { ComponentForm, type Fields } from './ComponentForm';
import { ImportPanel } from './ImportPanel';
import { PartsGrid } from './PartsGrid';
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
  ['endPart', 'Pins, collars, weights'],
];

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
  const [order, setOrder] = useState<{ sort: string; down: boolean } | null>(null);
  const [count, setCount] = useState<{ found: number; all: number } | null>(null);
  const undo = useUndo();
  const [editing, setEditing] = useState<Editing | null>(null);
  const [importing, setImporting] = useState(false);
  const acts = useActs('catalogue');
  const { problem, busy, faults } = acts;
  const specs = useQuery({
    queryKey: ['component-fields'],
    queryFn: () => answer(api.GET('/api/component-fields')),
    staleTime: Infinity,
  });
  const fields = (specs.data?.[kind] ?? []) as Schemas['ComponentField'][];
  const columns = useColumns(kind, fields);
  const onCount = useCallback((found: number, all: number) => setCount({ found, all }), []);
  const [opened, setOpened] = useState<Row | null>(null);

  const go = (next: Kind) => {
    setSearch({ kind: next, ...(bowId ? { bow: bowId } : {}), ...(arrowId ? { arrow: arrowId } : {}) });
    setOrder(null);
    setEditing(null);
    setOpened(null);
    undo.forget();
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
  const remove = async (row: Row) => {
    const ok = await act(`delete ${row.id} ${row.version}`, () =>
      answer(api.DELETE('/api/catalogue/{id}', { params: { path: { id: row.id } }, ...ifMatch(row.version) })),
    );
    if (!ok) return false;
    const what = `the deleting of ${row.fields.name}`;
    const body = { id: row.id, class: kind, fields: row.fields };
    undo.offer(what, () => {
      void act(`put back ${row.id}`, () => answer(api.POST('/api/catalogue', { body }))).then(
        (back) => back && undo.done(what),
      );
    });
    return true;
  };
  const change = (row: Row, fields: Fields, version: number) =>
    acts.act(`cell ${row.id} ${version} ${JSON.stringify(fields)}`, () =>
      answer(
        api.PUT('/api/catalogue/{id}', {
          params: { path: { id: row.id } },
          body: { id: row.id, class: kind, fields },
          ...ifMatch(version),
        }),
      ),
    );
  const keepCell = async (row: Row, field: Schemas['ComponentField'], text: string) => {
    const kept = await change(row, { ...row.fields, [field.name]: text }, row.version);
    if (!kept) return false;
    await refresh();
    const what = `${field.label.toLowerCase()} of ${row.fields.name}`;
    undo.offer(what, () => {
      void change(kept, row.fields, kept.version).then(async (back) => {
        await refresh();
        if (back) undo.done(what);
      });
    });
    return true;
  };
  const fresh = (): Editing => ({ id: newId(), version: null, fields: {} });
  const open = (row: Row) => {
    setOpened(row);
    setEditing({ id: row.id, version: row.version, fields: row.fields });
  };
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
            onChange={setFind}
          />
          <span className={w.muted} aria-live="polite">
            {count ? `${count.found} of ${count.all}` : ''}
          </span>
          <Tick checked={retired} onChange={setRetired}>
            with retired ones
          </Tick>
          <ColumnsKey fields={fields} shown={columns.shown} onChoose={columns.choose} />
          <Key
            onClick={() => {
              setOpened(null);
              setEditing(fresh());
            }}
          >
            Add one
          </Key>
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
            {opened && editing.id === opened.id && (
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
                <Key onClick={() => void remove(opened).then((ok) => ok && setEditing(null))}>Delete it</Key>
              </>
            )}
          </ComponentForm>
        )}
        {fields.length > 0 && (
          <div className={s.grid}>
            <PartsGrid
              key={kind}
              wanted={{ kind, find, retired, ...order }}
              columns={columns.shown}
              open={editing?.id ?? null}
              onSort={(sort) => setOrder({ sort, down: order?.sort === sort && !order.down })}
              onOpen={open}
              onUse={
                bowId && arrowId
                  ? (row) => void navigate(`/bows/${bowId}/arrow?arrow=${arrowId}&kind=${kind}&use=${row.id}`)
                  : undefined
              }
              onKeep={keepCell}
              onCount={onCount}
              faults={faults}
              onLeave={acts.clear}
            />
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
          extra={undo.key}
          onGo={() => void navigate(bowId ? `/bows/${bowId}/arrow${arrowId ? `?arrow=${arrowId}` : ''}` : '/')}
        />
      )}
    </Page>
  );
}
