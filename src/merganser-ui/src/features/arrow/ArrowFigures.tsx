import { memo, useMemo, type ReactNode } from 'react';
import type { Schemas } from '../../api/client';
import { Figure } from '../../parts/Figure';
import { Later } from '../../parts/Later';
import { number } from '../../units/units';
import { FitBand } from './FitBand';
import { SpeedBand } from './SpeedBand';
import w from '../../parts/words.module.css';
import s from './ArrowEditor.module.css';

const top = ['totalWeight', 'frontOfCenter', 'grainsPerPound', 'speed', 'kineticEnergy', 'momentum'];
const small = ['fit', 'neededSpine', 'staticSpine', 'amoSpine', 'balancePoint', 'toSpare'];
const SINCE = 'kept';

/** The figures of an arrow and its fit; beside the fit stands what would change it. */
export const ArrowFigures = memo(function ArrowFigures({
  reading,
  stale,
  children,
}: {
  reading: Schemas['ArrowReading'];
  stale: boolean;
  children: ReactNode;
}) {
  const figure = (name: string) => reading.figures.find((f) => f.name === name)!;
  const since = reading.figures.some((f) => f.change !== null) ? SINCE : undefined;
  const speed = figure('speed');
  /** A weight that has a band stands on something that is not known. */
  const banded = figure('totalWeight').lowText !== null;
  const speedBand = useMemo(() => <SpeedBand figure={speed} />, [speed]);
  return (
    <>
      <div className={s.figures} data-testid="figures">
        {top.map((name) => (
          <Figure key={name} figure={figure(name)} since={since} stale={stale} banded={banded && name !== 'speed'}>
            {name === 'speed' ? speedBand : null}
          </Figure>
        ))}
      </div>
      <Later>
        <div className={s.lower}>
          <section aria-label="Spine">
            <div className={s.fit}>
              <h2>
                Fit {number(reading.fit.ratio, 2)} <span>{reading.fit.words}</span>
              </h2>
              <span className={w.muted}>
                {number(reading.fit.low, 2)} to {number(reading.fit.high, 2)}, the bar in the band
                {reading.fit.openedRatio !== null && `; kept ${number(reading.fit.openedRatio, 2)}`}
              </span>
            </div>
            <FitBand fit={reading.fit} />
            <div className={s.small}>
              {small.map((name) => (
                <Figure key={name} figure={figure(name)} size="tiny" banded={banded} />
              ))}
            </div>
          </section>
          {children}
        </div>
      </Later>
    </>
  );
});
