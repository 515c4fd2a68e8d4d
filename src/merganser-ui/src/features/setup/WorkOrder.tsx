import { ButtonBase } from '@mui/material';
import { useEffect, useRef } from 'react';
import type { Check, Setup } from './useSetup';

const signs: Record<Check['state'], string> = {
  done: 'M5 11l4 4l8 -9',
  open: '',
  skipped: 'M6 11h10',
  again: 'M11 5v8M11 16v1',
  held: 'M7 11h1M11 11h1M15 11h1',
};

/** The work order: every check with its state, the present one pointed at. */
export function WorkOrder({
  setup,
  chosen,
  onChoose,
}: {
  setup: Setup;
  chosen: Check['kind'];
  onChoose: (kind: Check['kind']) => void;
}) {
  const list = useRef<HTMLOListElement>(null);
  useEffect(() => {
    // On a phone the list is part of the page, which stays where it is.
    if (window.innerWidth > 1000) list.current?.querySelector('[aria-current]')?.scrollIntoView?.({ block: 'nearest' });
  }, [chosen]);
  return (
    <section className="work-order" aria-label="Work order">
      <h2>
        Work order <small className="muted">{`${setup.done} of ${setup.checks.length}`}</small>
      </h2>
      <ol ref={list}>
        {setup.checks.map((check) => (
          <li key={check.kind} className={check.kind === chosen ? 'now' : ''}>
            <ButtonBase
              onClick={() => onChoose(check.kind)}
              aria-current={check.kind === chosen ? 'step' : undefined}
              data-check={check.kind}
            >
              <svg width="22" height="22" viewBox="0 0 22 22" aria-hidden="true" className={`state ${check.state}`}>
                <circle cx="11" cy="11" r="10" />
                <path d={signs[check.state]} />
              </svg>
              <span>
                <b>{check.title}</b>
                <small>
                  {check.verdict?.verdict === 'beyond' && check.state === 'done' ? 'beyond: ' : ''}
                  {check.line}
                </small>
              </span>
            </ButtonBase>
          </li>
        ))}
      </ol>
    </section>
  );
}
