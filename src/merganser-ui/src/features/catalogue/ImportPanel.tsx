import { LinearProgress } from '@mui/material';
import { useEffect, useState } from 'react';
import { answer, api, newId, type Schemas } from '../../api/client';
import { Field, Select } from '../../parts/Field';
import { useAsk } from '../../api/useAsk';
import { useEscape } from '../../shell/focus';
import { Key, Plain } from '../../parts/Buttons';
import { Fold } from '../../parts/Fold';
import { Fault, Note } from '../../parts/Note';
import { Scroller, Table } from '../../parts/Table';
import { classes } from '../../parts/classes';
import w from '../../parts/words.module.css';
import l from '../../parts/layout.module.css';
import form from './ComponentForm.module.css';
import s from './ImportPanel.module.css';

const changes = (count: number) =>
  count === 0
    ? 'no part that is there changes.'
    : `${count} ${count === 1 ? 'part' : 'parts'} that are there would change.`;

const there = (count: number) =>
  count === 0
    ? ''
    : ` ${count} ${count === 1 ? 'is' : 'are'} there already, as ${count === 1 ? 'it stands' : 'they stand'}.`;

type ImportView = Schemas['ImportView'];

/** Chosen in place of a column: one text stands for all rows. */
const FIXED = '\u0000fixed';

