import type { GlossaryTerm } from '../glossary/terms';
import s from './Term.module.css';

export function TermDrawing({ term }: { term: GlossaryTerm }) {
  if (!term.drawing) return null;
  return (
    <svg className={s.drawing} viewBox="0 0 160 60" role="img" aria-label={`${term.word}, drawn`}>
      <path
        d={term.drawing}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="2"
        strokeLinejoin="round"
        strokeLinecap="round"
      />
    </svg>
  );
}
