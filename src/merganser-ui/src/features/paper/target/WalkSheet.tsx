import { driftPaths, walkFrame } from '../../../drawing/walk';
import { useSize } from '../../../parts/useWidth';
import { useFigures, useInchesInUnit } from '../../../units/UnitsContext';
import { counted, type Paper, type ShotSet } from '../paperTypes';
import { Hit } from './TargetFace';
import s from '../Sheet.module.css';

const NARROW = 520;
const ROW = 0.42;

/** A walk-back: every hit beside one plumb line, distances up the sheet, the drift with its band. */
export function WalkSheet({ paper, set }: { paper: Paper; set: ShotSet }) {
  const { ref, width, height } = useSize<HTMLDivElement>(620, 530);
  const { figure } = useFigures();
  const unit = useInchesInUnit();
  const walk = set.walk!;
  const names = width < NARROW ? 96 : 172;
  const pooled = paper.sets.filter((other) => other.walk && walk.pooled.includes(other.number));
  const shots = pooled.flatMap((other) => counted(other).map((shot) => ({ shot, now: other.id === set.id })));
  const frame = walkFrame(
    { left: names, right: width - 24, top: 118, bottom: height - 104 },
    walk.distances.map((d) => d.yards),
    [...shots.map(({ shot }) => shot.point.x), ...walk.distances.map((d) => Math.abs(d.mean ?? 0) + (d.plus ?? 0))],
    unit,
  );
  const { x, y, ticks } = frame;
  const px = x(1) - x(0);
  const { middle, band } = driftPaths(frame, walk.line);
  const rows = walk.distances.map((d) => y(d.yards));
  const row = Math.abs((rows[1] ?? 0) - (rows[0] ?? 0)) * ROW;
  const heightOf = (yards: number, up: number) => {
    const drop = walk.distances.find((d) => d.yards === yards)?.drop ?? 0;
    return y(yards) - Math.max(-row, Math.min(row, (up + drop) * px));
  };
  const title = `Set ${set.number}: ${set.stage}`;
  const bottom = height - 52;
  return (
    <div className={s.space} ref={ref}>
      <svg
        className={s.sheet}
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={`${title}. ${set.headline} ${walk.distances.map((d) => `${d.name}: ${d.words}`).join('. ')}.`}
        data-testid="walk-sheet"
      >
        <rect width={width} height={height} fill="var(--paper)" />
        {ticks.map((tick) => (
          <path
            key={tick}
            d={`M${x(tick)} 66V${bottom}`}
            stroke="var(--paper-line)"
            strokeDasharray="3 5"
            strokeWidth="1.5"
          />
        ))}
        <path d={band} fill="var(--paper-face)" stroke="var(--paper-pred)" strokeWidth="2" strokeDasharray="7 5" />
        <path d={`M${x(0)} 66V${bottom}`} stroke="var(--paper-green)" strokeWidth="3" />
        {shots.map(({ shot, now }) => (
          <g key={shot.id}>
            <Hit
              kind="fletched"
              x={x(shot.point.x)}
              y={heightOf(shot.yards!, shot.point.y)}
              pale={!now || shot.doubtful}
            />
          </g>
        ))}
        <path d={middle} fill="none" stroke="var(--paper-ink)" strokeWidth="4" />
        {walk.distances.map((d) => (
          <g key={d.yards}>
            {d.mean !== null && <Mean x={x} y={y(d.yards)} at={d.mean} plus={d.plus} />}
            <text x="16" y={y(d.yards) - 6} fontSize="20" fontWeight="640">
              {d.name}
            </text>
            {(width < NARROW ? [`${d.count} hits`] : d.words.split(', ')).map((words, i) => (
              <text key={words} x="16" y={y(d.yards) + 13 + 18 * i} fontSize="14">
                {words}
              </text>
            ))}
          </g>
        ))}
        <path d={`M${x(-frame.half)} ${bottom}H${x(frame.half)}`} stroke="var(--paper-ink)" strokeWidth="1.5" />
        {ticks.map((tick) => (
          <g key={tick}>
            <path d={`M${x(tick)} ${bottom}v8`} stroke="var(--paper-ink)" strokeWidth="1.5" />
            <text x={x(tick)} y={bottom + 24} textAnchor="middle" fontSize="14">
              {Math.abs(tick) < 1e-9 ? 'plumb' : figure(Math.abs(tick), 'in', unit === 1 && tick % 1 ? 1 : 0)}
            </text>
          </g>
        ))}
        <text x={x(-frame.half)} y={bottom + 44} fontSize="14">
          left
        </text>
        <text x={x(frame.half)} y={bottom + 44} fontSize="14" textAnchor="end">
          right
        </text>
        {walk.line.length > 0 && (
          <text x={x(0)} y={bottom + 44} textAnchor="middle" fontSize="14">
            {walk.wind ? 'bars, band: 95 %, the wind’s share off' : 'bars and band: 95 %'}
          </text>
        )}
        <text x="16" y="26" fontSize="16" fontWeight="620">
          {title}
        </text>
        <text x="16" y="46" fontSize="14">
          {pooled.length > 1 ? `with ${pooled.length - 1} more of this day, pale` : 'seen from the line'}
          {walk.pins === 'one' ? '; one pin, the drop taken off' : ''}
        </text>
      </svg>
    </div>
  );
}

/** The mean of the hits at a distance, with its 95 % where it is known. */
function Mean({ x, y, at, plus }: { x: (v: number) => number; y: number; at: number; plus: number | null }) {
  const mid = x(at);
  const bar =
    plus === null
      ? null
      : `M${x(at - plus)} ${y}H${x(at + plus)}M${x(at - plus)} ${y - 9}v18M${x(at + plus)} ${y - 9}v18`;
  return (
    <g fill="none">
      {bar && <path d={bar} stroke="var(--paper)" strokeWidth="7" />}
      {bar && <path d={bar} stroke="var(--paper-ink)" strokeWidth="3" />}
      <path d={`M${mid - 10} ${y}h20M${mid} ${y - 11}v22`} stroke="var(--paper)" strokeWidth="7" />
      <path d={`M${mid - 9} ${y}h18M${mid} ${y - 10}v20`} stroke="var(--paper-bill)" strokeWidth="3.5" />
    </g>
  );
}
