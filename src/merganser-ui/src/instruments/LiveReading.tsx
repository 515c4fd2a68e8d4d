import { show } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { classes } from '../parts/classes';
import type { InstrumentEvent } from './useInstrument';
import { Simulated } from './Simulated';
import w from '../parts/words.module.css';
import s from './LiveReading.module.css';

/** The reading itself, as large as can be read at arm's length; a stand-in says so, and no reading is words. */
export function LiveReading({
  last,
  trouble,
  unit,
  decimals = 1,
}: {
  last: InstrumentEvent | null;
  trouble: string | null;
  unit: string;
  decimals?: number;
}) {
  const units = useUnits();
  const value = last?.value ?? null;
  const shown = value === null ? null : show(value, last?.unit || unit, decimals, units);
  return (
    <div className={s.live} data-testid="live">
      {(last?.simulated ?? true) && <Simulated />}
      {shown === null ? (
        <p className={s.none}>no reading yet</p>
      ) : (
        <p className={classes(s.value, w.tabular)}>
          {trouble ? <s>{shown.value}</s> : shown.value}
          <small>{shown.unit}</small>
        </p>
      )}
      <p className={s.state} aria-live="polite">
        {trouble ? (
          <b>{trouble}; the field below is open</b>
        ) : last?.pan === 'taken' ? (
          <b>taken: lift the piece off</b>
        ) : last?.pan === 'unknown' ? (
          <b>it lay there before: lift it off, or take it now</b>
        ) : last?.stable ? (
          <>
            <span className={s.stable} aria-hidden="true" /> stable
          </>
        ) : value === null ? (
          `waiting for ${show(0, unit, 0, units).unit}`
        ) : (
          <>
            <svg width="40" height="12" aria-hidden="true">
              <path d="M1 6q5-8 10 0t10 0t10 0" fill="none" stroke="var(--ink)" strokeWidth="2" />
            </svg>{' '}
            moving
          </>
        )}
      </p>
    </div>
  );
}
