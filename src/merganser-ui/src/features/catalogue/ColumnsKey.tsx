import { useState } from 'react';
import { readKept } from '../../api/bench';
import type { Schemas } from '../../api/client';
import { Key } from '../../parts/Buttons';
import { Popover } from '../../parts/Popover';
import { Tick } from '../../parts/Tick';

type FieldSpec = Schemas['ComponentField'];
const NAME = 'name';

/** Which columns are shown, by class of part, for this browser; null for those in which something usually stands. */
export function useColumns(kind: string, fields: FieldSpec[]) {
  const key = `merganser.columns.${kind}`;
  const [chosen, setChosen] = useState<Record<string, string[]>>({});
  const kept = chosen[key] ?? read(key);
  const usual = fields.filter((f) => !f.name.startsWith('measured') || f.name.startsWith('measuredG'));
  return {
    shown: kept ? fields.filter((f) => f.name === NAME || kept.includes(f.name)) : usual,
    choose: (names: string[]) => {
      localStorage.setItem(key, JSON.stringify(names));
      setChosen({ ...chosen, [key]: names });
    },
  };
}

function read(key: string): string[] | null {
  const names = readKept<unknown>(key);
  return Array.isArray(names) ? names.map(String) : null;
}

/** The key that opens the list of columns. */
export function ColumnsKey({
  fields,
  shown,
  onChoose,
}: {
  fields: FieldSpec[];
  shown: FieldSpec[];
  onChoose: (names: string[]) => void;
}) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const names = shown.map((f) => f.name);
  return (
    <>
      <Key aria-expanded={anchor !== null} onClick={(event) => setAnchor(event.currentTarget)}>
        Columns
      </Key>
      <Popover anchor={anchor} onClose={() => setAnchor(null)} label="Columns">
        {fields
          .filter((f) => f.name !== NAME)
          .map((field) => (
            <Tick
              key={field.name}
              checked={names.includes(field.name)}
              onChange={(on) => onChoose(on ? [...names, field.name] : names.filter((n) => n !== field.name))}
            >
              {field.label}
            </Tick>
          ))}
      </Popover>
    </>
  );
}
