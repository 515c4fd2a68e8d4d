import { percent } from '../../units/units';
import { useFigures } from '../../units/UnitsContext';
import { classes } from '../../parts/classes';
import w from '../../parts/words.module.css';
import s from './ChanceBar.module.css';

/** The chance of being inside as a bar; with the chance after the move, dashed, and where it would be called done. */
export function ChanceBar({
  chance,
  enough,
  after,
  tolerance,
}: {
  chance: number;
  enough: number | null;
  after?: number | null;
  tolerance: number;
}) {
  const { figure } = useFigures();
  const WIDTH = 160;
  const now =
    enough !== null && chance < enough && percent(chance) === percent(enough)
      ? `just under ${percent(enough)}`
      : percent(chance);
  const words = `${now} inside ${figure(tolerance, 'in', 2)} now${after == null ? '' : `, ${percent(after)} after the move`}`;
  return (
    <div className={s.chance}>
      <svg width={WIDTH} height="26" viewBox={`0 0 ${WIDTH} 26`} role="img" aria-label={words}>
        <rect x="0.5" y="7.5" width={WIDTH - 1} height="11" fill="var(--sheet)" stroke="var(--edge)" />
        <rect x="0" y="8" width={WIDTH * chance} height="10" fill="var(--ink)" />
        {after != null && (
          <rect
            x="1"
            y="8"
            width={Math.max(0, WIDTH * after - 2)}
            height="10"
            fill="none"
            stroke="var(--pred)"
            strokeWidth="2"
            strokeDasharray="5 3"
          />
        )}
        {enough !== null && (
          <line x1={WIDTH * enough} x2={WIDTH * enough} y1="1" y2="25" stroke="var(--green)" strokeWidth="3" />
        )}
      </svg>
      <span>
        <b className={w.tabular}>{now}</b> inside {figure(tolerance, 'in', 2)}
        {after != null && (
          <>
            , <b className={classes(w.tabular, s.after)}>{percent(after)}</b> after it
          </>
        )}
        {enough !== null && <span className={w.muted}>; done at {percent(enough)}</span>}
      </span>
    </div>
  );
}
