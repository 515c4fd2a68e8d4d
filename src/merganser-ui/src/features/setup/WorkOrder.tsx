import { useEffect, useRef } from 'react';
import { ListRow } from '../../parts/List';
import { classes } from '../../parts/classes';
import type { Check, Setup } from './useSetup';
import w from '../../parts/words.module.css';
import s from './WorkOrder.module.css';

const signs: Record<Check['state'], string> = {
  done: 'M5 11l4 4l8 -9',
  open: '',
  skipped: 'M6 11h10',
  again: 'M11 5v8M11 16v1',
  held: 'M7 11h1M11 11h1M15 11h1',
};

const looks: Partial<Record<Check['state'], string>> = { done: s.done, again: s.again, held: s.held };

/** How a check stands, as a sign. */
export const StateSign = ({ state }: { state: Check['state'] }) => (
  <svg width="22" height="22" viewBox="0 0 22 22" aria-hidden="true" className={classes(s.state, looks[state])}>
    <circle cx="11" cy="11" r="10" />
    <path d={signs[state]} />
  </svg>
);

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
    <section className={s.order} aria-label="Work order" data-testid="work-order">
      <h2>
        Work order <small className={w.muted}>{`${setup.done} of ${setup.checks.length}`}</small>
      </h2>
      <ol ref={list}>
        {setup.checks.map((check) => (
          <li key={check.kind}>
            <ListRow
              className={s.check}
              here={check.kind === chosen}
              onClick={() => onChoose(check.kind)}
              aria-current={check.kind === chosen ? 'step' : undefined}
              data-check={check.kind}
            >
              <StateSign state={check.state} />
              <span>
                <b>{check.title}</b>
                <small>
                  {check.verdict?.verdict === 'beyond' && check.state === 'done' ? 'beyond: ' : ''}
                  {check.line}
                </small>
              </span>
            </ListRow>
          </li>
        ))}
      </ol>
    </section>
  );
}
