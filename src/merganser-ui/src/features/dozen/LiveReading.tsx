import { show } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import type { InstrumentEvent } from './useInstrument';

/** The reading itself, as large as can be read at arm's length; a stand-in says so, and no reading is words. */
export function LiveReading({
  last,
  trouble,
  unit,
}: {
  last: InstrumentEvent | null;
  trouble: string | null;
  unit: string;
}) {
  const units = useUnits();
  const value = last?.value ?? null;
  const shown = value === null ? null : show(value, last?.unit || unit, 1, units);
  return (
    <div className="live" data-testid="live">
      {(last?.simulated ?? true) && <span className="sim">simulated</span>}
      {shown === null ? (
        <p className="live-none">no reading yet</p>
      ) : (
        <p className="live-value n">
          {trouble ? <s>{shown.value}</s> : shown.value}
          <small>{shown.unit}</small>
        </p>
      )}
      <p className="live-state" aria-live="polite">
        {trouble ? (
          <b>{trouble}; the field below is open</b>
        ) : last?.waitsForEmpty ? (
          <b>taken: lift the piece off</b>
        ) : last?.stable ? (
          <>
            <span className="stable-bar" aria-hidden="true" /> stable
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
