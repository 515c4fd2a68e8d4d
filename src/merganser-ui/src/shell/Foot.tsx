import { useEffect, useState, type ReactNode } from 'react';
import { useUnread } from '../api/useUnread';
import { Go, Plain } from '../parts/Buttons';
import { classes } from '../parts/classes';
import { useSteady } from '../parts/useSteady';
import { ownsEnter } from './keys';
import { WaitingKey } from './WaitingKey';
import s from './Foot.module.css';

export interface FootProps {
  sentence: string;
  reason: string;
  button: string;
  onGo: () => void;
  alternative?: string | null;
  onAlternative?: () => void;
  /** An act on the bow wants the focus or Ctrl and Enter. */
  guarded?: boolean;
  busy?: boolean;
  trouble?: boolean;
  extra?: ReactNode;
}

/** The one place for what is next: one sentence, one reason, one button. */
export function Foot({
  sentence,
  reason,
  button,
  onGo,
  alternative,
  onAlternative,
  guarded,
  busy,
  trouble,
  extra,
}: FootProps) {
  // On a phone it is one line and one button; the rest opens on press, and closes when something else is next.
  const [opened, setOpened] = useState<string | null>(null);
  const open = opened === sentence || trouble === true;
  const turn = () => setOpened(open ? null : sentence);
  const unread = useUnread();
  const missing = trouble ? null : unread.why;
  const go = useSteady(() => {
    if (!busy) onGo();
  });
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.key !== 'Enter' || event.defaultPrevented) return;
      const ctrl = event.ctrlKey || event.metaKey;
      if ((guarded && !ctrl) || (!ctrl && ownsEnter(event))) return;
      event.preventDefault();
      go();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [guarded, go]);
  return (
    <footer
      className={classes(s.foot, trouble && s.trouble, open && s.open)}
      data-trouble={trouble || undefined}
      data-open={open || undefined}
    >
      <span className={s.tag}>
        <span>Next</span>
      </span>
      <p className={s.say} aria-live="polite" data-testid="next" onClick={turn}>
        {sentence}
        {reason && <small>{reason}</small>}
        {missing && <small>Not all of this page could be read. {missing}</small>}
      </p>
      {!trouble && (reason || alternative || missing) && (
        <Plain className={s.turn} aria-expanded={open} aria-label="More of what is next" onClick={turn}>
          <svg width="16" height="10" aria-hidden="true">
            <path d={open ? 'M1 1l7 8 7-8' : 'M1 9l7-8 7 8'} fill="none" stroke="var(--ink)" strokeWidth="2.5" />
          </svg>
        </Plain>
      )}
      {extra}
      {missing && <Plain onClick={unread.again}>Read the rest again</Plain>}
      <WaitingKey />
      {alternative && (
        <Plain className={s.alternative} onClick={onAlternative}>
          {alternative}
        </Plain>
      )}
      <Go onClick={() => go()} aria-disabled={busy || undefined} data-testid="go">
        {button}
        <kbd>{guarded ? 'Ctrl Enter' : 'Enter'}</kbd>
      </Go>
    </footer>
  );
}
