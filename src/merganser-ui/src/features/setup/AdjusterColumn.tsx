import type { Schemas } from '../../api/client';
import { Later } from '../../parts/Later';
import { Scale } from '../../parts/Scale';
import { withUnit } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import { ListRow } from '../../parts/List';
import { MoveForm } from './MoveForm';
import type { Setup, SetupWork } from './useSetup';
import w from '../../parts/words.module.css';
import s from './AdjusterColumn.module.css';

interface Props {
  bow: Schemas['BowView'];
  setup: Setup;
  work: SetupWork;
  open: Schemas['AdjusterKind'] | null;
  onOpen: (kind: Schemas['AdjusterKind'] | null) => void;
}

/** Every adjuster on its own scale, with the place where it stood when the bow shot well. */
export function AdjusterColumn({ bow, setup, work, open, onOpen }: Props) {
  const units = useUnits();
  const good = setup.goodStates[0];
  const centre = setup.centreShot;
  return (
    <section className={s.column} aria-label="Adjusters">
      <h2>
        Adjusters{' '}
        {good && (
          <small className={w.muted}>
            dashed: {new Date(good.markedAt).toLocaleDateString('en-GB', { day: 'numeric', month: 'short' })}, shot well
          </small>
        )}
      </h2>
      <Later>
        <ul>
          {bow.adjusters.filter(worthARow).map((adjuster) => (
            <li key={adjuster.kind}>
              <ListRow
                ruled
                className={s.row}
                aria-expanded={open === adjuster.kind}
                onClick={() => onOpen(open === adjuster.kind ? null : adjuster.kind)}
                data-adjuster={adjuster.kind}
              >
                <span className={s.head}>
                  <b>{adjuster.name}</b>
                  <span className={s.standing}>{adjuster.standing}</span>
                </span>
                <Scale
                  lower={adjuster.lower}
                  upper={adjuster.upper}
                  at={adjuster.position}
                  good={good?.positions[adjuster.kind]}
                  label={`${adjuster.name}: ${adjuster.standing}, ${adjuster.room}`}
                />
                <span className={s.note}>
                  <span>
                    {adjuster.kind === 'restSideways' && centre
                      ? `centre shot ${withUnit(centre.now, 'in', 2, units)}, ${centre.verdict === 'within' ? 'within' : centre.verdict === 'beyond' ? 'beyond' : 'at the edge'}`
                      : adjuster.seats
                        ? `top ${adjuster.seats.topLeft} | ${adjuster.seats.topRight}, bottom ${adjuster.seats.bottomLeft} | ${adjuster.seats.bottomRight}`
                        : adjuster.room}
                    {adjuster.inchesPerStep !== null && `, ${withUnit(adjuster.inchesPerStep, 'in', 4, units)} a step`}
                  </span>
                  {adjuster.needsPress && <b>press</b>}
                </span>
              </ListRow>
              {open === adjuster.kind && (
                <MoveForm key={bow.version} adjuster={adjuster} work={work} onDone={() => onOpen(null)} />
              )}
            </li>
          ))}
        </ul>
        <p className={w.muted}>Press a row to log a move.</p>
      </Later>
    </section>
  );
}

/** A leg alone is logged with its pair, and has a row of its own only where it was twisted. */
const worthARow = (adjuster: Schemas['AdjusterView']) =>
  (adjuster.kind !== 'yokeLeftLeg' && adjuster.kind !== 'yokeRightLeg') || adjuster.position !== 0;
