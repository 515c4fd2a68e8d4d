import { useRef, useState, type ReactNode, type RefObject } from 'react';
import { Plain } from './Buttons';
import { classes } from './classes';
import { cellsOf, csvOf, tabbedOf } from './tableText';
import { takeMade } from './takeFile';
import s from './Table.module.css';

interface Props {
  /** A card names one thing a line, its value strong. */
  kind?: 'card';
  className?: string;
  children: ReactNode;
}

/** Rows and columns; a page's own rules may go with it. It can be copied, and taken along as a file. */
export function Table({ kind, className, children }: Props) {
  const table = useRef<HTMLTableElement>(null);
  return (
    <>
      <table ref={table} className={classes(s.table, kind && s[kind], className)}>
        {children}
      </table>
      <TakeAlong of={table} />
    </>
  );
}

const SHOWN = 4000;

/** A table's two keys: into the clipboard, or a file. */
export function TakeAlong({ of }: { of: RefObject<HTMLTableElement | null> }) {
  const cells = () => (of.current ? cellsOf(of.current) : []);
  const [said, setSaid] = useState('');
  const say = (words: string) => {
    setSaid(words);
    setTimeout(() => setSaid(''), SHOWN);
  };
  const copy = () =>
    navigator.clipboard.writeText(tabbedOf(cells())).then(
      () => say('Copied.'),
      () => say('This browser does not let it be copied: take the file.'),
    );
  const save = () => {
    const name = document.title.toLowerCase().replace(/[^a-z0-9]+/g, '-');
    takeMade(new Blob(['\ufeff', csvOf(cells())], { type: 'text/csv' }), `${name}.csv`);
    say('');
  };
  return (
    <div className={s.take}>
      <Plain onClick={() => void copy()}>Copy this table</Plain>
      <Plain onClick={save}>CSV</Plain>
      <span role="status">{said}</span>
    </div>
  );
}

/** The line that differs from the others, or that is open. */
export const differs: string = s.differs;

/** What is wider than its place scrolls in it, and can be reached by keys. */
export const Scroller = ({ label, children }: { label: string; children: ReactNode }) => (
  <div className={s.scroller} tabIndex={0} role="region" aria-label={label}>
    {children}
  </div>
);
