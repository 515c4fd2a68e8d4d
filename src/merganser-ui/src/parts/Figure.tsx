import { ButtonBase } from '@mui/material';
import { Bubble } from './Popover';
import { memo, useId, useState, type ReactNode } from 'react';
import type { Schemas } from '../api/client';
import { direction } from '../units/units';

type FigureData = Schemas['Figure'];

/** A figure with its change; the whole of it is the button for its working. */
export const Figure = memo(function Figure({
  figure,
  since,
  small,
  stale,
  children,
}: {
  figure: FigureData;
  since?: string;
  small?: boolean;
  stale?: boolean;
  children?: ReactNode;
}) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const id = useId();
  return (
    <div>
      <ButtonBase
        className={small ? 'figure small' : 'figure'}
        onClick={(event) => setAnchor(event.currentTarget)}
        aria-expanded={anchor !== null}
        aria-controls={anchor ? id : undefined}
        data-figure={figure.name}
      >
        <span className="lab">{figure.label}</span>
        {figure.text !== null ? (
          <span className="v">
            {figure.text}
            {(figure.shownUnit || stale) && <span className="u">{stale ? '…' : figure.shownUnit}</span>}
          </span>
        ) : (
          <span className="d">{figure.missing ?? 'not measured'}</span>
        )}
        {children}
        {since && figure.change !== null && <Change figure={figure} since={since} />}
        <span className="w" aria-hidden="true">
          =
        </span>
        <span className="visually-hidden">, open its working</span>
      </ButtonBase>
      {anchor && (
        <Bubble
          anchor={anchor}
          onClose={() => setAnchor(null)}
          label={`${figure.label}, the working`}
          at="above"
          id={id}
        >
          <WorkingTable figure={figure} />
        </Bubble>
      )}
    </div>
  );
});

function WorkingTable({ figure }: { figure: FigureData }) {
  const { what, terms, source, wouldMove } = figure.working;
  return (
    <>
      <h2>{figure.label}, the working</h2>
      <p className="muted">{what}</p>
      <table>
        <tbody>
          {terms.map((term) => (
            <tr key={term.name}>
              <td>{term.name}</td>
              <td className="f">{term.formula}</td>
              <td>{term.text}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {wouldMove && <p>{wouldMove}</p>}
      <p className="muted">Source: {source}.</p>
    </>
  );
}

const signs = { up: 'M0 9h10L5 1z', down: 'M0 1h10L5 9z', same: 'M0 4h10v2H0z' };

function Change({ figure, since }: { figure: FigureData; since: string }) {
  const change = figure.change ?? 0;
  const way = direction(change, figure.decimals);
  return (
    <span className="d">
      <svg width="10" height="10" aria-hidden="true">
        <path d={signs[way]} fill="currentColor" />
      </svg>
      {way === 'same' ? 'unchanged' : `${figure.changeText} since ${since}`}
    </span>
  );
}
