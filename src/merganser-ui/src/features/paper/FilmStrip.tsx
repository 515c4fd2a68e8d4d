import { ButtonBase } from '@mui/material';
import { tearPath } from '../../drawing/tear';
import { number, signed } from '../../units/units';
import { useSay } from '../../units/UnitsContext';
import type { Paper, ShotSet } from './paperTypes';

/** Each set as a small picture, with the moves between them. */
export function FilmStrip({ paper, shownId, onShow }: { paper: Paper; shownId: string; onShow: (id: string) => void }) {
  const say = useSay();
  return (
    <ol className="film" aria-label="The sets of this paper">
      {paper.sets.map((set, i) => (
        <li key={set.id}>
          {i > 0 && (
            <div className="film-move">
              {set.movesBefore.length === 0
                ? 'nothing moved'
                : set.movesBefore.map((m) => (
                    <span key={m.id}>
                      {m.correction
                        ? `corrected to ${signed(m.to, 0)}`
                        : `${m.name} ${signed(m.from, 0)} to ${signed(m.to, 0)}`}
                    </span>
                  ))}
              <svg width="64" height="12" aria-hidden="true">
                <path d="M0 6h52M52 1l10 5-10 5z" stroke="var(--ink)" fill="var(--ink)" strokeWidth="1.5" />
              </svg>
            </div>
          )}
          <ButtonBase
            className={set.id === shownId ? 'film-set now' : 'film-set'}
            onClick={() => onShow(set.id)}
            aria-pressed={set.id === shownId}
          >
            <SmallSheet set={set} vanes={paper.vaneCount} />
            <span>
              <b>Set {set.number}</b>
              <br />
              {set.mean ? say(`${short(set)} in`) : 'no tears yet'}
              <br />
              <small>
                {set.distanceTyped.replace(/\s*yd$/, '')} yd, {set.fletched ? 'fletched' : 'bare'}, {counted(set)}
              </small>
            </span>
          </ButtonBase>
        </li>
      ))}
    </ol>
  );
}

function counted(set: ShotSet): string {
  const good = set.shots.filter((s) => s.voidReason === null).length;
  return good === set.shots.length ? `${good} shots` : `${good} of ${set.shots.length}`;
}

const short = (set: ShotSet) => {
  const { x, y } = set.mean!.mean;
  return Math.abs(x) >= Math.abs(y)
    ? `tail ${x < 0 ? 'left' : 'right'} ${number(Math.abs(x), 2)}`
    : `tail ${y < 0 ? 'low' : 'high'} ${number(Math.abs(y), 2)}`;
};

function SmallSheet({ set, vanes }: { set: ShotSet; vanes: number }) {
  const px = set.mean && Math.hypot(set.mean.mean.x, set.mean.mean.y) > 1.2 ? 18 : 30;
  return (
    <svg width="120" height="76" viewBox="-60 -38 120 76" aria-hidden="true">
      <rect x="-60" y="-38" width="120" height="76" fill="var(--paper)" stroke="var(--edge)" />
      <path d="M-60 0H60M0 -38V38" stroke="var(--paper-line)" />
      {set.shots
        .filter((s) => s.voidReason === null)
        .map((s) => (
          <path
            key={s.id}
            d={tearPath(s.tear, px, s.id, set.fletched ? vanes || 3 : 3)}
            fill="var(--hole)"
            fillOpacity="0.35"
          />
        ))}
    </svg>
  );
}
