import type { CSSProperties } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { BowDrawing } from '../../parts/BowDrawing';
import { Key } from '../../parts/Buttons';
import { classes } from '../../parts/classes';
import { Note } from '../../parts/Note';
import { along, bowOutline } from '../../drawing/bow';
import { shortDay } from '../../units/days';
import w from '../../parts/words.module.css';
import s from './HungBow.module.css';

type Bow = Schemas['RackBow'];

/** A bow as it hangs on its peg: its string is the gauge, beside it stands what a look at it asks. */
export function HungBow({ bow, onGo }: { bow: Bow; onGo: () => void }) {
  const { shots, span, checksAt, due, nextCheck } = bow.string;
  const { top, bottom } = bowOutline(bow.kind).straight;
  const at = (top + (bottom - top) * along(shots, span)) / 200;
  return (
    <li className={classes(s.bow, bow.hand === 'left' && s.left)} data-bow={bow.id}>
      <div className={s.peg}>
        <BowDrawing kind={bow.kind} hand={bow.hand} height={300} shots={bow.string} />
      </div>
      <div className={s.notes}>
        <p className={s.pointer} style={{ '--at': at } as CSSProperties}>
          <b>{shots}</b> <span>{shots === 1 ? 'shot' : 'shots'}</span>
        </p>
        <dl className={classes(s.facts, at < 0.5 && s.low)}>
          {bow.arrowsOut && (
            <div>
              <dt>arrows out</dt>
              <dd>
                {bow.arrowsOut.out} of {bow.arrowsOut.of}
              </dd>
            </div>
          )}
          <div>
            <dt>last shot well</dt>
            <dd>{bow.shotWellAt ? shortDay(bow.shotWellAt) : 'not marked'}</dd>
          </div>
          {checksAt.length > 0 && (
            <div className={classes(due && s.due)}>
              <dt>string check</dt>
              <dd>{nextCheck == null ? 'all done' : due ? `${nextCheck} is due` : `in ${nextCheck - shots}`}</dd>
            </div>
          )}
        </dl>
      </div>
      <h2>{bow.name}</h2>
      <p className={w.muted}>
        {bow.line}
        <br />
        {bow.archerName}
      </p>
      <BowState bow={bow} className={s.state} />
      <Key className={s.next} onClick={onGo}>
        {bow.nextWords}
      </Key>
      <WrongLink bow={bow} />
    </li>
  );
}

/** The way to what is looked at first when something is wrong with it. */
export const WrongLink = ({ bow }: { bow: Bow }) => (
  <Link className={s.wrong} to={`/bows/${bow.id}/bow?way=wrong`}>
    Something is wrong<span className="visually-hidden"> with {bow.name}</span>
  </Link>
);

/** How it stands, in a line; a bow that may not be shot says so as a caution. */
export const BowState = ({ bow, className }: { bow: Bow; className?: string }) =>
  bow.unsound ? (
    <Note className={className}>{bow.state}</Note>
  ) : (
    <p className={className} data-testid="state">
      {bow.state}
    </p>
  );
