import { useState } from 'react';
import { Key } from '../../../parts/Buttons';
import { Field } from '../../../parts/Field';
import type { Finder } from './useFinder';
import w from '../../../parts/words.module.css';
import s from './Finder.module.css';

/** A search that is over before is not told of. */
const QUIET = 0.3;

/** How far the search is; one that is soon over is not told of. */
export function Progress({ finder, running }: { finder: Finder; running: boolean }) {
  const { search } = finder;
  if (!search) return <div className={s.bar} />;
  return (
    <div className={s.bar} data-testid="progress" data-state={search.state}>
      <b className={w.tabular}>{search.looked}</b>
      {running && search.seconds > QUIET && (
        <progress aria-label="Looked at" max={1} value={search.share}>
          {search.looked}
        </progress>
      )}
      <span className={w.tabular}>{search.goes}</span>
      <span>{search.inside}</span>
      {running ? (
        <Key className={s.stop} onClick={() => void finder.stop()}>
          Stop&nbsp;<kbd>Esc</kbd>
        </Key>
      ) : (
        search.state === 'stopped' && (
          <Key className={s.stop} onClick={finder.again}>
            Look at all of them
          </Key>
        )
      )}
    </div>
  );
}

/** One like the present arrow, only heavier. */
export function Like({ name, finder }: { name: string; finder: Finder }) {
  const [heavier, setHeavier] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const ask = () => void finder.like(heavier).then(setFault);
  return (
    <div className={s.like}>
      <Field
        label={`Like ${name}, the same FOC, heavier by`}
        name="heavier"
        quantity="weight"
        value={heavier}
        onChange={setHeavier}
        fault={fault ?? undefined}
        onEnter={ask}
      />
      <Key onClick={ask}>Look for it</Key>
    </div>
  );
}
