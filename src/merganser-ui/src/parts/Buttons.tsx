import { ButtonBase, type ButtonBaseProps } from '@mui/material';
import type { AnchorHTMLAttributes } from 'react';
import { classes } from './classes';
import s from './Buttons.module.css';

/** For the keys of a test and of the page: any data attribute may stand on a button. */
export type ButtonProps = ButtonBaseProps & { [data: `data-${string}`]: unknown };

/** A key of the bench: an act, or one of several choices (`aria-pressed`). */
export const Key = ({ strong = false, className, ...rest }: ButtonProps & { strong?: boolean }) => (
  <ButtonBase className={classes(s.key, strong && s.strong, className)} {...rest} />
);

/** An act that stands back: words with a line under them. */
export const Plain = ({ className, ...rest }: ButtonProps) => (
  <ButtonBase className={classes(s.plain, className)} {...rest} />
);

/** The one button for what is next. */
export const Go = (props: ButtonProps) => <ButtonBase className={s.go} data-go {...props} />;

/** A file to take along. */
export const FileLink = ({ children, ...rest }: AnchorHTMLAttributes<HTMLAnchorElement>) => (
  <a className={s.file} {...rest}>
    {children}
  </a>
);
