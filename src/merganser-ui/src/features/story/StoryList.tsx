import { Earlier } from '../../parts/Earlier';
import { Empty } from '../../parts/Empty';
import { ListRow } from '../../parts/List';
import { classes } from '../../parts/classes';
import { thumbnail } from '../../pictures/usePhotographs';
import { shortDay } from '../../units/days';
import w from '../../parts/words.module.css';
import { Sign } from './Sign';
import type { Happened, StoryWork } from './useStory';
import s from './Story.module.css';

interface Props {
  work: StoryWork;
  picked: string | null;
  onPick: (id: string) => void;
}

/** Everything that happened, hung on the string: the newest first, a day under its date. */
export function StoryList({ work, picked, onPick }: Props) {
  const { list, find, signs } = work;
  const step = (from: HTMLElement, by: number) => {
    const rows = [...(from.closest('ol')?.querySelectorAll<HTMLElement>('button') ?? [])];
    rows[rows.indexOf(from) + by]?.focus();
  };
  if (list.rows.length === 0)
    return (
      <div className={s.empty}>
        <svg width="40" height="120" aria-hidden="true">
          <path d="M20 0V120" stroke="var(--ink)" strokeWidth="4" />
          <circle cx="20" cy="60" r="6" fill="var(--ground)" stroke="var(--ink)" strokeWidth="3" />
        </svg>
        <div>
          {find || signs.length > 0 ? (
            <Empty>Nothing of that kind stands in the story.</Empty>
          ) : (
            <Empty>Today. Nothing has happened to this bow yet.</Empty>
          )}
        </div>
      </div>
    );
  return (
    <div className={s.hung}>
      <ol className={s.list} data-testid="story">
        {list.rows.map((row, i) => (
          <li key={row.id} data-sign={row.sign} data-tone={row.tone}>
            <ListRow
              className={classes(s.event, startsDay(list.rows, i) && s.first)}
              here={row.id === picked}
              aria-pressed={row.id === picked}
              onClick={() => onPick(row.id)}
              onKeyDown={(event) => {
                if (event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return;
                event.preventDefault();
                step(event.currentTarget, event.key === 'ArrowDown' ? 1 : -1);
              }}
            >
              <b className={s.day}>
                {startsDay(list.rows, i) ? (
                  shortDay(row.at)
                ) : (
                  <span className="visually-hidden">{shortDay(row.at)}</span>
                )}
              </b>
              <span className={classes(s.shots, w.tabular)}>
                {row.shots !== list.rows[i + 1]?.shots && row.shots > 0 ? row.shots : ''}
              </span>
              <i className={s.knot} />
              <Sign of={row.tone === 'due' ? 'due' : row.sign} />
              <span className={s.words}>
                {row.words}
                {row.pictures.map((id) => (
                  <img key={id} className={s.small} src={thumbnail(id)} alt="photograph" />
                ))}
              </span>
              <span className={classes(s.beside, w.tabular)}>{row.beside}</span>
            </ListRow>
          </li>
        ))}
      </ol>
      <Earlier list={list} />
    </div>
  );
}

const startsDay = (rows: Happened[], i: number) => i === 0 || shortDay(rows[i - 1]!.at) !== shortDay(rows[i]!.at);
