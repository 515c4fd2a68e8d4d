import type { Schemas } from '../../api/client';
import { troubleShapes } from '../../drawing/trouble';

/** What is seen, drawn small; its name stands beside it. */
export function TroubleDrawing({ kind }: { kind: Schemas['TroubleKind'] }) {
  const { thin, ink, red } = troubleShapes[kind];
  return (
    <svg width="72" height="56" viewBox="0 0 72 56" aria-hidden="true">
      <path d={thin} fill="none" stroke="var(--ink2)" strokeWidth="1.2" />
      <path d={ink} fill="none" stroke="var(--ink)" strokeWidth="2" strokeLinejoin="round" />
      <path d={red} fill="none" stroke="var(--bill)" strokeWidth="2" strokeLinejoin="round" />
    </svg>
  );
}
