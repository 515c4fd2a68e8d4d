import { ButtonBase } from '@mui/material';
import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { Field } from '../../parts/Field';
import { useWidth } from '../../parts/useWidth';
import { useEscape } from '../../shell/focus';
import type { BowKind } from '../../drawing/bow';
import { gauge, sixteenths } from '../../drawing/gauge';
import { measureShapes } from '../../drawing/measure';
import { number, show, type Quantity, type Units } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import { Caliper } from './Caliper';
import type { Check, SetupWork } from './useSetup';

interface Props {
  check: Check;
  at: number;
  total: number;
  typed: string;
  aperture: string;
  work: SetupWork;
  kind: BowKind;
  onType: (text: string) => void;
  onKeep: (confirmed?: boolean) => void;
  onEnter: () => void;
  onPick: (choice: string, by?: string) => void;
  onSkip: (reason: string) => void;
}

/** The answer that names who did it. */
const REPAIRED = 'repaired';
/** The width that the drawings are made in. */
const WIDTH = 620;

const when = (at: string) => new Date(at).toLocaleDateString('en-GB', { day: 'numeric', month: 'short' });

/** One check: how it is measured, the entry, the verdict and what to do. */
export function CheckPane({
  check,
  at,
  total,
  typed,
  aperture,
  work,
  kind,
  onType,
  onKeep,
  onEnter,
  onPick,
  onSkip,
}: Props) {
  const units = useUnits();
  const [skipping, setSkipping] = useState<string | null>(null);
  const [by, setBy] = useState('');
  useEscape(skipping !== null, () => setSkipping(null));
  const last = check.last;
  return (
    <section className="check-pane" aria-label={check.title}>
      <p className="lab">
        {at > 0 ? `Check ${at} of ${total}` : 'Asked again'}
        {check.tool && `, ${check.tool}`}
        {check.minutes > 0 && `, about ${check.minutes} minutes`}
      </p>
      <h1>{check.title}</h1>
      {check.whyHere && <p className="muted">{check.whyHere}</p>}
      {check.because && check.state !== 'done' && (
        <p className="caution" role="note">
          <span>
            <b>{check.state === 'again' ? 'Again.' : check.state === 'held' ? 'Not now.' : 'Left open.'}</b>
            {check.because}
          </span>
        </p>
      )}
      <MeasureDrawing check={check} kind={kind} />
      <p>
        {check.how} {check.advice && <span className="muted">{check.advice}</span>}
        {check.kind === 'peep' && ` Suggested aperture: ${aperture}, from the axle to axle.`}
      </p>
      {check.tolerance && <GaugeDrawing check={check} />}
      <div className="check-entry">
        {check.quantity ? (
          <Field
            label={check.title}
            name={`check-${check.kind}`}
            quantity={check.quantity as Quantity}
            value={typed}
            onChange={onType}
            onEnter={onEnter}
            first
            fault={work.suspicious ? undefined : work.faults.typed?.[0]}
            hint={
              check.tolerance
                ? `aim ${inUnit(check.tolerance.aim, check.unit, units)}: ${check.tolerance.source}`
                : check.unit === 'degrees'
                  ? 'degrees'
                  : undefined
            }
          />
        ) : (
          <div className="choices" role="group" tabIndex={-1} data-first aria-label={`${check.title}, what was found`}>
            {check.choices.map((choice, i) =>
              choice.code === REPAIRED ? (
                <span key={choice.code} className="row repaired">
                  <Field
                    label="Repaired by"
                    name="repairedBy"
                    value={by}
                    onChange={setBy}
                    fault={work.faults.typed?.[0]}
                    onEnter={() => by.trim() && onPick(REPAIRED, by)}
                  />
                  <ButtonBase
                    className="key"
                    disabled={work.busy || !by.trim()}
                    onClick={() => onPick(REPAIRED, by)}
                    data-choice={choice.code}
                  >
                    It is repaired
                  </ButtonBase>
                </span>
              ) : (
                <ButtonBase
                  key={choice.code}
                  className="key"
                  aria-pressed={last?.choice === choice.code && check.state === 'done'}
                  disabled={work.busy}
                  onClick={() => onPick(choice.code)}
                  data-choice={choice.code}
                >
                  <kbd aria-hidden="true">{i + 1}</kbd>&nbsp;{choice.label}
                </ButtonBase>
              ),
            )}
          </div>
        )}
        {check.verdict && last && (
          <div className="verdict" data-verdict={check.verdict.verdict} aria-live="polite">
            <h2>{check.verdict.words}</h2>
            <p>
              {check.verdict.toDo}
              {check.verdict.press && <b> Press.</b>}
            </p>
            <p className="lab">
              {last.typed ? `entered ${last.typed}, ` : ''}
              {when(last.at)}
              {check.before &&
                `; last time ${check.before.typed || check.before.choiceWords}, ${when(check.before.at)}`}
            </p>
          </div>
        )}
      </div>
      {work.faults.choice && (
        <p className="fault" role="alert">
          {work.faults.choice[0]}
        </p>
      )}
      {work.suspicious && (
        <div className="caution asking" role="alert">
          <span>
            <b>Is that so?</b>
            {work.suspicious}
            <ButtonBase className="key" onClick={() => onKeep(true)}>
              Yes, keep it
            </ButtonBase>
          </span>
        </div>
      )}
      {check.kind === 'centreShot' && <Caliper bowId={work.bowId} />}
      <div className="row">
        {skipping === null ? (
          <ButtonBase className="plain" onClick={() => setSkipping('')}>
            Leave it with a reason
          </ButtonBase>
        ) : (
          <>
            <input
              className="name-input"
              aria-label="Reason for leaving this check"
              placeholder="why it is left"
              maxLength={120}
              autoFocus
              value={skipping}
              onChange={(event) => setSkipping(event.target.value)}
              onKeyDown={(event) => event.key === 'Enter' && skipping.trim() && onSkip(skipping)}
            />
            <ButtonBase className="key" disabled={!skipping.trim()} onClick={() => onSkip(skipping)}>
              Leave it
            </ButtonBase>
          </>
        )}
        {last && (
          <ButtonBase className="plain" onClick={() => void work.withdraw(last.id)}>
            That entry was wrong
          </ButtonBase>
        )}
      </div>
    </section>
  );
}

