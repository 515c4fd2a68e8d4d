import type { InputHTMLAttributes, TextareaHTMLAttributes } from 'react';
import { classes } from './classes';
import s from './TextLine.module.css';

type LineProps = Omit<InputHTMLAttributes<HTMLInputElement>, 'onChange'> & {
  /** What it is, for those who do not see its place. */
  label: string;
  onChange: (text: string) => void;
  wide?: boolean;
};

/** A line of plain words: a note, a reason. */
export const TextLine = ({ label, onChange, wide = false, className, ...rest }: LineProps) => (
  <input
    className={classes(s.line, wide && s.wide, className)}
    aria-label={label}
    onChange={(event) => onChange(event.target.value)}
    {...rest}
  />
);

/** The line that the key / goes to. */
export const FindLine = (props: LineProps) => <TextLine {...props} {...{ 'data-find': true }} />;

type BlockProps = Omit<TextareaHTMLAttributes<HTMLTextAreaElement>, 'onChange'> & {
  label: string;
  onChange: (text: string) => void;
};

/** Several lines at once, as they are pasted from a table. */
export const TextBlock = ({ label, onChange, ...rest }: BlockProps) => (
  <textarea
    className={classes(s.line, s.block)}
    aria-label={label}
    onChange={(event) => onChange(event.target.value)}
    {...rest}
  />
);
