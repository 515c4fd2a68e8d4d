import { keptAs } from '../../api/bench';
import type { Schemas } from '../../api/client';
import { freshMarking, type Marking } from './paperTypes';

const slot = (paperId: string) => keptAs(`mark-${paperId}`);

/** A shot that is being marked outlives a reload of the page. */
export function readMarking(paperId: string, kinds: Schemas['ArrowKind'][] = []): Marking | null {
  try {
    const kept = JSON.parse(localStorage.getItem(slot(paperId)) ?? 'null') as Partial<Marking> | null;
    const marking = kept && { ...freshMarking('shootingSide'), ...kept };
    return marking && (marking.arrow === null ? kinds.length === 0 : kinds.includes(marking.arrow)) ? marking : null;
  } catch {
    return null;
  }
}

export function writeMarking(paperId: string, marking: Marking | null) {
  if (marking) localStorage.setItem(slot(paperId), JSON.stringify(marking));
  else localStorage.removeItem(slot(paperId));
}
