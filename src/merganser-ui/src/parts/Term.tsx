import { ButtonBase } from '@mui/material';
import { Suspense, lazy, useState } from 'react';
import { Popover } from './Popover';
import s from './Term.module.css';

/** The words are fetched when the first of them is asked about. */
const Meaning = lazy(() => import('./Meaning'));

/** A dotted underline that opens what the word means. */
export function Term({ name, label }: { name: string; label: string }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <ButtonBase
        className={s.term}
        data-term={name}
        aria-expanded={anchor !== null}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        <span>{label}</span>
      </ButtonBase>
      <Popover anchor={anchor} onClose={() => setAnchor(null)} label={label}>
        <Suspense fallback={<p>{label}</p>}>
          <Meaning name={name} />
        </Suspense>
      </Popover>
    </>
  );
}
