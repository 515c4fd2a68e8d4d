import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { bounded } from '../../../drawing/chart';
import { classes } from '../../../parts/classes';
import { useWidth } from '../../../parts/useWidth';
import { fieldText, fieldUnit, keptText, show, type Quantity } from '../../../units/units';
import { useUnits } from '../../../units/UnitsContext';
import type { Figure, Scale } from './useFinder';
import s from './Finder.module.css';

const quantities: Record<Figure, Quantity> = {
  fit: 'number',
  weight: 'weight',
  grainsPerPound: 'weightPerForce',
  frontOfCenter: 'number',
  speed: 'speed',
  kineticEnergy: 'energy',
  momentum: 'momentum',
  cost: 'number',
  honestRange: 'distance',
};

const PAD = 26;
const HEIGHT = 48;
const LINE = 22;
const ends = ['low', 'high'] as const;
type End = (typeof ends)[number];

interface Props {
  scale: Scale;
  /** As typed. */
  low: string;
  high: string;
  /** As the server read them. */
  read: { low?: number | null; high?: number | null } | undefined;
  present: string | null;
  faults: Record<string, string[]>;
  onChange: (low: string, high: string) => void;
}

/** From where to where a figure is wanted: two handles on a scale, the same two ends typed, and the present arrow. */
export function WantedRange({ scale, low, high, read, present, faults, onChange }: Props) {
  const units = useUnits();
  const { ref, width } = useWidth<HTMLDivElement>(280);
  const { figure, step } = scale;
  const quantity = quantities[figure];
  const x = bounded(scale.low, scale.high, PAD, width - PAD);
  /** Where a handle is held, not yet let go. */
  const [held, setHeld] = useState<{ end: End; value: number } | null>(null);
  const svg = useRef<SVGSVGElement>(null);
  const stands = (end: End) => {
    if (held?.end === end) return held.value;
    return (end === 'low' ? low : high).trim() === '' ? null : (read?.[end] ?? null);
  };
  const [from, to] = [stands('low'), stands('high')];
  const text = (value: number) => {
    const shown = show(value, scale.unit, scale.decimals, units).value.replace('−', '-');
    return keptText(shown, quantity, units);
  };
  const put = (end: End, value: number) => {
    const other = end === 'low' ? to : from;
    const between =
      end === 'low' ? Math.min(value, (other ?? scale.high) - step) : Math.max(value, (other ?? scale.low) + step);
    const stepped = Math.round(between / step) * step;
    // At the end of the scale it is open.
    const open = end === 'low' ? stepped <= scale.low : stepped >= scale.high;
    const typed = open ? '' : text(stepped);
    setHeld(open ? null : { end, value: stepped });
    if (end === 'low') onChange(typed, high);
    else onChange(low, typed);
  };
  const press = (end: End, value: number) => (event: KeyboardEvent) => {
    const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1, PageUp: 5, PageDown: -5 }[event.key];
    const at =
      by !== undefined ? value + by * step : event.key === 'Home' ? scale.low : event.key === 'End' ? scale.high : null;
    if (at === null) return;
    event.preventDefault();
    put(end, at);
  };
  const drag = (end: End) => (event: PointerEvent<SVGGElement>) => {
    const box = svg.current!.getBoundingClientRect();
    put(end, x.invert(((event.clientX - box.left) * width) / box.width));
  };
  const unit = scale.unit === '%' ? '%' : fieldUnit(quantity, units);
  const fault = ['Low', 'High', ''].map((end) => faults[`${figure}${end}`]?.[0]).find(Boolean);
  return (
    <div className={s.wanted} role="group" aria-label={`${scale.label} wanted`}>
      <div className={s.ends}>
        <span>{scale.label}</span>
        <End
          label={`${scale.label} from`}
          value={low}
          quantity={quantity}
          wrong={Boolean(faults[`${figure}Low`])}
          onChange={(next) => {
            setHeld(null);
            onChange(next, high);
          }}
        />
        <span>to</span>
        <End
          label={`${scale.label} to`}
          value={high}
          quantity={quantity}
          wrong={Boolean(faults[`${figure}High`])}
          onChange={(next) => {
            setHeld(null);
            onChange(low, next);
          }}
        />
        <small>{unit}</small>
      </div>
      <div ref={ref}>
        <svg ref={svg} width={width} height={HEIGHT} role="group" aria-label={`${scale.label}, its handles`}>
          <path d={`M${PAD} ${LINE}H${width - PAD}`} stroke="var(--edge)" strokeWidth="2" />
          {x.ticks(8).map((tick) => (
            <path key={tick} d={`M${x(tick)} ${LINE}v5`} stroke="var(--edge)" strokeWidth="1" />
          ))}
          {(from !== null || to !== null) && (
            <path
              d={`M${x(from ?? scale.low)} ${LINE}H${x(to ?? scale.high)}`}
              stroke="var(--green)"
              strokeWidth="8"
              data-testid={`span-${figure}`}
            />
          )}
          {scale.here !== null && present && (
            <g>
              <path d={`M${x(scale.here)} ${LINE + 3}l-6 11h12z`} fill="var(--bench)" stroke="var(--ink)" />
              <text
                x={x(scale.here)}
                y={HEIGHT - 1}
                fontSize="14"
                fill="var(--ink2)"
                textAnchor={x(scale.here) < 90 ? 'start' : x(scale.here) > width - 90 ? 'end' : 'middle'}
              >
                {show(scale.here, scale.unit, scale.decimals, units).value}
              </text>
            </g>
          )}
          {ends.map((end) => {
            const value = end === 'low' ? from : to;
            const at = value ?? (end === 'low' ? scale.low : scale.high);
            const cx = x(at);
            return (
              <g
                key={end}
                tabIndex={0}
                role="slider"
                aria-label={`${scale.label}, ${end === 'low' ? 'from' : 'to'}`}
                aria-valuemin={scale.low}
                aria-valuemax={scale.high}
                aria-valuenow={at}
                aria-valuetext={
                  value === null ? 'open' : `${show(at, scale.unit, scale.decimals, units).value} ${unit}`
                }
                className={s.handle}
                data-owns-keys
                onKeyDown={press(end, at)}
                onPointerDown={(event) => {
                  event.currentTarget.setPointerCapture?.(event.pointerId);
                  event.currentTarget.focus();
                }}
                onPointerMove={(event) => event.buttons > 0 && drag(end)(event)}
              >
                <rect x={end === 'low' ? cx - 36 : cx - 12} y="0" width="48" height={HEIGHT} fill="transparent" />
                {value === null ? (
                  <path
                    d={end === 'low' ? `M${cx} ${LINE - 9}v18l-14 -9z` : `M${cx} ${LINE - 9}v18l14 -9z`}
                    fill="var(--green)"
                  />
                ) : (
                  <rect
                    x={cx - 7}
                    y={LINE - 13}
                    width="14"
                    height="26"
                    rx="3"
                    fill="var(--sheet)"
                    stroke="var(--ink)"
                    strokeWidth="2"
                  />
                )}
              </g>
            );
          })}
        </svg>
      </div>
      {fault && (
        <p className={s.fault} role="alert" data-fault>
          {fault}
        </p>
      )}
    </div>
  );
}

/** One end as it is typed; empty is open. */
function End({
  label,
  value,
  quantity,
  wrong,
  onChange,
}: {
  label: string;
  value: string;
  quantity: Quantity;
  wrong: boolean;
  onChange: (text: string) => void;
}) {
  const units = useUnits();
  const [raw, setRaw] = useState<string | null>(null);
  return (
    <input
      className={classes(s.end, wrong && s.wrong)}
      aria-label={label}
      aria-invalid={wrong || undefined}
      placeholder="any"
      autoComplete="off"
      value={raw ?? fieldText(value, quantity, units)}
      onFocus={(event) => {
        setRaw(event.target.value);
        event.target.select();
      }}
      onBlur={() => setRaw(null)}
      onChange={(event) => {
        setRaw(event.target.value);
        onChange(keptText(event.target.value, quantity, units));
      }}
    />
  );
}
