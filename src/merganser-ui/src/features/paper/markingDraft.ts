import { freshMarking, type Marking } from './paperTypes';

const slot = (paperId: string) => `merganser-mark-${paperId}`;

/** A shot that is being marked outlives a reload of the page. */
export function readMarking(paperId: string, atTarget = false): Marking | null {
  try {
    const kept = JSON.parse(localStorage.getItem(slot(paperId)) ?? 'null') as Partial<Marking> | null;
    const marking = kept && { ...freshMarking('shootingSide'), ...kept };
    return marking && (marking.arrow !== null) === atTarget ? marking : null;
  } catch {
    return null;
  }
}

export function writeMarking(paperId: string, marking: Marking | null) {
  if (marking) localStorage.setItem(slot(paperId), JSON.stringify(marking));
  else localStorage.removeItem(slot(paperId));
}
