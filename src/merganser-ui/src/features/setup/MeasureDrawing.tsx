import type { Schemas } from '../../api/client';
import type { BowKind } from '../../drawing/bow';
import { gauge, sixteenths } from '../../drawing/gauge';
import { measureShapes } from '../../drawing/measure';
import { useWidth } from '../../parts/useWidth';
import { number, show, type Units } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import type { Check } from './useSetup';
import w from '../../parts/words.module.css';
import s from './MeasureDrawing.module.css';

/** The box that the drawings are made in, and the height that they are given at most, px. */
const WIDTH = 620;
const HEIGHT = 270;
const MOST = 224;
/** As large as a caption is on the screen, however far the drawing is scaled down. */
const CAPTION = 14.4;

/** A reading in the unit of its check, as the archer reads it. */
export function inUnit(value: number, unit: string, units: Units): string {
  if (unit === 'degrees') return number(value, 0);
  return unit === 'in' && units.length === 'inches' ? sixteenths(value) : show(value, unit, 2, units).value;
}

/** One view, named; what is measured stands in red. */
export function MeasureDrawing({ check, kind }: { check: Check; kind: BowKind }) {
  const { ref, width } = useWidth<HTMLDivElement>(WIDTH);
  const shapes = measureShapes(check.kind, kind);
  if (!shapes) return null;
  const scale = Math.min(width / WIDTH, MOST / HEIGHT);
  const caption = CAPTION / scale;
  // A wide place leaves room at both sides of the box.
  const left = (WIDTH - width / scale) / 2;
  // Where the drawing is small its captions are numbers, and the words stand beneath it.
  const narrow = width < 520;
  return (
    <figure ref={ref}>
      <svg
        className={s.measure}
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        style={{ maxHeight: MOST }}
        role="img"
        aria-label={`${check.title}: ${check.view}. ${check.how}`}
      >
        {!narrow && (
          <text x={left + 14} y="24" fontSize={caption} className={s.view}>
            {check.view}
          </text>
        )}
        <path d={shapes.thin} fill="none" stroke="var(--ink2)" strokeWidth="1.5" />
        <path d={shapes.ink} fill="none" stroke="var(--ink)" strokeWidth="2.5" strokeLinejoin="round" />
        <path d={shapes.red} fill="none" stroke="var(--bill)" strokeWidth="2.5" />
        {shapes.labels.map((label, i) => (
          <text key={label.text} x={label.x} y={label.y} fontSize={caption} textAnchor={label.end ? 'end' : 'start'}>
            {narrow ? i + 1 : label.text}
          </text>
        ))}
      </svg>
      {narrow && (
        <figcaption className={w.muted}>
          {check.view}: {shapes.labels.map((label, i) => `${i + 1} ${label.text}`).join(', ')}
        </figcaption>
      )}
    </figure>
  );
}

/** Room that a label of the gauge takes, px. */
const LABEL = 60;

/** What is aimed at, what is within, and where it stands: a reading's own error is the bar through it. */
export function GaugeDrawing({ check }: { check: Check }) {
  const { ref, width } = useWidth<HTMLDivElement>(600);
  const units = useUnits();
  const tolerance = check.tolerance as Schemas['Tolerance'];
  const value = check.last?.value ?? null;
  const inner = width - 48;
  const at = gauge(tolerance, value, check.readingError, inner);
  const label = (v: number) => inUnit(v, check.unit, units);
  // An aim close to a limit stands above the rule, and so does the reading: two labels never lie over each other.
  const near = (one: number, other: number) => Math.abs(one - other) < LABEL;
  const crowded = (!tolerance.atMost && near(at.low, at.aim)) || near(at.high, at.aim);
  const readAbove = at.at !== null && !(crowded && near(at.at, at.aim));
  const beyond = [
    { x: at.low - 8, anchor: 'end', room: at.low },
    { x: at.high + 8, anchor: 'start', room: inner - at.high },
  ] as const;
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={88}
        viewBox={`-24 0 ${width} 88`}
        role="img"
        aria-label={`${value === null ? 'Not measured yet' : `At ${label(value)}`}; ${tolerance.atMost ? 'at most' : `limits ${label(tolerance.low)} to`} ${label(tolerance.high)}, aim ${label(tolerance.aim)}`}
      >
        <rect
          x={at.low}
          y="32"
          width={at.high - at.low}
          height="20"
          fill="var(--greenwash)"
          stroke="var(--green)"
          strokeWidth="2"
        />
        <line x1={at.aim} x2={at.aim} y1="28" y2="56" stroke="var(--green)" strokeWidth="3" />
        <line x1="0" x2={inner} y1="54" y2="54" stroke="var(--ink)" />
        {at.ticks.map((tick) => (
          <line key={tick.value} x1={tick.x} x2={tick.x} y1="54" y2="62" stroke="var(--edge)" />
        ))}
        {beyond.map(({ x, anchor, room }) =>
          // Where the pointer stands it says so itself.
          room > LABEL + 12 && (at.at === null || !near(at.at, x)) ? (
            <text key={anchor} x={x} y="48" fontSize="14" textAnchor={anchor} style={{ fill: 'var(--ink2)' }}>
              beyond
            </text>
          ) : null,
        )}
        {[...new Set([...(tolerance.atMost ? [] : [tolerance.low]), tolerance.aim, tolerance.high])].map((v) => {
          const aim = v === tolerance.aim;
          return (
            <text
              key={v}
              x={at.x(v)}
              y={aim && crowded ? 20 : 80}
              fontSize="15"
              fontWeight={aim ? 680 : 450}
              textAnchor="middle"
            >
              {aim ? `aim ${label(v)}` : label(v)}
            </text>
          );
        })}
        {at.error && (
          <path
            d={`M${at.error[0]} 42H${at.error[1]}M${at.error[0]} 37v10M${at.error[1]} 37v10`}
            stroke="var(--ink)"
            strokeWidth="2"
          />
        )}
        {at.at !== null && <path d={`M${at.at} 50l-8 -20h16z`} fill="var(--bill)" />}
        {at.at !== null && readAbove && (
          <text x={at.at} y="20" fontSize="16" fontWeight="680" textAnchor="middle">
            {label(value!)}
          </text>
        )}
      </svg>
    </div>
  );
}
