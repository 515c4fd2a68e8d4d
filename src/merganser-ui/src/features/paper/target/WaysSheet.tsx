import { faceFor, faceOn } from '../../../drawing/target';
import { useSize } from '../../../parts/useWidth';
import { useFigures } from '../../../units/UnitsContext';
import { counted, type Paper, type ShotSet } from '../paperTypes';
import { isOpen } from './groupTypes';
import { Cross, Hit, Hits, TargetFace } from './TargetFace';
import s from '../Sheet.module.css';

/** What is read together with a set, the hits of earlier sets of its day told apart. */
function pooledHits(paper: Paper, set: ShotSet, pooled: number[]) {
  const earlier = paper.sets.filter((other) => other.id !== set.id && pooled.includes(other.number)).flatMap(counted);
  return { now: counted(set), earlier };
}

/** Two ways on one face: the hits of each, its middle with 95 %, and the circle of its mean radius. */
export function WaysSheet({ paper, set }: { paper: Paper; set: ShotSet }) {
  const { ref, width, height } = useSize<HTMLDivElement>(620, 530);
  const ways = set.ways!;
  const { now, earlier } = pooledHits(paper, set, ways.pooled);
  const half = faceFor(
    [...now, ...earlier].map((shot) => shot.point),
    ways.each.map((each) =>
      each.group ? Math.max(Math.abs(each.group.centre.x), Math.abs(each.group.centre.y)) + (each.meanRadius ?? 0) : 0,
    ),
  );
  const { px, cx, cy, screen } = faceOn(width, height, half);
  const title = `Set ${set.number}: ${set.stage}`;
  return (
    <div className={s.space} ref={ref}>
      <svg
        className={s.sheet}
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={`${title}. ${set.headline} ${ways.each.map((each) => each.words).join('; ')}.`}
        data-testid="target"
      >
        <TargetFace width={width} height={height} cx={cx} cy={cy} px={px} half={half} />
        {ways.each.map(
          (each) =>
            each.group &&
            each.meanRadius !== null && (
              <circle
                key={each.way}
                cx={screen(each.group.centre).x}
                cy={screen(each.group.centre).y}
                r={each.meanRadius * px}
                fill="none"
                stroke="var(--paper-pred)"
                strokeWidth="3"
                strokeDasharray={each.way === 'second' ? '2 7' : undefined}
                strokeLinecap="round"
              />
            ),
        )}
        {earlier.map((shot) => (
          <Hit key={shot.id} kind="fletched" {...screen(shot.point)} pale open={isOpen(set, shot)} />
        ))}
        <Hits shots={now} screen={screen} set={set} />
        {ways.each.map((each) => each.group && <Cross key={each.way} {...screen(each.group.centre)} />)}
        <text x="16" y="26" fontSize="16" fontWeight="620">
          {set.stage}
        </text>
        {ways.each.map((each, i) => (
          <Legend key={each.way} y={54 + 26 * i} open={each.way === 'second'}>
            {each.words}
          </Legend>
        ))}
        <text x="16" y={height - 28} fontSize="14">
          {ways.each.some((each) => each.group) ? `ring: mean radius; dotted: ${ways.ways.second}` : ''}
        </text>
        <text x="16" y={height - 10} fontSize="14">
          {ways.each.some((each) => each.group) ? 'cross: the middle of each' : ''}
        </text>
      </svg>
    </div>
  );
}

/** A range error on one face: high with the sight set long, low with it short, the height that is allowed between. */
export function RangeSheet({ paper, set }: { paper: Paper; set: ShotSet }) {
  const { ref, width, height } = useSize<HTMLDivElement>(620, 530);
  const { figure } = useFigures();
  const trial = set.rangeTrial!;
  const { now, earlier } = pooledHits(paper, set, trial.pooled);
  const half = faceFor(
    [...now, ...earlier].map((shot) => shot.point),
    [trial.allowed, ...trial.settings.map((setting) => Math.abs(setting.up ?? setting.computed ?? 0))],
  );
  const { px, cx, cy, screen } = faceOn(width, height, half);
  const title = `Set ${set.number}: ${set.stage}`;
  const [left, right] = [cx - half * px, cx + half * px];
  return (
    <div className={s.space} ref={ref}>
      <svg
        className={s.sheet}
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={`${title}. ${set.headline} ${trial.settings.map((setting) => setting.words).join('; ')}.`}
        data-testid="target"
      >
        <TargetFace width={width} height={height} cx={cx} cy={cy} px={px} half={half} />
        {[trial.allowed, -trial.allowed].map((y) => (
          <path key={y} d={`M${left} ${screen({ x: 0, y }).y}H${right}`} stroke="var(--paper-green)" strokeWidth="3" />
        ))}
        {earlier.map((shot) => (
          <Hit key={shot.id} kind="fletched" {...screen(shot.point)} pale open={isOpen(set, shot)} />
        ))}
        <Hits shots={now} screen={screen} set={set} />
        {trial.settings.map(({ yards, up, computed }) => (
          <g key={yards}>
            {computed !== null && (
              <path
                d={`M${left} ${screen({ x: 0, y: computed }).y}H${right}`}
                stroke="var(--paper-pred)"
                strokeWidth="2.5"
                strokeDasharray="7 5"
              />
            )}
            {up !== null && (
              <path d={`M${cx - 46} ${screen({ x: 0, y: up }).y}h92`} stroke="var(--paper-bill)" strokeWidth="4" />
            )}
            {up !== null && trial.plus !== null && (
              <path
                d={`M${cx} ${screen({ x: 0, y: up - trial.plus }).y}V${screen({ x: 0, y: up + trial.plus }).y}`}
                stroke="var(--paper-bill)"
                strokeWidth="3"
              />
            )}
          </g>
        ))}
        <text x="16" y="26" fontSize="16" fontWeight="620">
          {title}
        </text>
        {trial.settings.map((setting, i) => (
          <Legend key={setting.yards} y={54 + 26 * i} open={i === 1}>
            {setting.words}
          </Legend>
        ))}
        <text x="16" y={height - 28} fontSize="14" className={s.green}>
          green lines: {figure(trial.allowed, 'in', 0)} up and down
        </text>
        <text x="16" y={height - 10} fontSize="14">
          {trial.settings[0]!.computed === null
            ? 'bar: middle, 95 %'
            : 'bar: middle, 95 %; dashed: by weight and speed'}
        </text>
      </svg>
    </div>
  );
}

function Legend({ y, open, children }: { y: number; open: boolean; children: string }) {
  return (
    <>
      <Hit kind="fletched" x={30} y={y - 5} open={open} />
      <text x="54" y={y} fontSize="15">
        {children}
      </text>
    </>
  );
}
