import type { ReactNode } from 'react';
import { classes } from './classes';
import s from './Page.module.css';

/** The whole of a page: its head, the thing itself, and the foot with what is next. */
export const Page = ({ children }: { children?: ReactNode }) => <div className={s.page}>{children}</div>;

interface Props {
  /** Plain text and fields keep away from the edge; a page with ways has them above what scrolls. */
  kind?: 'inset' | 'ways';
  className?: string;
  children?: ReactNode;
}

/** The thing itself, between head and foot. */
export const Main = ({ kind, className, children }: Props) => (
  <main className={classes(s.main, kind && s[kind], className)}>{children}</main>
);

/** What stands under the ways and scrolls. */
export const Body = ({ className, children }: { className?: string; children: ReactNode }) => (
  <div className={classes(s.body, className)}>{children}</div>
);
