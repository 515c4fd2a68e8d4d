import { ButtonBase } from '@mui/material';
import { useState } from 'react';
import { Link } from 'react-router';
import { findTerm } from '../glossary/terms';
import { Popover } from './Popover';
import { TermDrawing } from './TermDrawing';
import s from './Term.module.css';

/** A dotted underline that opens what the word means. */
export function Term({ name, label }: { name: string; label?: string }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const term = findTerm(name);
  if (!term) return null;
  return (
    <>
      <ButtonBase
        className={s.term}
        data-term={name}
        aria-expanded={anchor !== null}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        {label ?? term.word}
      </ButtonBase>
      <Popover anchor={anchor} onClose={() => setAnchor(null)} label={term.word}>
        <h2>{term.word}</h2>
        <TermDrawing term={term} />
        <p>{term.means}</p>
        <p>
          <Link to="/glossary">All words</Link>
        </p>
      </Popover>
    </>
  );
}
