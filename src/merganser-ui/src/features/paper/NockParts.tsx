import type { Schemas } from '../../api/client';
import { Plain } from '../../parts/Buttons';
import { Bullets } from '../../parts/List';
import w from '../../parts/words.module.css';

/** The shots of one arrow, each to be taken back. */
export function ShotsOf({ arrow, onTakeBack }: { arrow: Schemas['NockArrow']; onTakeBack: (id: string) => void }) {
  if (arrow.shots.length === 0) return <p className={w.muted}>No shot of this arrow yet.</p>;
  return (
    <Bullets>
      {arrow.shots.map((shot) => (
        <li key={shot.id}>
          {shot.fletched ? 'vanes' : 'bare'}, {shot.from}, {shot.turned}: <b className={w.tabular}>{shot.length}</b>
          <Plain onClick={() => onTakeBack(shot.id)}>Take back</Plain>
        </li>
      ))}
    </Bullets>
  );
}

/** The nock from behind: a mark for each turn; tried ones hollow, the best filled, good with a green ring. */
export function NockRing({
  arrow,
  fletched,
  turns,
}: {
  arrow: Schemas['NockArrow'];
  fletched: boolean;
  turns: number;
}) {
  const reading = fletched ? arrow.fletched : arrow.bare;
  const tried = new Set(arrow.shots.filter((s) => s.fletched === fletched).map((s) => s.turn));
  const good = reading.state === 'good';
  return (
    <svg width="48" height="48" viewBox="-24 -24 48 48" aria-hidden="true">
      <circle r="13" fill="none" stroke={good ? 'var(--green)' : 'var(--edge)'} strokeWidth={good ? 4 : 1.5} />
      <path d="M-4 0h8" stroke="var(--ink)" strokeWidth="2.5" />
      {Array.from({ length: turns }, (_, turn) => {
        const angle = -Math.PI / 2 + (2 * Math.PI * turn) / turns;
        const [x, y] = [19 * Math.cos(angle), 19 * Math.sin(angle)];
        return tried.has(turn) ? (
          <circle
            key={turn}
            cx={x}
            cy={y}
            r="4"
            fill={turn === reading.best ? 'var(--ink)' : 'var(--bench)'}
            stroke="var(--ink)"
            strokeWidth="1.5"
          />
        ) : (
          <circle key={turn} cx={x} cy={y} r="1.8" fill="var(--edge)" />
        );
      })}
      {reading.state === 'practice' && <path d="M-9 -9l18 18M9 -9l-18 18" stroke="var(--crest)" strokeWidth="2.5" />}
    </svg>
  );
}
