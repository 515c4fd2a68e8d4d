import type { ReactNode } from 'react';

/** Nothing is here yet: what would stand here, and how it comes. */
export const Empty = ({ title, children }: { title?: string; children?: ReactNode }) => (
  <>
    {title && <h1>{title}</h1>}
    {children && <p>{children}</p>}
  </>
);
