import { memo, useEffect } from 'react';
import type { Schemas } from '../../api/client';
import { isPageKey } from '../../shell/keys';
import { Key, Plain } from '../../parts/Buttons';
import type { Draft } from './parts';
import { TryWords } from './TryWords';
import w from '../../parts/words.module.css';
import keys from './TryKey.module.css';
import s from './Tries.module.css';

/** What would change it: small buttons that say what they would do, and do it. */
export const Tries = memo(function Tries({
  tries,
  onTry,
  onAsk,
}: {
  tries: Schemas['ArrowTry'][];
  onTry: (draft: Draft) => void;
  onAsk: () => void;
}) {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      // A digit tries only while this list has the focus.
      const listed = (event.target as Element).closest?.('[data-tries]') !== null;
      const draft = isPageKey(event) && listed ? tries[Number(event.key) - 1]?.draft : undefined;
      if (draft) onTry(draft);
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [tries, onTry]);
  return (
    <section className={s.tries} aria-label="What would change it" data-tries>
      <h2>
        What would change it <span className={w.muted}>press to try, undo takes it back</span>
        <Plain className={s.other} onClick={onAsk}>
          Ask for a value
        </Plain>
      </h2>
      <ol className={s.list}>
        {tries.map(({ effect, draft }, i) => (
          <li key={effect.label}>
            <Key className={keys.try} disabled={draft === null} onClick={() => draft && onTry(draft)} data-try={i + 1}>
              <TryWords effect={effect} />
            </Key>
          </li>
        ))}
      </ol>
    </section>
  );
});
