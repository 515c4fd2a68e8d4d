import { keptAs, readKept, writeKept } from '../../api/bench';
import type { Schemas } from '../../api/client';
import { freshMarking, type Marking } from './paperTypes';

const slot = (paperId: string) => keptAs(`mark-${paperId}`);

/** A shot that is being marked outlives a reload of the page. */
export function readMarking(paperId: string, kinds: Schemas['ArrowKind'][] = []): Marking | null {
  const kept = readKept<Partial<Marking>>(slot(paperId));
  const marking = kept && { ...freshMarking('shootingSide'), ...kept };
  return marking && (marking.arrow === null ? kinds.length === 0 : kinds.includes(marking.arrow)) ? marking : null;
}

export const writeMarking = (paperId: string, marking: Marking | null) => writeKept(slot(paperId), marking);
