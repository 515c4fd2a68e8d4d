import { ButtonBase } from '@mui/material';
import { memo, useEffect } from 'react';
import type { Schemas } from '../../api/client';
import { isPageKey } from '../../shell/keys';

import type { Draft } from './parts';
import { TryWords } from './TryWords';

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
      const listed = (event.target as Element).closest?.('.tries') !== null;
      const draft = isPageKey(event) && listed ? tries[Number(event.key) - 1]?.draft : undefined;
      if (draft) onTry(draft);
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [tries, onTry]);
  return (
    <section className="tries" aria-label="What would change it">
      <h2>
        What would change it <span className="muted">press to try, undo takes it back</span>
        <ButtonBase className="plain" onClick={onAsk}>
          Ask for a value
        </ButtonBase>
      </h2>
      <ol>
        {tries.map(({ effect, draft }, i) => (
          <li key={effect.label}>
            <ButtonBase
              className="key try"
              disabled={draft === null}
              onClick={() => draft && onTry(draft)}
              data-try={i + 1}
            >
              <TryWords effect={effect} />
            </ButtonBase>
          </li>
        ))}
      </ol>
    </section>
  );
});
