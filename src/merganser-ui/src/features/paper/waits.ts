import type { Entry } from '../../api/outbox';
import { number } from '../../units/units';
import type { Marking, ShotSet } from './paperTypes';
import { kindName } from './target/groupTypes';

/** A marked shot as it is said while it waits: of which set, and what was marked, in inches from the reference. */
export function shotWords(marking: Marking, set: ShotSet): string {
  const what = marking.arrow ? kindName[marking.arrow] : 'tear';
  const typed = marking.right.trim() || marking.up.trim();
  const at = marking.arrow ? marking.point : marking.tail;
  const place = typed
    ? `typed ${marking.right.trim() || '0'}, ${marking.up.trim() || '0'}`
    : marking.words
      ? 'said in words'
      : at
        ? `marked at ${number(at.x, 2)}, ${number(at.y, 2)}`
        : 'marked';
  return `Set ${set.number}, ${what} ${place}`;
}

/**
 * The set that is shot into, with the shots that wait for it: a move that waits opens the next set, under the id that
 * follows from its own.
 */
export function setNow(last: ShotSet, entries: readonly Entry[]): ShotSet {
  let now = last;
  for (const { id, kind, path, body } of entries) {
    if (kind === 'shot' && path.includes(`/sets/${now.id}/`))
      now = { ...now, shots: [...now.shots, asShot(id, body, now)] };
    else if (kind === 'move' && path.startsWith('/api/papers/') && opensASet(body) && now.shots.length > 0)
      now = { ...now, id: `${id}-set`, number: now.number + 1, shots: [] };
  }
  return now;
}

function opensASet(body: string): boolean {
  const { corrects, afterSetId } = JSON.parse(body) as { corrects?: string | null; afterSetId?: string | null };
  return !corrects && !afterSetId;
}

/** A shot that waits, as far as the turn of the arrows goes by it. */
function asShot(id: string, body: string, set: ShotSet): ShotSet['shots'][number] {
  const { arrow = null, distance = null } = JSON.parse(body) as { arrow?: string; distance?: string };
  const yards = distance ? parseFloat(distance) : null;
  return { ...set.shots[0], id, arrow, yards, voidReason: null } as ShotSet['shots'][number];
}
