import { ButtonBase } from '@mui/material';
import { useEffect, useRef } from 'react';
import { faceFor } from '../../drawing/target';
import { tearPath } from '../../drawing/tear';
import { useFigures } from '../../units/UnitsContext';
import { classes } from '../../parts/classes';
import { counted, purposes, type Paper, type ShotSet } from './paperTypes';
import { isAtTarget } from './stages';
import { isOpen } from './target/groupTypes';
import s from './FilmStrip.module.css';

/** Each set as a small picture, with the moves and notes between them; last, dashed, what the advised move is expected to do. */
export function FilmStrip({ paper, shownId, onShow }: { paper: Paper; shownId: string; onShow: (id: string) => void }) {
  const { figure } = useFigures();
  const film = useRef<HTMLOListElement>(null);
  const count = paper.sets.length;
  useEffect(() => {
    // The set in work is in sight, with what is expected after it.
    if (film.current) film.current.scrollLeft = film.current.scrollWidth;
  }, [count]);
  const ghost = paper.advice.move && paper.advice.ghosts.length === 1 ? paper.advice.ghosts[0]! : null;
  return (
    <ol ref={film} className={s.film} data-testid="film" aria-label="The sets of this paper">
      {paper.sets.map((set, i) => (
        <li key={set.id}>
          {i > 0 && <Between set={set} before={paper.sets[i - 1]!} />}
          <ButtonBase
            className={classes(s.set, s.kept, set.id === shownId && s.now)}
            onClick={() => onShow(set.id)}
            aria-pressed={set.id === shownId}
          >
            {set.walk ? (
              <SmallWalk set={set} />
            ) : isAtTarget(set) ? (
              <SmallTarget set={set} />
            ) : (
              <SmallSheet set={set} vanes={paper.vaneCount} />
            )}
            <span>
              <b>Set {set.number}</b>
              {set.purpose !== 'session' && <small> {purposes[set.purpose]}</small>}
              <br />
              {short(set, figure)}
              <br />
              <small>
                {set.stage}, {shots(set)}
              </small>
            </span>
          </ButtonBase>
        </li>
      ))}
      {ghost && (
        <li>
          <div className={s.between}>
            <span>advised</span>
            <Arrow dashed />
          </div>
          <span className={s.set}>
            <svg width="120" height="76" viewBox="-60 -38 120 76" aria-hidden="true">
              <rect
                x="-59"
                y="-37"
                width="118"
                height="74"
                fill="var(--paper)"
                stroke="var(--paper-pred)"
                strokeWidth="1.5"
                strokeDasharray="5 4"
              />
              <path d="M-60 0H60M0 -38V38" stroke="var(--paper-line)" />
              <circle r={paper.tolerance * 30} fill="none" stroke="var(--paper-green)" strokeWidth="2" />
              <ellipse
                cx={ghost.mean.x * 30}
                cy={-ghost.mean.y * 30}
                rx={ghost.radiusX * 30}
                ry={ghost.radiusY * 30}
                fill="none"
                stroke="var(--paper-pred)"
                strokeWidth="2"
                strokeDasharray="5 4"
              />
            </svg>
            <span>
              <b>Next set</b>
              <br />
              {ghost.place}
              <br />
              <small>predicted, 95 %</small>
            </span>
          </span>
        </li>
      )}
    </ol>
  );
}

function Between({ set, before }: { set: ShotSet; before: ShotSet }) {
  return (
    <div className={s.between}>
      {set.movesNotShown > 0 && <span>{set.movesNotShown} moves, then</span>}
      {set.markBefore && <span>{set.markBefore}</span>}
      {set.movesBefore.length === 0
        ? !set.markBefore && 'nothing moved'
        : set.movesBefore.map((m) => <span key={m.id}>{m.correction ? `corrected: ${m.after}` : m.words}</span>)}
      <Arrow />
      {before.notesAfter.length > 0 && (
        <small title={before.notesAfter.map((n) => n.note).join('; ')}>
          {before.notesAfter.length === 1 ? 'a note' : `${before.notesAfter.length + before.notesNotShown} notes`}
        </small>
      )}
    </div>
  );
}

const Arrow = ({ dashed }: { dashed?: boolean }) => (
  <svg width="64" height="12" aria-hidden="true">
    <path
      d="M0 6h52"
      stroke={dashed ? 'var(--pred)' : 'var(--ink)'}
      strokeDasharray={dashed ? '5 4' : undefined}
      strokeWidth="1.5"
    />
    <path d="M52 1l10 5-10 5z" fill={dashed ? 'var(--pred)' : 'var(--ink)'} />
  </svg>
);

