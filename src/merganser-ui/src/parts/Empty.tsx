import type { ReactNode } from 'react';
import type { EmptyThing } from '../drawing/empty';
import { Drawn } from './Drawn';

interface Props {
  /** What would stand here. */
  of?: EmptyThing;
  title?: string;
  children?: ReactNode;
}

/** Nothing is here yet: what would stand here drawn empty, and how it comes. */
export const Empty = ({ of, title, children }: Props) => (
  <>
    {of && <Drawn of={of} />}
    {title && <h1>{title}</h1>}
    {children && <p>{children}</p>}
  </>
);