/** A table from outside: preview, which column is what, every problem with its row, and nothing written until it is confirmed. */
export function ImportPanel({
  kind,
  onDone,
  onClose,
}: {
  kind: Schemas['ComponentClass'];
  onDone: () => void;
  onClose: () => void;
}) {
  const [view, setView] = useState<ImportView | null>(null);
  /** Fields whose one text for all rows is not typed yet. */
  const [fixing, setFixing] = useState<string[]>([]);
  const steps = useAsk((call: () => Promise<ImportView>) => call());
  const working = view?.state === 'checking' || view?.state === 'writing';

  useEffect(() => {
    if (!view || !working) return;
    const timer = setInterval(() => {
      void answer(api.GET('/api/imports/{id}', { params: { path: { id: view.id } } })).then((next) => {
        setView(next);
        if (next.state === 'written') onDone();
      });
    }, 120);
    return () => clearInterval(timer);
  }, [view, working, onDone]);

  useEscape(true, onClose);

  const act = async (call: () => Promise<ImportView>) => {
    const next = await steps.ask(call);
    if (!next) return;
    setView(next);
    if (next.state === 'written') onDone();
  };
  const read = (file: File | undefined) => {
    if (!file) return;
    // Whatever is said of this file, nothing of the one before may be written any more.
    setView(null);
    setFixing([]);
    void act(async () => {
      const bytes = await file.arrayBuffer();
      return answer(
        api.POST('/api/imports/{id}', {
          params: { path: { id: newId() }, query: { kind } },
          body: new Blob([bytes]) as unknown as string,
          bodySerializer: (body: unknown) => body as BodyInit,
          headers: { 'Content-Type': 'text/csv' },
        }),
      );
    });
  };
  const path = view ? { params: { path: { id: view.id } } } : null;
  const put = (mapping: ImportView['mapping'], fixed: ImportView['fixed']) =>
    void act(() => answer(api.PUT('/api/imports/{id}/mapping', { ...path!, body: { mapping, fixed } })));
  const map = (field: string, column: string) => {
    const others = (of: Record<string, string>) => Object.fromEntries(Object.entries(of).filter(([f]) => f !== field));
    setFixing(column === FIXED ? [...fixing, field] : fixing.filter((f) => f !== field));
    if (column !== FIXED)
      put({ ...others(view!.mapping), ...(column ? { [field]: column } : {}) }, others(view!.fixed));
    else if (field in view!.mapping) put(others(view!.mapping), view!.fixed);
  };
  const isFixed = (field: string) => field in view!.fixed || fixing.includes(field);
  const fix = (field: string, text: string) => put(view!.mapping, { ...view!.fixed, [field]: text });
  return (
    <section className={s.panel} aria-label="Import">
      <h2>Import a table</h2>
      <p className={w.muted}>
        CSV, its first line names the columns; at most 50 000 rows. Nothing is written before you confirm.
      </p>
      <div className={l.row}>
        <input
          className={s.file}
          type="file"
          accept=".csv,text/csv"
          aria-label="The file"
          onChange={(event) => read(event.target.files?.[0])}
        />
        <Plain onClick={onClose}>Close</Plain>
      </div>
      {steps.problem && <Fault>{steps.problem.message}</Fault>}
      {view && (
        <>
          <p aria-live="polite" data-testid="import-state">
            <b>
              {view.state === 'written'
                ? `${view.good} parts are written.`
                : view.state === 'cancelled'
                  ? 'Cancelled: nothing was written.'
                  : view.state === 'failed'
                    ? view.message
                    : working
                      ? `${view.state === 'writing' ? 'Writing' : 'Checking'} ${view.done} of ${view.rows} …`
                      : view.good === 0 && view.same > 0 && view.problemCount === 0
                        ? `All ${view.same} parts are there as they stand: nothing to write.`
                        : `${view.good} of ${view.rows} rows can be written; ${changes(view.changed)}${there(view.same)}`}
            </b>
          </p>
          {working && (
            <LinearProgress
              variant="determinate"
              value={(100 * view.done) / Math.max(1, view.rows)}
              aria-label="How far it is"
            />
          )}
          {(view.state === 'checked' || view.state === 'checking') && (
            <>
              {view.encoding === 'windows1252' && (
                <Note word="Look at the letters.">
                  The file is not UTF-8: it was read as Windows-1252.
                  {view.letters.length > 0 && ` It says ${view.letters.join(' · ')}.`} If a word is garbled, save it as
                  UTF-8 and bring it in again.
                </Note>
              )}
              {view.remembered && <p className={w.muted}>Read as this supplier’s table was read the last time.</p>}
              <Fold
                words={`Which column is what (${Object.keys(view.mapping).length} found${
                  Object.keys(view.fixed).length > 0 ? `, ${Object.keys(view.fixed).length} the same for all` : ''
                })`}
              >
                <div className={classes(form.form, s.columns)}>
                  {Object.keys(view.fields).map((field) => (
                    <div key={field}>
                      <Select
                        label={view.fields[field]!}
                        name={`map-${field}`}
                        value={view.mapping[field] ?? (isFixed(field) ? FIXED : '')}
                        onChange={(column) => map(field, column)}
                        choices={[
                          { value: '', label: 'no column' },
                          { value: FIXED, label: 'the same for all rows' },
                          ...view.columns.map((c) => ({ value: c, label: c })),
                        ]}
                      />
                      {isFixed(field) && (
                        <FixedText
                          label={`${view.fields[field]!}, for all rows`}
                          kept={view.fixed[field] ?? ''}
                          onKeep={(text) => fix(field, text)}
                        />
                      )}
                    </div>
                  ))}
                </div>
              </Fold>
              {view.changes.length > 0 && (
                <ul className={s.changes} data-testid="import-changes" aria-label="Parts that would change">
                  {view.changes.slice(0, 20).map((change) => (
                    <li key={change.id}>
                      <b>
                        Row {change.row}, {change.name}:
                      </b>{' '}
                      {change.fields
                        .map((f) => `${view.fields[f.field] ?? f.field} ${f.from || 'empty'} to ${f.to || 'empty'}`)
                        .join('; ')}
                    </li>
                  ))}
                  {view.changed > 20 && <li>and {view.changed - 20} more</li>}
                </ul>
              )}
              {view.problemCount > 0 && (
                <ul className={s.problems} data-testid="import-problems" aria-label="Problems">
                  {view.problems.slice(0, 20).map((p) => (
                    <li key={`${p.row}-${p.column}-${p.message}`}>
                      <b>
                        Row {p.row}, {p.column}:
                      </b>{' '}
                      {p.message}
                    </li>
                  ))}
                  {view.problemCount > 20 && <li>and {view.problemCount - 20} more</li>}
                </ul>
              )}
              <Scroller label="The first rows">
                <Table>
                  <thead>
                    <tr>
                      {view.columns.map((c) => (
                        <th key={c} scope="col">
                          {c}
                        </th>
                      ))}
                    </tr>
                  </thead>
                  <tbody>
                    {view.preview.map((row, i) => (
                      <tr key={i}>
                        {row.map((cell, k) => (
                          <td key={k}>{cell}</td>
                        ))}
                      </tr>
                    ))}
                  </tbody>
                </Table>
              </Scroller>
            </>
          )}
          <div className={l.row}>
            {view.state === 'checked' && view.good > 0 && (
              <Key onClick={() => void act(() => answer(api.POST('/api/imports/{id}/confirm', path!)))}>
                Write {view.good} parts
              </Key>
            )}
            {(working || view.state === 'checked') && (
              <Plain onClick={() => void act(() => answer(api.POST('/api/imports/{id}/cancel', path!)))}>Cancel</Plain>
            )}
          </div>
        </>
      )}
    </section>
  );
}

/** One text for all rows; it is taken when the field is left, or by Enter. */
function FixedText({ label, kept, onKeep }: { label: string; kept: string; onKeep: (text: string) => void }) {
  const [text, setText] = useState(kept);
  const take = () => {
    if (text.trim() !== '' && text !== kept) onKeep(text);
  };
  return (
    <div onBlur={take}>
      <Field label={label} name="fixed" value={text} onChange={setText} onEnter={take} autoFocus={kept === ''} />
    </div>
  );
}
