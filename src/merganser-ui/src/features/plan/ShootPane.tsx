import { Link } from 'react-router';
import { classes } from '../../parts/classes';
import { dayOf } from '../../units/days';
import w from '../../parts/words.module.css';
import type { Plan } from './usePlan';
import s from './PlanPage.module.css';

/** The next shoot: its day, and what each bow needs before it. */
export function ShootPane({ shoot }: { shoot: NonNullable<Plan['shoot']> }) {
  const ready = shoot.bows.filter((bow) => bow.ready).length;
  return (
    <section aria-label="Before the shoot" data-testid="shoot" className={s.shoot}>
      <h2>
        {shoot.name}, {dayOf(shoot.on)}
      </h2>
      <DaysLeft days={shoot.daysLeft} />
      <p className={w.muted}>{shoot.advice}</p>
      {shoot.bench.length > 0 && (
        <ul className={s.bench} aria-label="Of the bench">
          {shoot.bench.map((line) => (
            <li key={line.reminderId}>
              {line.what} <span className={w.muted}>{line.when}</span>
            </li>
          ))}
        </ul>
      )}
      <p className={w.tabular}>
        <b>{ready}</b> of {shoot.bows.length} {shoot.bows.length === 1 ? 'bow' : 'bows'} with nothing open
      </p>
      <ul className={s.ready} aria-label="Bows">
        {shoot.bows.map(({ bow, ready, lines }) => (
          <li key={bow.id} className={classes(ready && s.done)}>
            <ReadySign ready={ready} />
            <div>
              <Link to={`/bows/${bow.id}/${bow.nextStop}`}>{bow.name}</Link>
              <span className={w.muted}>{bow.state}</span>
              {lines.map((line) => (
                <span key={`${line.reminderId}${line.what}`}>
                  {line.what}, {line.when}
                </span>
              ))}
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** A square that is ticked, or open: never colour alone. */
const ReadySign = ({ ready }: { ready: boolean }) => (
  <svg width="26" height="26" viewBox="0 0 26 26" role="img" aria-label={ready ? 'in order' : 'open'}>
    <rect x="3" y="3" width="20" height="20" fill="none" stroke="var(--ink)" strokeWidth="2" />
    {ready && <path d="M7 13l5 5L20 7" fill="none" stroke="var(--green)" strokeWidth="3.5" />}
  </svg>
);

const MOST_PEGS = 28;

/** A cord with a knot a day: those that are left until the shoot. */
function DaysLeft({ days }: { days: number }) {
  const shown = Math.min(days, MOST_PEGS);
  const x = (day: number) => 14 + day * 15;
  return (
    <svg
      className={s.days}
      viewBox={`0 0 ${x(MOST_PEGS) + 16} 34`}
      role="img"
      aria-label={days === 0 ? 'today' : `${days} ${days === 1 ? 'day' : 'days'} left`}
    >
      <path d={`M4 12H${x(shown)}`} stroke="var(--ink2)" strokeWidth="2" />
      {Array.from({ length: shown }, (_, day) => (
        <circle key={day} cx={x(day)} cy="12" r="4.5" fill={day < 7 ? 'var(--ink)' : 'var(--ink2)'} />
      ))}
      <path
        d={`M${x(shown)} 2v20M${x(shown)} 3l13 5l-13 5z`}
        fill="var(--crest)"
        stroke="var(--crest)"
        strokeWidth="2"
      />
      <text x={x(0) - 6} y="33" fill="var(--ink2)" fontSize="18">
        today
      </text>
    </svg>
  );
}
