import type { ReactNode } from 'react';
import type { Schemas } from '../api/client';
import { classes } from './classes';
import s from './Note.module.css';

interface Props {
  /** The word that it begins with. */
  word?: string;
  /** An alert is read out at once, a status when there is time; a note stands there. */
  role?: 'note' | 'alert' | 'status';
  /** What it asks for: a key behind its words. */
  act?: ReactNode;
  className?: string;
  children: ReactNode;
}

/** What must be seen where the act is: striped at its side, so that colour is not the only sign. */
export const Note = ({ word, role = 'note', act, className, children }: Props) => (
  <div className={classes(s.note, className)} role={role}>
    <span className={act ? s.asking : undefined}>
      {word && <b className={s.word}>{word}</b>}
      {children}
      {act}
    </span>
  </div>
);

/** One line of the server where the act is; it stands as long as it is true. */
export const Caution = ({ caution }: { caution: Pick<Schemas['Caution'], 'text' | 'refused'> }) => (
  <Note word={caution.refused ? 'Stop.' : 'Caution.'}>{caution.text}</Note>
);

/** What is wrong with an entry, in a plain sentence beside it. */
export const Fault = ({ children }: { children: ReactNode }) => (
  <p className={s.fault} role="alert">
    {children}
  </p>
);
