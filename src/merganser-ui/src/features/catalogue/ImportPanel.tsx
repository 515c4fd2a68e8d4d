import { LinearProgress } from '@mui/material';
import { useEffect, useState } from 'react';
import { answer, api, newId, type Schemas } from '../../api/client';
import { Select } from '../../parts/Field';
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

type ImportView = Schemas['ImportView'];

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
  const map = (field: string, column: string) => {
    const mapping = { ...view!.mapping };
    if (column) mapping[field] = column;
    else delete mapping[field];
    void act(() => answer(api.PUT('/api/imports/{id}/mapping', { ...path!, body: { mapping } })));
  };
  return (
    <section className={s.panel} aria-label="Import">
      <h2>Import a table</h2>
      <p className={w.muted}>
        CSV in UTF-8, its first line names the columns; at most 50 000 rows. Nothing is written before you confirm.
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
                      : `${view.good} of ${view.rows} rows can be written; ${changes(view.changed)}`}
            </b>
          </p>
          {working && (
            <LinearProgress
              variant="determinate"
              value={(100 * view.done) / Math.max(1, view.rows)}
              aria-label="How far it is"
            />
          )}
          {view.state === 'checked' && (
            <>
              {view.encoding === 'windows1252' && (
                <Note word="Look at the letters.">
                  The file is not UTF-8: it was read as Windows-1252. If a word below is garbled, save it as UTF-8 and
                  bring it in again.
                </Note>
              )}
              <Fold words={`Which column is what (${Object.keys(view.mapping).length} found)`}>
                <div className={classes(form.form, s.columns)}>
                  {Object.keys(view.fields).map((field) => (
                    <Select
                      key={field}
                      label={view.fields[field]!}
                      name={`map-${field}`}
                      value={view.mapping[field] ?? ''}
                      onChange={(column) => map(field, column)}
                      choices={[
                        { value: '', label: 'no column' },
                        ...view.columns.map((c) => ({ value: c, label: c })),
                      ]}
                    />
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
            {view.state === 'checked' && (
              <Key
                disabled={view.good === 0}
                onClick={() => void act(() => answer(api.POST('/api/imports/{id}/confirm', path!)))}
              >
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
