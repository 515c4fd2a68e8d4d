import { useState } from 'react';
import { answer, api } from '../../api/client';
import { useAsk } from '../../api/useAsk';
import { Key } from '../../parts/Buttons';
import { FileText } from '../../parts/FileText';
import { Fold } from '../../parts/Fold';
import { Fault } from '../../parts/Note';
import { Scroller, Table } from '../../parts/Table';
import { TextBlock } from '../../parts/TextLine';
import { useFigures } from '../../units/UnitsContext';
import type { Dozen, DozenWork } from './useDozen';
import w from '../../parts/words.module.css';

interface Props {
  dozen: Dozen;
  work: DozenWork;
  kind: string;
}

/** Weights of a class as a table or from a file: looked at as they are read, then taken, all of them or none. */
export function WeightsTable({ dozen, work, kind }: Props) {
  const { figure } = useFigures();
  const [text, setText] = useState('');
  const look = useAsk((table: string) =>
    answer(
      api.POST('/api/dozens/{id}/weights/preview', {
        params: { path: { id: dozen.id } },
        body: { id: null, class: kind, text: table, sure: false },
      }),
    ),
  );
  const change = (next: string) => {
    setText(next);
    look.clear();
  };
  const open = (next: string) => {
    setText(next);
    void look.ask(next);
  };
  const read = look.told;
  const bad = read?.lines.filter((line) => line.problem !== null).length ?? 0;
  const far = read?.lines.filter((line) => line.far !== null).length ?? 0;
  const take = async () => {
    if (await work.weights(dozen.id, kind, text)) change('');
  };
  return (
    <Fold words="Or a table of weights">
      <TextBlock
        label={`Weights of ${kind}, one a line`}
        rows={5}
        value={text}
        placeholder={'one a line, or columns with a header'}
        onChange={change}
      />
      <FileText label={`Weights of ${kind} as a file`} onText={open} />
      {[...(look.faults.text ?? []), ...(work.faults.text ?? [])].map((fault) => (
        <Fault key={fault}>{fault}</Fault>
      ))}
      {look.problem && !look.faults.text && <Fault>{look.problem.message}</Fault>}
      {!read ? (
        <Key disabled={!text.trim() || look.busy} onClick={() => void look.ask(text)}>
          Look it over
        </Key>
      ) : (
        <div data-testid="weights-read">
          <p>
            {read.words} {bad > 0 && <b>{bad} cannot be taken: mend them above.</b>}{' '}
            {far > 0 && <b>{far} are asked about.</b>}
          </p>
          <Scroller label="The table as it is read">
            <Table>
              <thead>
                <tr>
                  <th scope="col">line</th>
                  <th scope="col">piece</th>
                  <th scope="col">as written</th>
                  <th scope="col">weight</th>
                </tr>
              </thead>
              <tbody className={w.tabular}>
                {read.lines.map((line) => (
                  <tr key={line.line}>
                    <th scope="row">{line.line}</th>
                    <td>{line.number !== null && `${kind} ${line.number}`}</td>
                    <td>{line.text}</td>
                    <td>
                      {line.problem ?? (
                        <>
                          {figure(line.grains!, 'gr', 1)} {line.far && <em>{line.far}</em>}
                        </>
                      )}
                    </td>
                  </tr>
                ))}
              </tbody>
            </Table>
          </Scroller>
          <Key strong disabled={bad > 0 || work.busy} onClick={() => void take()}>
            {far > 0 ? `Take all ${read.lines.length} all the same` : `Take these ${read.lines.length}`}
          </Key>
        </div>
      )}
    </Fold>
  );
}
