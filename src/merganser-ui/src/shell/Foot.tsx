import { useEffect, useRef, type ReactNode } from 'react';
import { Go, Plain } from '../parts/Buttons';
import { classes } from '../parts/classes';
import { ownsEnter } from './keys';
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
  const go = useRef(onGo);
  useEffect(() => {
    go.current = busy ? () => undefined : onGo;
  });
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.key !== 'Enter' || event.defaultPrevented) return;
      const ctrl = event.ctrlKey || event.metaKey;
      if ((guarded && !ctrl) || (!ctrl && ownsEnter(event))) return;
      event.preventDefault();
      go.current();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [guarded]);
  return (
    <footer className={classes(s.foot, trouble && s.trouble)} data-trouble={trouble || undefined}>
      <span className={s.tag}>
        <span>Next</span>
      </span>
      <p className={s.say} aria-live="polite" data-testid="next">
        {sentence}
        {reason && <small>{reason}</small>}
      </p>
      {extra}
      {alternative && <Plain onClick={onAlternative}>{alternative}</Plain>}
      <Go onClick={() => !busy && onGo()} aria-disabled={busy || undefined} data-testid="go">
        {button}
        <kbd>{guarded ? 'Ctrl Enter' : 'Enter'}</kbd>
      </Go>
    </footer>
  );
}
