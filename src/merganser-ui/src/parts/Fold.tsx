import type { ReactNode } from 'react';
import s from './Fold.module.css';

interface Props {
  words: string;
  open?: boolean;
  onToggle?: (open: boolean) => void;
  children: ReactNode;
}

/** What is seldom needed, folded away under its words. */
export const Fold = ({ words, open, onToggle, children }: Props) => (
  <details className={s.fold} open={open} onToggle={(event) => onToggle?.(event.currentTarget.open)}>
    <summary>{words}</summary>
    {children}
  </details>
);
