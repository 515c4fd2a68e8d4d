import type { ReactNode } from 'react';
import { classes } from '../../parts/classes';
import s from './Pane.module.css';

interface Props {
  label?: string;
  /** For what is filled in, line by line. */
  roomy?: boolean;
  testId?: string;
  children: ReactNode;
}

/** What is said and done beside the sheet. */
export const Pane = ({ label, roomy = false, testId, children }: Props) => (
  <section className={classes(s.pane, roomy && s.roomy)} aria-label={label} data-testid={testId} data-pane>
    {children}
  </section>
);
