import { ButtonBase } from '@mui/material';
import type { ReactNode } from 'react';
import { Link, type LinkProps } from 'react-router';
import { classes } from './classes';
import type { ButtonProps } from './Buttons';
import s from './Ways.module.css';

interface Props {
  label: string;
  /** Beside a drawing, where the page stays: where there is no room they stand in rows. */
  beside?: boolean;
  children: ReactNode;
}

/** The ways to look at one thing, in a row above it. */
export const Ways = ({ label, beside = false, children }: Props) =>
  beside ? (
    <div className={classes(s.ways, s.wrapping)} role="group" aria-label={label}>
      {children}
    </div>
  ) : (
    <nav className={s.ways} aria-label={label}>
      {children}
    </nav>
  );

/** A way that has an address of its own. */
export const WayLink = ({ here, ...rest }: LinkProps & { here?: boolean }) => (
  <Link className={s.way} aria-current={here ? 'true' : undefined} {...rest} />
);

/** A way that is opened on the page. */
export const WayKey = (props: ButtonProps) => <ButtonBase className={s.way} {...props} />;
