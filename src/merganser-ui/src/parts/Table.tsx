import type { ReactNode } from 'react';
import { classes } from './classes';
import s from './Table.module.css';

interface Props {
  /** A card names one thing a line, its value strong. */
  kind?: 'card';
  className?: string;
  children: ReactNode;
}

/** Rows and columns; a page's own rules may go with it. */
export const Table = ({ kind, className, children }: Props) => (
  <table className={classes(s.table, kind && s[kind], className)}>{children}</table>
);

/** The line that differs from the others, or that is open. */
export const differs: string = s.differs;

/** What is wider than its place scrolls in it, and can be reached by keys. */
export const Scroller = ({ label, children }: { label: string; children: ReactNode }) => (
  <div className={s.scroller} tabIndex={0} role="region" aria-label={label}>
    {children}
  </div>
);
