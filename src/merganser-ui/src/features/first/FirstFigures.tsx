import { useRef } from 'react';
import type { Schemas } from '../../api/client';
import { FitScale } from '../../parts/FitScale';
import { TakeAlong } from '../../parts/Table';
import { number, percent, show } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import { classes } from '../../parts/classes';
import w from '../../parts/words.module.css';
import s from './FirstPage.module.css';

type Reading = Schemas['FirstReading'];

const words: Record<Reading['shares'][number]['band'], string> = {
  weak: 'weak',
  borderlineWeak: 'borderline',
  good: 'good',
  stiff: 'stiff',
};

/** What the answers already tell: the band in which nine of ten arrows lie that they allow, and what narrows it. */
export function FirstFigures({ reading }: { reading: Reading | undefined }) {
  const units = useUnits();
  const narrowers = useRef<HTMLTableElement>(null);
  const range = ({ low, high }: Reading['weight'], unit: string, decimals: number) => {
    const [from, to] = [show(low, unit, decimals, units), show(high, unit, decimals, units)];
    return { words: from.value === to.value ? from.value : `${from.value} to ${to.value}`, unit: to.unit };
  };
  if (!reading)
    return (
      <section className={classes(s.figures, s.notYet)} aria-label="What it tells">
        <div className={s.numbers}>
          <Band label="This arrow weighs" words="not yet" unit="" />
          <Band label="For each pound of the bow" words="not yet" unit="" />
        </div>
        <div className={s.bar}>
          <p className={s.fit}>Fit: not yet</p>
          <FitScale
            label="Fit: not known yet"
            low={0.8}
            high={1.3}
            bands={Object.values(words).map((word) => ({ word, strong: false }))}
          />
        </div>
        <p className={w.muted}>The first answer gives a first figure; each one after it makes the bar shorter.</p>
      </section>
    );
  const most = Math.max(...reading.narrowers.map((line) => line.width));
  const { fit } = reading;
  const weight = range(reading.weight, 'gr', 0);
  const likely = reading.shares.reduce((best, share) => (share.share > best.share ? share : best));
  return (
    <section className={s.figures} aria-label="What it tells" data-testid="first-figures">
      <div className={s.numbers}>
        <Band label="This arrow weighs" {...weight} />
        <Band label="For each pound of the bow" {...range(reading.perPound, 'gr/lb', 1)} />
        <p className={classes(reading.lightShare > 0 && s.light)}>{reading.heavy}</p>
      </div>
      <div className={s.bar}>
        <p className={classes(s.fit, s.both)}>
          <b>
            Fit {number(fit.low, 2)} to {number(fit.high, 2)}
          </b>{' '}
          <span className={s.said}>{reading.words}</span>
          <span className={s.weighs} aria-hidden="true">
            {weight.words} {weight.unit}
          </span>
        </p>
        <FitScale
          label={`Fit ${number(fit.low, 2)} to ${number(fit.high, 2)}: ${reading.words}`}
          low={fit.low}
          high={fit.high}
          bands={reading.shares.map(({ band, share }) => ({
            word: words[band],
            strong: band === likely.band,
            more: share === 0 ? '' : percent(share),
          }))}
        />
        <p className={classes(w.muted, s.says)}>bar: nine of ten arrows that your answers allow</p>
      </div>
      <div>
        <table ref={narrowers} className={s.narrow}>
          <caption>What would narrow it most: width of the fit’s bar</caption>
          <tbody>
            {reading.narrowers.map((line) => (
              <tr key={line.what}>
                <th scope="row">{line.what}</th>
                <td aria-hidden="true">
                  <svg width="100%" height="14" preserveAspectRatio="none" viewBox="0 0 100 14">
                    <rect width={(100 * line.width) / most} height="14" fill="var(--ink)" />
                  </svg>
                </td>
                <td>{number(line.width, 2)}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <TakeAlong of={narrowers} />
      </div>
    </section>
  );
}

const Band = ({ label, words: text, unit }: { label: string; words: string; unit: string }) => (
  <p className={s.number}>
    <span className={w.label}>{label}</span>
    <b className={w.tabular}>
      {text} <small>{unit}</small>
    </b>
  </p>
);
