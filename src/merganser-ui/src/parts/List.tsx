import { ButtonBase } from '@mui/material';
import type { ReactNode } from 'react';
import type { ButtonProps } from './Buttons';
import { classes } from './classes';
import s from './List.module.css';

/** What was done, one entry after the other; its time in small type beneath. */
export const Log = ({ children }: { children: ReactNode }) => <ol className={s.log}>{children}</ol>;

/** Sentences one under the other, set in. */
export const Bullets = ({ children }: { children: ReactNode }) => <ul className={s.bullets}>{children}</ul>;

/** A row of a list that is pressed whole; the one in work has a bar at its side. */
export const ListRow = ({
  here = false,
  ruled = false,
  className,
  ...rest
}: ButtonProps & { here?: boolean; ruled?: boolean }) => (
  <ButtonBase className={classes(s.row, ruled && s.ruled, here && s.here, className)} {...rest} />
);
