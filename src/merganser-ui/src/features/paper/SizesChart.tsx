import type { Schemas } from '../../api/client';
import { sizesFrame } from '../../drawing/sizes';
import { useSize } from '../../parts/useWidth';
import { useFigures, useInchesInUnit } from '../../units/UnitsContext';
import { shortDay } from '../../units/days';
import s from './Sheet.module.css';

/** Days beside each other on one chart; older ones stand in the table. */
const MOST = 16;
const CAP = 7;
/** A column that is wide enough for a date. */
const DATED = 46;

/** Each day's spread with its 95 %, and what the days before the newest were together. */
export function SizesChart({ sizes }: { sizes: Schemas['SizesView'] }) {
  const { ref, width, height } = useSize<HTMLDivElement>(620, 530);
  const { figure } = useFigures();
  const unit = useInchesInUnit();
  const days = sizes.days.slice(-MOST);
  const { before } = sizes;
  const box = { left: 76, right: width - 20, top: 84, bottom: height - 86 };
  const { x, y, most, wide, ticks } = sizesFrame(box, days, unit);
  const every = Math.ceil(DATED / wide);
  return (
    <div className={s.space} ref={ref}>
      <svg
        className={s.sheet}
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={`Spread of a shot at ${sizes.atText}, day by day. ${sizes.words}`}
        data-testid="sizes-chart"
      >
        <rect width={width} height={height} fill="var(--paper)" />
        {ticks.map((tick) => (
          <g key={tick}>
            <path
              d={`M${box.left} ${y(tick)}H${box.right}`}
              stroke="var(--paper-line)"
              strokeWidth={tick === 0 ? 2.5 : 1.5}
            />
            <text x={box.left - 8} y={y(tick) + 5} fontSize="14" textAnchor="end">
              {figure(tick, 'in', 1)}
            </text>
          </g>
        ))}
        {before && (
          <>
            <rect
              x={box.left}
              y={y(Math.min(before.high, most))}
              width={box.right - box.left}
              height={y(before.low) - y(Math.min(before.high, most))}
              fill="var(--paper-face)"
            />
            <path
              d={`M${box.left} ${y(before.spread)}H${box.right}`}
              stroke="var(--paper-pred)"
              strokeWidth="2.5"
              strokeDasharray="7 5"
            />
          </>
        )}
        {days.map((day, i) => {
          const now = i === days.length - 1;
          const [low, high] = [y(day.low), y(Math.min(day.high, most))];
          return (
            <g key={day.day}>
              <path
                d={`M${x(i)} ${low}V${high}M${x(i) - CAP} ${low}h${2 * CAP}${day.high <= most ? `M${x(i) - CAP} ${high}h${2 * CAP}` : ''}`}
                stroke="var(--paper-ink)"
                strokeWidth="2.5"
              />
              <circle
                cx={x(i)}
                cy={y(day.spread)}
                r="8"
                fill={now ? 'var(--paper-ink)' : 'var(--paper)'}
                stroke="var(--paper-ink)"
                strokeWidth="3"
              />
              {(days.length - 1 - i) % every === 0 && (
                <>
                  <text x={x(i)} y={box.bottom + 24} fontSize="14" textAnchor="middle">
                    {shortDay(day.day)}
                  </text>
                  <text x={x(i)} y={box.bottom + 42} fontSize="14" textAnchor="middle">
                    {day.hits}
                  </text>
                </>
              )}
            </g>
          );
        })}
        {days.length > 0 && (
          <text x={box.left - 8} y={box.bottom + 42} fontSize="14" textAnchor="end">
            hits
          </text>
        )}
        <text x="16" y="26" fontSize="16" fontWeight="620">
          Spread of a shot at {sizes.atText}
        </text>
        <text x="16" y="48" fontSize="14">
          {days.length === 0 ? 'nothing marked yet' : 'bar: 95 %; filled: the newest day'}
        </text>
        <text x="16" y={height - 12} fontSize="14" className={s.pred}>
          {before ? 'dashed: the days before, with 95 %' : ''}
        </text>
      </svg>
    </div>
  );
}
