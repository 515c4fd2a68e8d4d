import { ButtonBase } from '@mui/material';
import { memo, useId, useRef, useState, type ReactNode } from 'react';
import type { Schemas } from '../api/client';
import { direction } from '../units/units';
import { classes } from './classes';
import { TakeAlong } from './Table';
import { Popover } from './Popover';
import w from './words.module.css';
import l from './layout.module.css';
import s from './Figure.module.css';

type FigureData = Schemas['Figure'];

/** A figure with its change; the whole of it is the button for its working. */
export const Figure = memo(function Figure({
  figure,
  since,
  size,
  stale,
  banded,
  children,
}: {
  figure: FigureData;
  since?: string;
  /** In a row of many they are small, in a block of minor ones tiny. */
  size?: 'small' | 'tiny';
  stale?: boolean;
  /** Something it stands on is not known: its band is shown. */
  banded?: boolean;
  children?: ReactNode;
}) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const id = useId();
  return (
    <div>
      <ButtonBase
        className={classes(s.figure, size && s[size])}
        onClick={(event) => setAnchor(event.currentTarget)}
        aria-expanded={anchor !== null}
        aria-controls={anchor ? id : undefined}
        data-figure={figure.name}
      >
        <span className={w.label}>{figure.label}</span>
        {figure.text !== null ? (
          <span className={s.value} data-value>
            {figure.text}
            {(figure.shownUnit || stale) && (
              <span className={s.unit} data-unit>
                {stale ? '…' : figure.shownUnit}
              </span>
            )}
          </span>
        ) : (
          <FigureNote>{figure.missing ?? 'not measured'}</FigureNote>
        )}
        {banded && figure.lowText !== null && (
          <span className={w.label} data-band>
            {figure.lowText} to {figure.highText}
          </span>
        )}
        {children}
        {since && figure.change !== null && <Change figure={figure} since={since} />}
        <span className={s.opens} aria-hidden="true">
          =
        </span>
        <span className="visually-hidden">, open its working</span>
      </ButtonBase>
      {anchor && (
        <Popover
          anchor={anchor}
          onClose={() => setAnchor(null)}
          label={`${figure.label}, the working`}
          at="above"
          id={id}
        >
          <WorkingTable figure={figure} />
        </Popover>
      )}
    </div>
  );
});

/** A word beneath a figure: how sure it is, what it means. */
export const FigureNote = ({ children }: { children: ReactNode }) => <span className={s.beneath}>{children}</span>;

/** Lines of a working that fit a phone. */
const LONG = 5;

function WorkingTable({ figure }: { figure: FigureData }) {
  const { what, terms, source, wouldMove } = figure.working;
  const table = useRef<HTMLTableElement>(null);
  return (
    <>
      <h2>{figure.label}, the working</h2>
      <p className={w.muted}>{what}</p>
      {/* A long one scrolls on a phone, by keys too. */}
      <table ref={table} className={classes(l.terms, s.working)} tabIndex={terms.length > LONG ? 0 : undefined}>
        <tbody>
          {terms.map((term) => (
            <tr key={term.name}>
              <td>{term.name}</td>
              <td className={s.formula}>{term.formula}</td>
              <td>{term.text}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <TakeAlong of={table} />
      {wouldMove && <p>{wouldMove}</p>}
      <p className={w.muted}>Source: {source}.</p>
    </>
  );
}

const signs = { up: 'M0 9h10L5 1z', down: 'M0 1h10L5 9z', same: 'M0 4h10v2H0z' };

function Change({ figure, since }: { figure: FigureData; since: string }) {
  const change = figure.change ?? 0;
  const way = direction(change, figure.decimals);
  return (
    <FigureNote>
      <svg width="10" height="10" aria-hidden="true">
        <path d={signs[way]} fill="currentColor" />
      </svg>
      {way === 'same' ? 'unchanged' : `${figure.changeText} since ${since}`}
    </FigureNote>
  );
}
