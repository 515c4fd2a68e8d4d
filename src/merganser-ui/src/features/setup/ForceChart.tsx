import type { Schemas } from '../../api/client';
import { linePath, scale, ticksOf } from '../../drawing/chart';
import { useWidth } from '../../parts/useWidth';
import { show } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import s from './ForceChart.module.css';

const HEIGHT = 300;
const LEFT = 52;
const FOOT = 34;

/** Force over travel, the energy as the area beneath, full draw as a dashed line. */
export function ForceChart({ points, stroke }: { points: Schemas['CurvePoint'][]; stroke: number }) {
  const units = useUnits();
  const { ref, width } = useWidth<HTMLDivElement>(640);
  const far = Math.max(stroke + 1, ...points.map((p) => p.travel));
  const high = Math.max(30, ...points.map((p) => p.force)) * 1.1;
  const x = scale(0, far, LEFT, width - 12);
  const y = scale(0, high, HEIGHT - FOOT, 10);
  const path = linePath(points.map((p) => [x(p.travel), y(p.force)] as const));
  const inch = show(0, 'in', 0, units).unit;
  const pound = show(0, 'lb', 0, units).unit;
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={HEIGHT}
        role="img"
        aria-label={`Draw-force curve: ${points.length - 1 > 0 ? points.length - 1 : 'no'} points`}
      >
        {ticksOf(y, 10).map((f) => (
          <g key={f}>
            <path d={`M${LEFT} ${y(f)}H${width - 12}`} className={s.line} />
            <text x={LEFT - 6} y={y(f) + 4} textAnchor="end" className={s.word}>
              {show(f, 'lb', 0, units).value}
            </text>
          </g>
        ))}
        {ticksOf(x, 4).map((t) => (
          <text key={t} x={x(t)} y={HEIGHT - 14} textAnchor="middle" className={s.word}>
            {show(t, 'in', 0, units).value}
          </text>
        ))}
        <text x={width - 12} y={HEIGHT - 14} textAnchor="end" className={s.word}>
          {inch}
        </text>
        <text x={6} y={16} className={s.word}>
          {pound}
        </text>
        <path d={`M${x(stroke)} 10V${HEIGHT - FOOT}`} className={s.full} />
        <text x={x(stroke) - 4} y={22} textAnchor="end" className={s.word}>
          full draw
        </text>
        {points.length > 1 && (
          <path d={`${path}L${x(points.at(-1)!.travel)} ${y(0)}L${x(0)} ${y(0)}Z`} className={s.area} />
        )}
        <path d={path} className={s.curve} />
        {points.slice(1).map((p) => (
          <circle key={p.travel} cx={x(p.travel)} cy={y(p.force)} r={3.5} className={s.dot} />
        ))}
      </svg>
    </div>
  );
}
