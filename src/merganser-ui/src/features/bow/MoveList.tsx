import type { Schemas } from '../../api/client';
import { Log } from '../../parts/List';
import w from '../../parts/words.module.css';

/** What was turned on this bow, newest first. */
export function MoveList({ moves }: { moves: Schemas['MoveView'][] }) {
  if (moves.length === 0) return <p className={w.muted}>Nothing has been moved on this bow yet.</p>;
  return (
    <>
      <h2>Moves</h2>
      <Log>
        {moves.toReversed().map((move) => (
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
    </>
  );
}
