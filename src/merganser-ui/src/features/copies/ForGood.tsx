import type { ReactNode } from 'react';
import { Key } from '../../parts/Buttons';
import { Note } from '../../parts/Note';
import l from '../../parts/layout.module.css';

interface Props {
  /** The key that does it. */
  erase: string;
  busy: boolean;
  onErase: () => void;
  onLeave: () => void;
  children: ReactNode;
}

/** What cannot be brought back is asked about where it is pressed. */
export const ForGood = ({ erase, busy, onErase, onLeave, children }: Props) => (
  <Note
    role="alert"
    word="For good."
    act={
      <span className={l.row}>
        <Key strong disabled={busy} onClick={onErase}>
          {erase}
        </Key>
        <Key onClick={onLeave}>No, leave it</Key>
      </span>
    }
  >
    {children}
  </Note>
);