function inUnit(value: number, unit: string, units: Units): string {
  if (unit === 'degrees') return number(value, 0);
  return unit === 'in' && units.length === 'inches' ? sixteenths(value) : show(value, unit, 2, units).value;
}

/** One view, named; what is measured stands in red. */
function MeasureDrawing({ check, kind }: { check: Check; kind: BowKind }) {
  const { ref, width } = useWidth<HTMLDivElement>(WIDTH);
  const shapes = measureShapes(check.kind, kind);
  if (!shapes) return null;
  // Where the drawing is small its captions are numbers, and the words stand beneath it.
  const narrow = width < 520;
  return (
    <figure ref={ref}>
      <svg
        className="measure"
        viewBox={`0 0 ${WIDTH} 270`}
        role="img"
        aria-label={`${check.title}: ${check.view}. ${check.how}`}
      >
        {!narrow && (
          <text x="14" y="24" fontSize="15" className="muted-text">
            {check.view}
          </text>
        )}
        <path d={shapes.thin} fill="none" stroke="var(--ink2)" strokeWidth="1.5" />
        <path d={shapes.ink} fill="none" stroke="var(--ink)" strokeWidth="2.5" strokeLinejoin="round" />
        <path d={shapes.red} fill="none" stroke="var(--bill)" strokeWidth="2.5" />
        {shapes.labels.map((label, i) => (
          <text
            key={label.text}
            x={label.x}
            y={label.y}
            fontSize={narrow ? (14.5 * WIDTH) / width : 15}
            textAnchor={label.end ? 'end' : 'start'}
          >
            {narrow ? i + 1 : label.text}
          </text>
        ))}
      </svg>
      {narrow && (
        <figcaption className="muted">
          {check.view}: {shapes.labels.map((label, i) => `${i + 1} ${label.text}`).join(', ')}
        </figcaption>
      )}
    </figure>
  );
}

function GaugeDrawing({ check }: { check: Check }) {
  const { ref, width } = useWidth<HTMLDivElement>(600);
  const units = useUnits();
  const tolerance = check.tolerance as Schemas['Tolerance'];
  const value = check.last?.value ?? null;
  const inner = width - 48;
  const at = gauge(tolerance, value, check.readingError, inner);
  const label = (v: number) => inUnit(v, check.unit, units);
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={78}
        viewBox={`-24 0 ${width} 78`}
        role="img"
        aria-label={`${value === null ? 'Not measured yet' : `At ${label(value)}`}; limits ${label(tolerance.low)} to ${label(tolerance.high)}, aim ${label(tolerance.aim)}`}
      >
        <rect
          x={at.low}
          y="24"
          width={at.high - at.low}
          height="18"
          fill="var(--greenwash)"
          stroke="var(--green)"
          strokeWidth="2"
        />
        <line x1={at.aim} x2={at.aim} y1="20" y2="46" stroke="var(--green)" strokeWidth="3" />
        <line x1="0" x2={inner} y1="44" y2="44" stroke="var(--ink)" />
        {at.ticks.map((tick) => (
          <line key={tick.value} x1={tick.x} x2={tick.x} y1="44" y2="52" stroke="var(--edge)" />
        ))}
        {[tolerance.low, tolerance.aim, tolerance.high].map((v) => (
          <text key={v} x={at.x(v)} y="70" fontSize="14" textAnchor="middle">
            {label(v)}
          </text>
        ))}
        {at.error && (
          <path
            d={`M${at.error[0]} 33H${at.error[1]}M${at.error[0]} 28v10M${at.error[1]} 28v10`}
            stroke="var(--ink)"
            strokeWidth="2"
          />
        )}
        {at.at !== null && <path d={`M${at.at} 40l-8 -18h16z`} fill="var(--bill)" />}
      </svg>
    </div>
  );
}
