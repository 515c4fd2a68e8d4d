import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { BowDrawing } from '../../parts/BowDrawing';
import { Key } from '../../parts/Buttons';
import { ChoiceRow } from '../../parts/ChoiceRow';
import { classes } from '../../parts/classes';
import { along, checksOf } from '../../drawing/bow';
import { shortDay } from '../../units/days';
import { BowState, WrongLink } from './HungBow';
import w from '../../parts/words.module.css';
import s from './RackRows.module.css';

type Bow = Schemas['RackBow'];

const order: Bow['urgency'][] = ['unsound', 'due', 'inWork', 'rests'];
const isDue = (bow: Bow) => bow.urgency === 'unsound' || bow.urgency === 'due';

/** A long rack as rows, what is due first; each keeps the number of its peg. */
export function RackRows({ bows, shown, onGo }: { bows: Bow[]; shown: Bow[]; onGo: (bow: Bow) => void }) {
  const [only, setOnly] = useState('all');
  const peg = new Map(bows.map((bow, i) => [bow.id, i + 1]));
  const rows = shown
    .filter((bow) => only === 'all' || (only === 'due' ? isDue(bow) : bow.urgency === 'inWork'))
    .toSorted((a, b) => order.indexOf(a.urgency) - order.indexOf(b.urgency) || peg.get(a.id)! - peg.get(b.id)!);
  const count = (has: (bow: Bow) => boolean) => shown.filter(has).length;
  return (
    <>
      <div className={s.which}>
        <ChoiceRow
          label="Which bows"
          value={only}
          onChange={setOnly}
          choices={[
            ['all', `All ${shown.length}, due first`],
            ['due', `Due ${count(isDue)}`],
            ['inWork', `In work ${count((bow) => bow.urgency === 'inWork')}`],
          ]}
        />
      </div>
      <ul className={s.rows} data-testid="rack" aria-label="Bows">
        {rows.map((bow) => (
          <li key={bow.id} data-bow={bow.id}>
            <span className={classes(s.peg, w.tabular)}>{peg.get(bow.id)}</span>
            <BowDrawing kind={bow.kind} hand={bow.hand} height={56} thin />
            <div className={s.who}>
              <h2>{bow.name}</h2>
              <span className={w.muted}>
                {bow.archerName}. {bow.line}
              </span>
            </div>
            <div className={s.string}>
              <Gauge string={bow.string} />
              <span className={w.tabular}>
                <b>{bow.string.shots}</b> shots{bow.shotWellAt && `, shot well ${shortDay(bow.shotWellAt)}`}
                {bow.arrowsOut && bow.arrowsOut.out > 0 && `, ${bow.arrowsOut.out} of ${bow.arrowsOut.of} arrows out`}
              </span>
            </div>
            <BowState bow={bow} className={classes(s.state, isDue(bow) && s.due)} />
            <div className={s.next}>
              <Key onClick={() => onGo(bow)}>{bow.nextWords}</Key>
              <WrongLink bow={bow} />
            </div>
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
    <svg width={WIDE} height="20" viewBox={`0 0 ${WIDE} 20`} aria-hidden="true">
      <path d={`M4 10H${WIDE - 4}`} stroke="var(--ink2)" />
      <path d={`M4 10H${x(string.shots)}`} stroke="var(--ink)" strokeWidth="5" />
      {checksOf(string).map(({ at, due }) => (
        <path key={at} d={`M${x(at)} 2V18`} stroke={due ? 'var(--crest)' : 'var(--ink)'} strokeWidth={due ? 4 : 2} />
      ))}
    </svg>
  );
}
