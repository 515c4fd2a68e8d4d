import { Link } from 'react-router';
import { findTerm } from '../glossary/terms';
import { TermDrawing } from './TermDrawing';

/** What a word of the trade means, drawn where it can be. */
export default function Meaning({ name }: { name: string }) {
  const term = findTerm(name);
  if (!term) return null;
  return (
    <>
      <h2>{term.word}</h2>
      <TermDrawing term={term} />
      <p>{term.means}</p>
      <p>
        <Link to="/glossary">All words</Link>
      </p>
    </>
  );
}
