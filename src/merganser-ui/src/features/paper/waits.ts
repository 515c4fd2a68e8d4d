import { openedBy, type Entry } from '../../api/outbox';
import { number } from '../../units/units';
import type { Marking, ShotSet } from './paperTypes';
import { stageOf } from './stages';
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
 * follows from its own, and so does a set that waits and is shot on the same sheet.
 */
export function setNow(last: ShotSet, entries: readonly Entry[]): ShotSet {
  let now = last;
  for (const entry of entries) {
    const { id, kind, path, body } = entry;
    if (kind === 'shot' && path.includes(`/sets/${now.id}/`))
      now = { ...now, shots: [...now.shots, asShot(id, body, now)] };
    else if (
      (kind === 'move' && path.startsWith('/api/papers/') && opensASet(body) && now.shots.length > 0) ||
      (kind === 'set' && isOfTheSheet(body, last))
    )
      now = { ...now, id: openedBy(entry), number: now.number + 1, shots: [] };
  }
  return now;
}

/**
 * What waits and is shot on another sheet than the one that lies there: the server lays that out, so that nothing is
 * marked before. What it refused is settled first, and marking goes on.
 */
export const otherSheet = (last: ShotSet, entries: readonly Entry[]): Entry | undefined =>
  entries.find(
    ({ kind, body, refused }) =>
      refused === null && (kind === 'paper' || (kind === 'set' && !isOfTheSheet(body, last))),
  );

/** True for a set to come that is shot as the last one was. */
function isOfTheSheet(body: string, last: ShotSet): boolean {
  const { arrowVersionId, purpose, ...next } = JSON.parse(body) as Record<string, unknown>;
  const now = stageOf(last);
  return (
    arrowVersionId === null &&
    purpose === 'session' &&
    Object.entries(now).every(([name, value]) => JSON.stringify(next[name]) === JSON.stringify(value))
  );
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
