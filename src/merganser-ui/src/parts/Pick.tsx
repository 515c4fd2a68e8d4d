import type { ReactNode } from 'react';
import s from './Pick.module.css';

interface Props {
  /** What it is, for those who do not see its place. */
  label: string;
  value: string;
  onChange: (value: string) => void;
  disabled?: boolean;
  /** In a line of words, without a box of its own. */
  bare?: boolean;
  /** The options. */
  children: ReactNode;
}

/** One of several, picked at once: its first option says what it is for. */
export const Pick = ({ label, value, onChange, disabled, bare = false, children }: Props) => (
  <label>
    <span className="visually-hidden">{label}</span>
    <select
      className={bare ? s.bare : s.pick}
      value={value}
      disabled={disabled}
      onChange={(event) => onChange(event.target.value)}
    >
      {children}
    </select>
  </label>
);
