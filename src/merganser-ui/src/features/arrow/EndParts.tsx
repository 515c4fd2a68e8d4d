import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { Plain } from '../../parts/Buttons';
import { Popover } from '../../parts/Popover';
import { stockOf, withoutEnd, type Draft } from './parts';
import { useUnits } from '../../units/UnitsContext';
import s from './PartPanel.module.css';

/** What stands at the arrow's ends, each to be taken out again. */
export function EndParts({
  draft,
  catalogue,
  onChange,
}: {
  draft: Draft;
  catalogue: Schemas['Catalogue'];
  onChange: (draft: Draft) => void;
}) {
  const units = useUnits();
  const [at, setAt] = useState<HTMLElement | null>(null);
  const ids = draft.endPartIds ?? [];
  if (ids.length === 0) return null;
  const stock = stockOf(catalogue, 'more', units);
  const nameOf = (id: string) => stock.find((part) => part.id === id)?.label ?? 'a part that is gone';
  return (
    <>
      <Plain className={s.ends} aria-expanded={at !== null} onClick={(event) => setAt(event.currentTarget)}>
        {ids.length === 1 ? 'One is in the arrow' : `${ids.length} are in the arrow`}: take out
      </Plain>
      <Popover anchor={at} onClose={() => setAt(null)} label="What stands at the ends">
        <ul className={s.out}>
          {ids.map((id, i) => (
            <li key={`${id} ${i}`}>
              <span>{nameOf(id)}</span>
              <Plain
                aria-label={`Take out ${nameOf(id)}`}
                onClick={() => {
                  if (ids.length === 1) setAt(null);
                  onChange(withoutEnd(draft, i));
                }}
              >
                Take out
              </Plain>
            </li>
          ))}
        </ul>
      </Popover>
    </>
  );
}
