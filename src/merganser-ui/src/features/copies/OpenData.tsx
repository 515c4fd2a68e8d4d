import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../../api/client';
import { useRack } from '../../api/queries';
import { useActs } from '../../api/useActs';
import { FileLink, Key, Plain } from '../../parts/Buttons';
import { Fault } from '../../parts/Note';
import { Tick } from '../../parts/Tick';
import { Scroller, Table } from '../../parts/Table';
import l from '../../parts/layout.module.css';
import w from '../../parts/words.module.css';
import s from './Copies.module.css';

type Seen = Schemas['OpenView'];

const WORDS: Record<Schemas['TakenIn'], string> = {
  new: 'is new here',
  same: 'stands here, the same',
  grown: 'stands here; the file knows more of it',
  differs: 'reads otherwise here',
  refused: 'stays out',
};

/** Everything as open files, one bow alone, and such a file taken in. */
export function OpenData() {
  const rack = useRack();
  return (
    <section aria-label="Open files" data-testid="open-data">
      <h2>Open files</h2>
      <p className={w.muted}>
        Everything as it was entered, to read elsewhere or to hand to another bench.{' '}
        <a href="/api/schemas/bench.json">How the JSON is written</a>
      </p>
      <div className={l.row}>
        <FileLink href="/api/export.json" download>
          All of it (JSON)
        </FileLink>
        <FileLink href="/api/export.zip" download>
          All of it with photographs and CSV tables (zip)
        </FileLink>
      </div>
      {(rack.data?.bows.length ?? 0) > 0 && (
        <div className={l.row}>
          <span>One bow alone:</span>
          {rack.data!.bows.map((bow) => (
            <FileLink key={bow.id} href={`/api/bows/${bow.id}/export.json`} download>
              {bow.name}
            </FileLink>
          ))}
        </div>
      )}
      <TakeIn />
    </section>
  );
}

function TakeIn() {
  const queries = useQueryClient();
  const acts = useActs('take in');
  const [file, setFile] = useState<File | null>(null);
  const [seen, setSeen] = useState<Seen | null>(null);
  const [take, setTake] = useState<string[]>([]);
  const send = (sent: File, keep: boolean, chosen: string[]) =>
    answer(
      api.POST('/api/import', {
        params: { query: { keep, take: chosen.join(',') || undefined } },
        body: sent as never,
        bodySerializer: (body) => body as unknown as BodyInit,
        headers: { 'Content-Type': sent.name.endsWith('.zip') ? 'application/zip' : 'application/json' },
      }),
    );
  const look = async (picked: File) => {
    acts.clear();
    setTake([]);
    setSeen(null);
    setFile(picked);
    const told = await acts.act(`look ${picked.name} ${picked.size}`, () => send(picked, false, []));
    if (told) setSeen(told);
  };
  const keep = async () => {
    if (!file) return;
    const told = await acts.act(`keep ${file.name} ${take.join()}`, () => send(file, true, take));
    if (!told) return;
    setSeen(told);
    setFile(null);
    await queries.invalidateQueries();
  };
  const leave = () => {
    acts.clear();
    setFile(null);
    setSeen(null);
  };
  const useful = seen?.things.some((thing) => thing.what === 'new' || thing.what === 'grown') || take.length > 0;
  return (
    <>
      <h2>Take one in</h2>
      <label className={s.file}>
        A bench or a bow, as JSON or zip:{' '}
        <input
          type="file"
          accept=".json,.zip,application/json,application/zip"
          aria-label="A bench or a bow, as JSON or zip"
          onChange={(event) => {
            const picked = event.target.files?.[0];
            if (picked) void look(picked);
            event.target.value = '';
          }}
        />
      </label>
      {acts.busy && <p role="status">Reading {file?.name} …</p>}
      {acts.problem && <Fault>{acts.problem.message}</Fault>}
      {seen && (
        <div role="status" data-testid="taken-in">
          <p>
            {seen.taken
              ? 'It is taken in.'
              : 'Nothing is changed yet. This is what the file holds beside what stands here:'}{' '}
            {seen.same > 0 && `${seen.same} other rows stand here already, the same.`}
          </p>
          {seen.things.length > 0 && (
            <Scroller label="What the file holds">
              <Table>
                <thead>
                  <tr>
                    <th scope="col">What</th>
                    <th scope="col">It</th>
                    <th scope="col">Rows it adds</th>
                    {!seen.taken && <th scope="col">Which one</th>}
                  </tr>
                </thead>
                <tbody>
                  {seen.things.map((thing) => (
                    <tr key={thing.key}>
                      <th scope="row">
                        {thing.kind}: {thing.name}
                      </th>
                      <td>
                        {WORDS[thing.what]}
                        {thing.why && `: ${thing.why}`}
                      </td>
                      <td className={w.tabular}>{thing.rows || ''}</td>
                      {!seen.taken && (
                        <td>
                          {thing.what === 'differs' && (
                            <Tick
                              checked={take.includes(thing.key)}
                              onChange={(on) =>
                                setTake(on ? [...take, thing.key] : take.filter((one) => one !== thing.key))
                              }
                            >
                              Take the file’s<span className="visually-hidden"> {thing.name}</span>
                            </Tick>
                          )}
                        </td>
                      )}
                    </tr>
                  ))}
                </tbody>
              </Table>
            </Scroller>
          )}
          {!seen.taken && (
            <div className={l.row}>
              <Key strong disabled={acts.busy || !useful} onClick={() => void keep()}>
                {useful ? 'Take it in' : 'Nothing new in it'}
              </Key>
              <Plain onClick={leave}>Leave it</Plain>
            </div>
          )}
        </div>
      )}
    </>
  );
}
