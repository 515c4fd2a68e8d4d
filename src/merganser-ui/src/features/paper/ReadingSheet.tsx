import { useSize } from '../../parts/useWidth';
import { flagHeight, sheetScale, tearPath } from '../../drawing/tear';
import { ScaleBar } from './ScaleBar';
import { SheetGrid } from './SheetGrid';
import type { Paper, ShotSet } from './paperTypes';
import s from './Sheet.module.css';

/** The set's tears laid over one another, all point holes on one. */
export function ReadingSheet({ paper, set }: { paper: Paper; set: ShotSet }) {
  const { ref, width: WIDTH, height: HEIGHT } = useSize<HTMLDivElement>(620, 530);
  const counted = set.shots.filter((s) => s.voidReason === null);
  const mean = set.mean;
  const ghosts = set.id === paper.sets.at(-1)!.id ? paper.advice.ghosts : [];
  const places = [
    ...counted.map((s) => s.tear),
    // The ring of the mean is as wide as it is: a single hole's is wider than the tear.
    ...(mean ? [{ x: Math.abs(mean.mean.x) + mean.radius - 0.25, y: Math.abs(mean.mean.y) + mean.radius - 0.25 }] : []),
    ...ghosts.map((g) => ({ x: Math.abs(g.mean.x) + g.radiusX, y: Math.abs(g.mean.y) + g.radiusY })),
  ];
  const reach = Math.max(
    0.6,
    ...places.map((p) => Math.max(Math.abs(p.x) + 0.35, (Math.abs(p.y) + 0.35) * (WIDTH / HEIGHT))),
  );
  const { px, words } = sheetScale(reach, WIDTH / 2);
  const away = counted.map((s) => s.tear.x).reduce((a, b) => a + b, 0) / Math.max(1, counted.length);
  const cx = WIDTH / 2 - Math.sign(away || 0) * Math.min(90, Math.abs(away) * px * 0.35);
  const above = counted.map((s) => s.tear.y).reduce((a, b) => a + b, 0) / Math.max(1, counted.length);
  const cy = HEIGHT / 2 - 8 + Math.sign(above || 0) * Math.min(90, Math.abs(above) * px * 0.5);
  const voided = set.shots.length - counted.length;
  const title = `Set ${set.number}: ${set.stage}`;
  return (
    <div className={s.space} ref={ref}>
      <svg
        className={s.sheet}
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="img"
        aria-label={`${title}. ${set.headline} ${voided ? `${voided} void.` : ''}`}
      >
        <SheetGrid width={WIDTH} height={HEIGHT} cx={cx} cy={cy} px={px} />
        {counted.map((shot, i) => (
          <path
            key={shot.id}
            d={tearPath(shot.tear, px, shot.id, set.fletched ? paper.vaneCount || 3 : 3)}
            transform={`translate(${cx} ${cy})`}
            fill="var(--hole)"
            fillOpacity={shot.doubtful ? 0.12 : i === counted.length - 1 ? 0.48 : 0.27}
          />
        ))}
        <circle cx={cx} cy={cy} r={paper.tolerance * px} fill="none" stroke="var(--paper)" strokeWidth="6" />
        <circle cx={cx} cy={cy} r={paper.tolerance * px} fill="none" stroke="var(--paper-green)" strokeWidth="3" />
        {ghosts.map((ghost) => (
          <g key={ghost.words}>
            <ellipse
              cx={cx + ghost.mean.x * px}
              cy={cy - ghost.mean.y * px}
              rx={ghost.radiusX * px}
              ry={ghost.radiusY * px}
              fill="none"
              stroke="var(--paper-pred)"
              strokeWidth="2.5"
              strokeDasharray="7 5"
            />
            <circle
              cx={cx + ghost.mean.x * px}
              cy={cy - ghost.mean.y * px}
              r="5"
              fill="var(--paper)"
              stroke="var(--paper-pred)"
              strokeWidth="2"
            />
          </g>
        ))}
        {mean && (
          <g>
            <circle
              cx={cx + mean.mean.x * px}
              cy={cy - mean.mean.y * px}
              r={mean.radius * px}
              fill="none"
              stroke="var(--paper)"
              strokeWidth="6"
            />
            <circle
              cx={cx + mean.mean.x * px}
              cy={cy - mean.mean.y * px}
              r={mean.radius * px}
              fill="none"
              stroke="var(--paper-ink)"
              strokeWidth="2.5"
            />
            <path
              d={`M${cx + mean.mean.x * px - 9} ${cy - mean.mean.y * px}h18 M${cx + mean.mean.x * px} ${cy - mean.mean.y * px - 9}v18`}
              stroke="var(--paper)"
              strokeWidth="6"
            />
            <path
              d={`M${cx + mean.mean.x * px - 8} ${cy - mean.mean.y * px}h16 M${cx + mean.mean.x * px} ${cy - mean.mean.y * px - 8}v16`}
              stroke="var(--paper-bill)"
              strokeWidth="2.5"
            />
          </g>
        )}
        {counted.map((shot, i) => {
          const angle = -Math.PI / 2 + (2 * Math.PI * (i + 0.5)) / counted.length;
          const fx = cx + shot.tear.x * px + 96 * Math.cos(angle);
          const fy = flagHeight(fx, cy - shot.tear.y * px + 96 * Math.sin(angle), WIDTH, HEIGHT);
          return (
            <g key={shot.id}>
              <line
                x1={cx + shot.tear.x * px}
                y1={cy - shot.tear.y * px}
                x2={fx}
                y2={fy}
                stroke="var(--paper-ink)"
                strokeDasharray="2 3"
              />
              <circle
                cx={fx}
                cy={fy}
                r="11"
                fill="var(--paper)"
                stroke="var(--paper-ink)"
                strokeWidth="1.3"
                strokeDasharray={shot.doubtful ? '3 3' : undefined}
              />
              <text x={fx} y={fy + 5} textAnchor="middle" fontSize="14" fontWeight="600">
                {shot.number}
              </text>
            </g>
          );
        })}
        <text x="16" y="28" fontSize="16" fontWeight="620">
          {title}
        </text>
        <text x="16" y="48" fontSize="14">
          seen from the shooting side, {words}
        </text>
        {counted.length === 0 && (
          <text x={cx} y={cy + paper.tolerance * px + 30} textAnchor="middle" fontSize="16">
            {set.shots.length > 0 ? set.headline : 'no tears in this set yet'}
          </text>
        )}
        <g>
          <text x={WIDTH - 16} y={HEIGHT - 72} textAnchor="end" fontSize="14" className={s.green}>
            green ring: tolerance {paper.toleranceText}
          </text>
          <text x={WIDTH - 16} y={HEIGHT - 52} textAnchor="end" fontSize="14">
            {mean
              ? `cross and ring: mean of ${mean.count}, 95 %${counted.some((c) => c.doubtful) ? '; pale: doubted' : ''}`
              : ''}
          </text>
          {ghosts.length > 0 && (
            <text x={WIDTH - 16} y={HEIGHT - 32} textAnchor="end" fontSize="14" className={s.pred}>
              dashed: after the move, predicted{ghosts.length > 1 ? ', two ways' : ''}
            </text>
          )}
        </g>
        <ScaleBar px={px} bottom={HEIGHT} />
      </svg>
    </div>
  );
}
