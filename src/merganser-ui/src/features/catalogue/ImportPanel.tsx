import { ButtonBase } from '@mui/material';
import { useEffect, useState } from 'react';
import { answer, api, newId, type Schemas } from '../../api/client';
import { Select } from '../../parts/Field';
import { useEscape } from '../../shell/focus';

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
  const [problem, setProblem] = useState<string | null>(null);
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
    try {
      const next = await call();
      setView(next);
      setProblem(null);
      if (next.state === 'written') onDone();
    } catch (error) {
      setProblem((error as Error).message);
    }
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
    <section className="import-panel" aria-label="Import">
      <h2>Import a table</h2>
      <p className="muted">
        CSV in UTF-8, its first line names the columns; at most 50 000 rows. Nothing is written before you confirm.
      </p>
      <div className="row">
        <input
          type="file"
          accept=".csv,text/csv"
          aria-label="The file"
          onChange={(event) => read(event.target.files?.[0])}
        />
        <ButtonBase className="plain" onClick={onClose}>
          Close
        </ButtonBase>
      </div>
      {problem && (
        <p className="fault" role="alert">
          {problem}
        </p>
      )}
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
          {working && <progress max={view.rows} value={view.done} />}
          {view.state === 'checked' && (
            <>
              <details>
                <summary>Which column is what ({Object.keys(view.mapping).length} found)</summary>
                <div className="component-form">
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
              </details>
              {view.changes.length > 0 && (
                <ul className="import-changes" aria-label="Parts that would change">
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
                <ul className="problems" aria-label="Problems">
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
              <div className="beside-scroll" tabIndex={0} role="region" aria-label="The first rows">
                <table className="cants">
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
                </table>
              </div>
            </>
          )}
          <div className="row">
            {view.state === 'checked' && (
              <ButtonBase
                className="key"
                disabled={view.good === 0}
                onClick={() => void act(() => answer(api.POST('/api/imports/{id}/confirm', path!)))}
              >
                Write {view.good} parts
              </ButtonBase>
            )}
            {(working || view.state === 'checked') && (
              <ButtonBase
                className="plain"
                onClick={() => void act(() => answer(api.POST('/api/imports/{id}/cancel', path!)))}
              >
                Cancel
              </ButtonBase>
            )}
          </div>
        </>
      )}
    </section>
  );
}
