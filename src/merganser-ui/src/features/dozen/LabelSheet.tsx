import { useState } from 'react';
import { answer, api, type Schemas } from '../../api/client';
import { useAsk } from '../../api/useAsk';
import { Key } from '../../parts/Buttons';
import { Field, Select } from '../../parts/Field';
import { Fault } from '../../parts/Note';
import l from '../../parts/layout.module.css';
import { takeMade } from '../../parts/takeFile';

type Grid = Schemas['LabelGrid'];
type Sheet = Partial<Grid> & { first: number; grid?: string };
const OWN = 'own';

const sizes = [
  ['columns', 'Columns'],
  ['rows', 'Rows'],
  ['width', 'Width, mm'],
  ['height', 'Height, mm'],
  ['left', 'From the left, mm'],
  ['top', 'From the top, mm'],
  ['across', 'Step across, mm'],
  ['down', 'Step down, mm'],
] as const;

/** Labels on a sheet that is sold, or on one's own grid; begun sheets are used up. */
export function LabelSheet({ dozenId, grids }: { dozenId: string; grids: Record<string, Grid> }) {
  const names = Object.keys(grids);
  const [grid, setGrid] = useState(names[0] ?? OWN);
  const [first, setFirst] = useState('1');
  const [own, setOwn] = useState<Record<string, string>>(
    Object.fromEntries(sizes.map(([name]) => [name, String(grids[names[0] ?? '']?.[name] ?? '')])),
  );
  const print = useAsk((sheet: Sheet) =>
    answer(
      api.GET('/api/dozens/{id}/labels.pdf', {
        params: {
          path: { id: dozenId },
          query: sheet,
        },
        parseAs: 'blob',
      }),
    ),
  );
  const save = async () => {
    const sheet = await print.ask({ first: Number(first) || 1, ...(grid === OWN ? numbers(own) : { grid }) });
    if (sheet) takeMade(sheet as unknown as Blob, 'labels.pdf');
  };
  return (
    <>
      <h3>Labels</h3>
      <div className={l.fields}>
        <Select
          label="Sheet"
          name="grid"
          value={grid}
          onChange={setGrid}
          choices={[
            ...names.map((name) => ({
              value: name,
              label: `${grids[name]!.columns} × ${grids[name]!.rows}, ${grids[name]!.width} × ${grids[name]!.height} mm`,
            })),
            { value: OWN, label: 'my own grid' },
          ]}
        />
        <Field label="First free label" name="first" value={first} onChange={setFirst} />
        {grid === OWN &&
          sizes.map(([name, label]) => (
            <Field
              key={name}
              label={label}
              name={name}
              value={own[name] ?? ''}
              onChange={(text) => setOwn({ ...own, [name]: text })}
              fault={print.faults[name]?.[0]}
            />
          ))}
        <Key onClick={() => void save()}>Labels</Key>
      </div>
      {print.problem && Object.keys(print.faults).length === 0 && <Fault>{print.problem.message}</Fault>}
    </>
  );
}

/** A size that cannot be read is asked for as none: the server says what is wanted. */
const numbers = (typed: Record<string, string>) =>
  Object.fromEntries(sizes.map(([name]) => [name, Number((typed[name] ?? '').trim().replace(',', '.')) || 0]));