function shots(set: ShotSet): string {
  const good = counted(set).length;
  return good === set.shots.length ? `${good} ${good === 1 ? 'shot' : 'shots'}` : `${good} of ${set.shots.length}`;
}

type Write = ReturnType<typeof useFigures>['figure'];

/** The longer of the two axes: what lies there, on which side, how far. */
const longer = (what: string, { x, y }: { x: number; y: number }, figure: Write) =>
  Math.abs(x) >= Math.abs(y)
    ? `${what} ${x < 0 ? 'left' : 'right'} ${figure(Math.abs(x), 'in', 2)}`
    : `${what} ${y < 0 ? 'low' : 'high'} ${figure(Math.abs(y), 'in', 2)}`;

function short({ groups, walk, sighting, ways, rangeTrial, mean, figures }: ShotSet, figure: Write): string {
  if (ways) {
    const ratio = figures.find((f) => f.name === 'sizeRatio');
    return ratio ? `${ratio.text} times as wide` : 'too few yet';
  }
  if (rangeTrial) {
    const cost = figures.find((f) => f.name === 'rangeErrorCost');
    return cost ? `costs ${cost.text} ${cost.shownUnit}` : 'too few yet';
  }
  if (sighting) return sighting.group ? longer('middle', sighting.group.centre, figure) : 'too few yet';
  if (walk) {
    if (!walk.together) return 'too few yet';
    return walk.shown === 'noneShown' ? 'no drift shown' : `drifts ${walk.together.words}`;
  }
  if (!groups) return mean ? longer('tail', mean.mean, figure) : 'no tears yet';
  if (!groups.offset) return 'too few yet';
  return groups.verdict === 'noDifferenceShown'
    ? 'no difference shown'
    : longer(groups.heads ? 'heads' : 'bare', groups.offset, figure);
}

function SmallTarget({ set }: { set: ShotSet }) {
  const half = faceFor(counted(set).map((shot) => shot.point));
  const px = 36 / half;
  return (
    <svg width="120" height="76" viewBox="-60 -38 120 76" aria-hidden="true">
      <rect x="-60" y="-38" width="120" height="76" fill="var(--paper)" stroke="var(--edge)" />
      {[36, 24, 12].map((radius) => (
        <circle key={radius} r={radius} fill="none" stroke="var(--paper-line)" />
      ))}
      {counted(set).map((shot) => (
        <circle
          key={shot.id}
          cx={shot.point.x * px}
          cy={-shot.point.y * px}
          r="4"
          fill={
            shot.arrow === 'bare' || shot.arrow === 'fieldPoint' || isOpen(set, shot)
              ? 'var(--paper)'
              : 'var(--paper-ink)'
          }
          stroke="var(--paper-ink)"
          strokeWidth="2"
        />
      ))}
    </svg>
  );
}

/** A walk-back small: its hits beside the plumb line, the farthest distance on top. */
function SmallWalk({ set }: { set: ShotSet }) {
  const yards = set.walk!.distances.map((d) => d.yards);
  const half = Math.max(2, ...counted(set).map((shot) => Math.abs(shot.point.x)));
  return (
    <svg width="120" height="76" viewBox="-60 -38 120 76" aria-hidden="true">
      <rect x="-60" y="-38" width="120" height="76" fill="var(--paper)" stroke="var(--edge)" />
      <path d="M0 -38V38" stroke="var(--paper-green)" strokeWidth="2" />
      {counted(set).map((shot) => (
        <circle
          key={shot.id}
          cx={(shot.point.x / half) * 50}
          cy={26 - (yards.indexOf(shot.yards!) / Math.max(1, yards.length - 1)) * 52}
          r="4"
          fill="var(--paper-ink)"
        />
      ))}
    </svg>
  );
}

function SmallSheet({ set, vanes }: { set: ShotSet; vanes: number }) {
  const px = set.mean && Math.hypot(set.mean.mean.x, set.mean.mean.y) > 1.2 ? 18 : 30;
  return (
    <svg width="120" height="76" viewBox="-60 -38 120 76" aria-hidden="true">
      <rect x="-60" y="-38" width="120" height="76" fill="var(--paper)" stroke="var(--edge)" />
      <path d="M-60 0H60M0 -38V38" stroke="var(--paper-line)" />
      {counted(set).map((s) => (
        <path
          key={s.id}
          d={tearPath(s.tear, px, s.id, set.fletched ? vanes || 3 : 3)}
          fill="var(--hole)"
          fillOpacity={s.doubtful ? 0.15 : 0.35}
        />
      ))}
    </svg>
  );
}
