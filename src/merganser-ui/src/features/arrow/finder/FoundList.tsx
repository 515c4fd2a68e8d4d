import { Key, Plain } from '../../../parts/Buttons';
import { classes } from '../../../parts/classes';
import { ListRow } from '../../../parts/List';
import { Note } from '../../../parts/Note';
import type { Figure, Finder, Row } from './useFinder';
import w from '../../../parts/words.module.css';
import s from './Finder.module.css';

const shown: [Figure, string][] = [
  ['fit', 'fit'],
  ['weight', 'weight'],
  ['frontOfCenter', 'FOC'],
  ['speed', 'speed'],
];

const bare = (row: Row, figure: Figure) => row.figures.find((f) => f.figure === figure)?.bare ?? '';

/** A part that is not owned. */
const Buy = () => <span className={s.buy}>buy</span>;

/** The parts of a build in a line, those to buy marked. */
export const Parts = ({ row }: { row: Row }) => (
  <>
    {row.parts.map((part, i) => (
      <span key={part.name}>
        {i > 0 && ', '}
        {part.name}
        {!part.owned && <Buy />}
      </span>
    ))}
  </>
);

/** The ranked builds, with why each is there. */
export function FoundList({
  finder,
  chosen,
  onChoose,
}: {
  finder: Finder;
  chosen: Row | null;
  onChoose: (row: Row) => void;
}) {
  const { search, rows } = finder;
  if (!search) return <section aria-label="Ranked" className={s.list} />;
  const over = search.state === 'done';
  return (
    <section aria-label="Ranked" className={s.list} data-testid="found">
      <h2 className={s.heads}>
        {over ? 'Ranked' : 'Ranked so far'}
        {shown.map(([figure, words]) => (
          <span key={figure}>{words}</span>
        ))}
      </h2>
      {finder.empty && <p>{finder.empty}</p>}
      {rows.length === 0 && !finder.empty && (
        <p>{over || search.state === 'stopped' ? 'Nothing fits all that is wanted.' : 'Nothing fits so far.'}</p>
      )}
      {rows.map((row) => (
        <ListRow
          key={row.at}
          ruled
          here={row.at === chosen?.at}
          aria-pressed={row.at === chosen?.at}
          className={s.found}
          onClick={() => onChoose(row)}
          data-rank={row.rank}
        >
          <b className={s.rank}>{row.rank}</b>
          <span className={s.name}>
            <b>{row.name}</b>
            {!row.shaftOwned && <Buy />}
          </span>
          {shown.map(([figure, words]) => (
            <span key={figure} className={classes(s.value, w.tabular)} aria-label={`${words} ${bare(row, figure)}`}>
              {bare(row, figure)}
            </span>
          ))}
          <span className={s.parts}>
            <Parts row={row} />
          </span>
          <span className={s.why}>{row.reason}</span>
        </ListRow>
      ))}
      {rows.length < search.listed && (
        <Plain onClick={() => void finder.turn()}>
          {rows.length} of {search.listed}: show more
        </Plain>
      )}
    </section>
  );
}

/** A build that was pressed in the picture, with all its figures. */
export const Pressed = ({ row, onBack }: { row: Row; onBack: () => void }) => (
  <section className={s.pressed} aria-label="Pressed in the picture" data-testid="pressed">
    <h2>
      {row.name} <Key onClick={onBack}>Back to the list</Key>
    </h2>
    <p>
      <Parts row={row} />
    </p>
    <dl>
      {row.figures.map((f) => (
        <div key={f.figure}>
          <dt>{f.label}</dt>
          <dd className={w.tabular}>{f.text}</dd>
        </div>
      ))}
    </dl>
    <p>{row.reason}</p>
    {row.caution && <Note word="Mind.">{row.caution}</Note>}
  </section>
);
