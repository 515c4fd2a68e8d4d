import type { ReactNode } from 'react';
import l from './layout.module.css';

/** A page of columns, as many as there is room for. */
export const Columns = ({ bare = false, children }: { bare?: boolean; children: ReactNode }) => (
  <div className={bare ? `${l.columns} ${l.bare}` : l.columns}>{children}</div>
);

/** One of them, or two side by side for what is wide. */
export const Column = ({ label, wide = false, children }: { label: string; wide?: boolean; children: ReactNode }) => (
  <section className={wide ? `${l.column} ${l.wide}` : l.column} aria-label={label}>
    {children}
  </section>
);
