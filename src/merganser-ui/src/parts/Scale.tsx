import { scale } from '../drawing/chart';
import s from './Scale.module.css';

/** A ruler with the present value above it, pointing at the scale. */
export function Scale({
  lower,
  upper,
  at,
  good,
  label,
}: {
  lower: number;
  upper: number;
  at: number;
  /** Where it stood when the bow shot well: dashed. */
  good?: number;
  label: string;
}) {
  const width = 300;
  const place = scale(lower, Math.max(lower + 1, upper), 8, width - 8);
  const every = upper - lower > 40 ? 5 : 1;
  const ticks: number[] = [];
  for (let step = Math.ceil(lower / every) * every; step <= upper; step += every) ticks.push(step);
  return (
    <svg className={s.scale} viewBox={`0 0 ${width} 34`} role="img" aria-label={label}>
      <line x1="8" x2={width - 8} y1="19" y2="19" stroke="var(--ink)" strokeWidth="1.5" />
      <path d={ticks.map((step) => `M${place(step)} 19V${step === 0 ? 31 : 25}`).join('')} stroke="var(--edge)" />
      {[lower, upper].map((end) => (
        <line key={end} x1={place(end)} x2={place(end)} y1="12" y2="28" stroke="var(--ink)" strokeWidth="2.5" />
      ))}
      {good !== undefined && (
        <line
          x1={place(good)}
          x2={place(good)}
          y1="4"
          y2="33"
          stroke="var(--pred)"
          strokeWidth="2.5"
          strokeDasharray="4 3"
        />
      )}
      <path d={`M${place(at)} 20 l-10 -18 h20 z`} fill="var(--bill)" />
    </svg>
  );
}
