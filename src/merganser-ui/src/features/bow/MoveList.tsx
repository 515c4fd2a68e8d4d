import type { Schemas } from '../../api/client';
import { useEarlierMoves } from '../../api/useEarlierMoves';
import { Earlier } from '../../parts/Earlier';
import { Log } from '../../parts/List';
import w from '../../parts/words.module.css';

/** What was turned on this bow, newest first. */
export function MoveList({ bow }: { bow: Schemas['BowView'] }) {
  const moves = useEarlierMoves(bow);
  if (moves.rows.length === 0) return <p className={w.muted}>Nothing has been moved on this bow yet.</p>;
  return (
    <>
      <h2>Moves</h2>
      <Log>
        {moves.rows.map((move) => (
          <li key={move.id}>
            {move.words}
            {move.correction && <em> (entry corrected)</em>}
            <small>
              {new Date(move.happenedAt).toLocaleString('en-GB', {
                day: 'numeric',
                month: 'short',
                hour: '2-digit',
                minute: '2-digit',
              })}
            </small>
          </li>
        ))}
      </Log>
      <Earlier list={moves} />
    </>
  );
}
