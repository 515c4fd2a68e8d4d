import type { Schemas } from '../../api/client';
import { Key } from '../../parts/Buttons';
import { ChoiceRow } from '../../parts/ChoiceRow';
import { classes } from '../../parts/classes';
import { along, checksOf } from '../../drawing/bow';
import { shortDay } from '../../units/days';
import { BowState, WrongLink } from './HungBow';
import w from '../../parts/words.module.css';
import s from './RackRows.module.css';

export type RackBow = Schemas['RackBow'];
export type Which = 'all' | 'due' | 'inWork';

const order: RackBow['urgency'][] = ['unsound', 'due', 'inWork', 'rests'];

/** Something is due on it, or it may not be shot. */
export const isDue = (bow: RackBow) => bow.urgency === 'unsound' || bow.urgency === 'due';

const among = (bow: RackBow, which: Which) =>
  which === 'all' || (which === 'due' ? isDue(bow) : bow.urgency === 'inWork');

/** Which bows of a long rack stand in its rows. */
export function WhichBows({ of, value, onChange }: { of: RackBow[]; value: Which; onChange: (which: Which) => void }) {
  const count = (which: Which) => of.filter((bow) => among(bow, which)).length;
  return (
    <ChoiceRow<Which>
      label="Which bows"
      value={value}
      onChange={onChange}
      choices={[
        ['all', `All ${count('all')}, due first`],
        ['due', `Due ${count('due')}`],
        ['inWork', `In work ${count('inWork')}`],
      ]}
    />
  );
}

interface Props {
  /** Each with the number of its peg. */
  pegs: Map<string, number>;
  shown: RackBow[];
  which: Which;
  onGo: (bow: RackBow) => void;
}

/** A long rack as rows, what is due first; each keeps the number of its peg. */
export function RackRows({ pegs, shown, which, onGo }: Props) {
  const rows = shown
    .filter((bow) => among(bow, which))
    .toSorted((a, b) => order.indexOf(a.urgency) - order.indexOf(b.urgency) || pegs.get(a.id)! - pegs.get(b.id)!);
  return (
    <>
      <ul className={s.rows} data-testid="rack" aria-label="Bows">
        {rows.map((bow) => (
          <li key={bow.id} data-bow={bow.id}>
            <span className={classes(s.peg, w.tabular)}>{pegs.get(bow.id)}</span>
            <div className={s.who}>
              <h2>{bow.name}</h2>
              <span className={w.muted}>{bow.archerName}</span>
            </div>
            <span className={s.line}>{bow.line}</span>
            <div className={s.string}>
              <Gauge string={bow.string} />
              <span className={w.tabular}>
                <b>{bow.string.shots}</b> shots{bow.shotWellAt && `, well ${shortDay(bow.shotWellAt)}`}
                {bow.arrowsOut && bow.arrowsOut.out > 0 && `, ${bow.arrowsOut.out} of ${bow.arrowsOut.of} out`}
              </span>
            </div>
            <div className={s.stands}>
              <BowState bow={bow} className={classes(s.state, isDue(bow) && s.due)} />
              <WrongLink bow={bow} />
            </div>
            <Key className={s.next} onClick={() => onGo(bow)}>
              {bow.nextWords}
            </Key>
          </li>
        ))}
      </ul>
      {rows.length === 0 && shown.length > 0 && <p className={s.none}>No bow is so.</p>}
    </>
  );
}

const WIDE = 150;

/** The string laid down: dark as far as it was shot. */
function Gauge({ string }: { string: Schemas['StringGauge'] }) {
  const x = (shots: number) => 4 + (WIDE - 8) * along(shots, string.span);
  return (
    <svg width={WIDE} height="18" viewBox={`0 0 ${WIDE} 20`} aria-hidden="true">
      <path d={`M4 10H${WIDE - 4}`} stroke="var(--ink2)" />
      <path d={`M4 10H${x(string.shots)}`} stroke="var(--ink)" strokeWidth="5" />
      {checksOf(string).map(({ at, due }) => (
        <path key={at} d={`M${x(at)} 2V18`} stroke={due ? 'var(--crest)' : 'var(--ink)'} strokeWidth={due ? 4 : 2} />
      ))}
    </svg>
  );
}
