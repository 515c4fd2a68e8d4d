import { type ReactNode } from 'react';
import w from '../words.module.css';
import s from './Part.module.css';

/** One shared part, named, in its states. */
export const Part = ({ name, children }: { name: string; children: ReactNode }) => (
  <div className={s.part} data-part-name={name}>
    <p className={w.label}>{name}</p>
    {children}
  </div>
);
