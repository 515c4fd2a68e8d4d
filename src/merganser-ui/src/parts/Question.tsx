import type { ReactNode } from 'react';
import { Key } from './Buttons';
import { Note } from './Note';
import l from './layout.module.css';

interface Props {
  /** The key that keeps it, in words. */
  keep: string;
  onKeep: () => void;
  onLeave: () => void;
  children: ReactNode;
}

/** A reading that is asked about: it is not taken until somebody says so. */
export const Question = ({ keep, onKeep, onLeave, children }: Props) => (
  <Note
    role="alert"
    word="Not taken."
    act={
      <span className={l.row}>
        <Key strong data-testid="keep-far" onClick={onKeep}>
          {keep}
        </Key>
        <Key onClick={onLeave}>No, leave it</Key>
      </span>
    }
  >
    {children}
  </Note>
);
