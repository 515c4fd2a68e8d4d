import { faceFor, faceOn } from '../../../drawing/target';
import { useSize } from '../../../parts/useWidth';
import { useFigures } from '../../../units/UnitsContext';
import { counted, type ShotSet } from '../paperTypes';
import { Centre, Hit, Hits, TargetFace } from './TargetFace';
import { countOf, kindsOf, type ArrowKind } from './groupTypes';
import s from '../Sheet.module.css';

/** Both groups of a set on one face, each shot from its own aiming point, with their centres and regions. */
export function TargetSheet({ set }: { set: ShotSet }) {
  const { ref, width, height } = useSize<HTMLDivElement>(620, 530);
  const { figure } = useFigures();
  const groups = set.groups!;
  const shots = counted(set);
  const [reference, tested] = kindsOf(set);
  const centres = [groups.referenceGroup, groups.testedGroup].filter((g) => g !== null);
  const half = faceFor(
    shots.map((shot) => shot.point),
    centres.map((g) => Math.max(Math.abs(g.centre.x), Math.abs(g.centre.y)) + g.radius),
  );
  const { px, cx, cy, screen } = faceOn(width, height, half);
  const many = { [reference]: countOf(reference, groups.reference), [tested]: countOf(tested, groups.tested) };
  const title = `Set ${set.number}: ${set.stage}`;
  return (
    <div className={s.space} ref={ref}>
      <svg
        className={s.sheet}
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={`${title}. ${set.headline} ${many[reference]}, ${many[tested]}.`}
        data-testid="target"
      >
        <TargetFace width={width} height={height} cx={cx} cy={cy} px={px} half={half} />
        {groups.referenceGroup && (
          <circle
            cx={screen(groups.referenceGroup.centre).x}
            cy={screen(groups.referenceGroup.centre).y}
            r={groups.tolerance * px}
            fill="none"
            stroke="var(--paper-green)"
            strokeWidth="3"
          />
        )}
        <Hits shots={shots} screen={screen} />
        {groups.referenceGroup && <Centre group={groups.referenceGroup} screen={screen} px={px} />}
        {groups.testedGroup && <Centre group={groups.testedGroup} screen={screen} px={px} dashed />}
        <text x="16" y="26" fontSize="16" fontWeight="620">
          {title}
        </text>
        <text x="16" y="45" fontSize="14">
          each shot from its own aiming point
        </text>
        <Legend x={width - 16} y={26} kind={reference} words={many[reference]!} />
        <Legend x={width - 16} y={52} kind={tested} words={many[tested]!} />
        <text x="16" y={height - 28} fontSize="14" className={s.green}>
          {groups.referenceGroup
            ? `green ring: ${figure(groups.tolerance, 'in', 1)} about the ${groups.heads ? 'field points' : 'fletched'}`
            : ''}
        </text>
        <text x="16" y={height - 10} fontSize="14">
          {groups.testedGroup ? `cross and ring: centre, 95 %; dashed: ${groups.heads ? 'heads' : 'bare'}` : ''}
        </text>
      </svg>
    </div>
  );
}

/** One group about its aiming point, where a pin is set: its middle with 95 %, and the circle that is good enough. */
export function SightingSheet({ set }: { set: ShotSet }) {
  const { ref, width, height } = useSize<HTMLDivElement>(620, 530);
  const { figure } = useFigures();
  const { group, tolerance, earlier } = set.sighting!;
  const shots = counted(set);
  const half = faceFor(
    [...shots.map((shot) => shot.point), ...earlier],
    [1.5 * tolerance, group ? Math.max(Math.abs(group.centre.x), Math.abs(group.centre.y)) + group.radius : 0],
  );
  const { px, cx, cy, screen } = faceOn(width, height, half);
  const title = `Set ${set.number}: ${set.stage}`;
  return (
    <div className={s.space} ref={ref}>
      <svg
        className={s.sheet}
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={`${title}. ${set.headline} ${countOf('fletched', shots.length)}.`}
        data-testid="target"
      >
        <TargetFace width={width} height={height} cx={cx} cy={cy} px={px} half={half} />
        <circle cx={cx} cy={cy} r={tolerance * px} fill="none" stroke="var(--paper-green)" strokeWidth="3" />
        {earlier.map((place, i) => (
          <Hit key={i} kind="fletched" {...screen(place)} pale />
        ))}
        <Hits shots={shots} screen={screen} />
        {group && <Centre group={group} screen={screen} px={px} />}
        <text x="16" y="26" fontSize="16" fontWeight="620">
          {title}
        </text>
        {earlier.length > 0 && (
          <text x="16" y="46" fontSize="14">
            pale: before the sight was moved, shifted by it
          </text>
        )}
        <text x="16" y={height - 28} fontSize="14" className={s.green}>
          green ring: {figure(tolerance, 'in', 1)} about the aiming point
        </text>
        <text x="16" y={height - 10} fontSize="14">
          {group ? 'cross and ring: middle of the hits, 95 %' : ''}
        </text>
      </svg>
    </div>
  );
}

function Legend({ x, y, kind, words }: { x: number; y: number; kind: ArrowKind; words: string }) {
  return (
    <>
      <Hit kind={kind} x={x - 118} y={y - 5} />
      <text x={x - 98} y={y} fontSize="15">
        {words}
      </text>
    </>
  );
}
