import { ButtonBase } from '@mui/material';
import { useState } from 'react';
import { Link } from 'react-router';
import { Bubble } from './Popover';
import { findTerm } from '../glossary/terms';
import { TermDrawing } from './TermDrawing';

/** A dotted underline that opens what the word means. */
export function Term({ name, label }: { name: string; label?: string }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const term = findTerm(name);
  if (!term) return null;
  return (
    <>
      <ButtonBase className="term" aria-expanded={anchor !== null} onClick={(event) => setAnchor(event.currentTarget)}>
        {label ?? term.word}
      </ButtonBase>
      <Bubble anchor={anchor} onClose={() => setAnchor(null)} label={term.word}>
        <h2>{term.word}</h2>
        <TermDrawing term={term} />
        <p>{term.means}</p>
        <p>
          <Link to="/glossary">All words</Link>
        </p>
      </Bubble>
    </>
  );
}
