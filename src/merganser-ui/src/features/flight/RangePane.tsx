import { Key } from '../../parts/Buttons';
import { Figure } from '../../parts/Figure';
import { Stepper } from '../../parts/Stepper';
import { show } from '../../units/units';
import { useFigures, useUnits } from '../../units/UnitsContext';
import { BesideTable } from './BesideTable';
import { RangeSheet } from './RangeSheet';
import type { Flight, FlightWork } from './useFlight';
import w from '../../parts/words.module.css';
import s from './FlightPage.module.css';

const USUAL_ERROR = 2;
const USUAL_CIRCLE = 8;

/** How far a shot is honest: the rule drawn so that the eye can check it, and what would move it. */
export function RangePane({ view, work, onArrow }: { view: Flight; work: FlightWork; onArrow: (id: string) => void }) {
  const units = useUnits();
  const { figure } = useFigures();
  const { honest } = view;
  const said = work.said ?? view.said;
  const measured = said.error === 'measured';
  const unitOf = (trade: 'yd' | 'in') => show(0, trade, 0, units).unit;
  const error = countOf(said.error === 'typed' ? said.errorYards : '', USUAL_ERROR, unitOf('yd') === 'm' ? 0.9144 : 1);
  const inUnit = unitOf('in') === 'cm' ? 2.54 : unitOf('in') === 'mm' ? 25.4 : 1;
  const circle = countOf(said.circle, USUAL_CIRCLE, inUnit);
  const figures = view.figures.filter((f) => f.name !== 'drag');
  return (
    <>
      <div className={s.top}>
        <div className={s.says}>
          <h1 data-testid="honest">{honest ? honest.title : 'No range is shown for this arrow'}</h1>
          {honest && (
            <p>
              <b>{honest.within}</b> {honest.hits} {honest.unless && <span className={w.muted}>{honest.unless}</span>}
            </p>
          )}
        </div>
        {honest && (
          <div className={s.steppers}>
            {!measured && said.error !== 'guesses' && (
              <Stepper
                bare
                label={`Range read wrong by, ${unitOf('yd')}`}
                value={error}
                onChange={(n) =>
                  void work.say({ error: 'typed', errorYards: `${Math.max(0, Math.min(15, n))} ${unitOf('yd')}` })
                }
              />
            )}
            <Stepper
              bare
              label={`Circle to keep in, ${unitOf('in')}`}
              value={circle}
              onChange={(n) => void work.say({ circle: `${Math.max(1, n)} ${unitOf('in')}` })}
            />
            <Key
              aria-pressed={measured}
              onClick={() => void work.say({ error: measured ? (said.errorYards ? 'typed' : 'usual') : 'measured' })}
            >
              Range is measured
            </Key>
          </div>
        )}
      </div>
      <RangeSheet view={view} onSet={(yards) => work.setSet(yards)} />
      <div className={s.lower}>
        <section aria-label="Beside it">
          <BesideTable view={view} onArrow={onArrow} />
          {view.changes.length > 0 && (
            <>
              <h2>What one change would buy</h2>
              <ul className={s.changes}>
                {view.changes.map((words) => (
                  <li key={words}>{words}</li>
                ))}
              </ul>
            </>
          )}
          <p className={w.muted}>{view.spread}</p>
        </section>
        <section aria-label={`At ${figure(view.set, 'yd', 0)}`}>
          <h2>At {figure(view.set, 'yd', 0)}</h2>
          <div className={s.figures} data-testid="flight-figures">
            {figures.map((f) => (
              <Figure key={f.name} figure={f} size="small" banded={f.name === 'honestRange'} />
            ))}
          </div>
        </section>
      </div>
    </>
  );
}

/** A typed count in the archer's unit; one typed in another unit, or none, is read as the usual one. */
function countOf(typed: string | null, usual: number, factor: number): number {
  const found = /^\s*(\d+(?:[.,]\d+)?)/.exec(typed ?? '');
  const value = found ? Number(found[1]!.replace(',', '.')) : usual * factor;
  return Math.round(value);
}
