import { ButtonBase, Popover } from '@mui/material';
import { useState } from 'react';
import { Link } from 'react-router';
import { findTerm } from './terms';
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
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
        transitionDuration={0}
        slotProps={{ paper: { elevation: 0, className: 'working', role: 'dialog', 'aria-label': term.word } as object }}
      >
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
