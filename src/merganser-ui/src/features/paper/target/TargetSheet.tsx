import { dimension, faceFor, type Place } from '../../../drawing/target';
import { useFigures } from '../../../units/UnitsContext';
import { counted, type ShotSet } from '../paperTypes';
import { FaceSheet, Legend } from './FaceSheet';
import { Centre, Hit, Hits } from './TargetFace';
import { countOf, kindsOf } from './groupTypes';

/** Both groups of a set on one face, each shot from its own aiming point, with their centres and regions. */
export function TargetSheet({ set }: { set: ShotSet }) {
  const { figure } = useFigures();
  const groups = set.groups!;
  const { referenceGroup, testedGroup, heads } = groups;
  const shots = counted(set);
  const [reference, tested] = kindsOf(set);
  const centres = [referenceGroup, testedGroup].filter((g) => g !== null);
  const half = faceFor(
    shots.map((shot) => shot.point),
    centres.map((g) => Math.max(Math.abs(g.centre.x), Math.abs(g.centre.y)) + g.radius),
  );
  const many = { [reference]: countOf(reference, groups.reference), [tested]: countOf(tested, groups.tested) };
  const title = `Set ${set.number}: ${set.stage}`;
  return (
    <FaceSheet
      title={title}
      label={`${title}. ${set.headline} ${many[reference]}, ${many[tested]}.`}
      half={half}
      set={set}
      enough={
        referenceGroup
          ? `green ring: ${figure(groups.tolerance, 'in', 1)} about the ${heads ? 'field points' : 'fletched'}`
          : ''
      }
      signs={testedGroup ? [`cross and ring: centre, 95 %; dashed: ${heads ? 'heads' : 'bare'}`] : []}
    >
      {({ px, screen, width }) => (
        <>
          {referenceGroup && (
            <circle
              cx={screen(referenceGroup.centre).x}
              cy={screen(referenceGroup.centre).y}
              r={groups.tolerance * px}
              fill="none"
              stroke="var(--paper-green)"
              strokeWidth="3"
            />
          )}
          <Hits shots={shots} screen={screen} />
          {referenceGroup && <Centre group={referenceGroup} screen={screen} px={px} />}
          {testedGroup && <Centre group={testedGroup} screen={screen} px={px} dashed />}
          {groups.offset && (groups.verdict === 'likely' || groups.verdict === 'clear') && (
            <Apart
              offset={groups.offset}
              taken={groups.bareHigh !== null}
              of={dimension(
                { ...screen(referenceGroup!.centre), radius: referenceGroup!.radius * px },
                { ...screen(testedGroup!.centre), radius: testedGroup!.radius * px },
                width,
              )}
            />
          )}
          <text x="16" y="45" fontSize="14">
            each from its own aiming point
          </text>
          <Legend x={width - 134} y={26} kind={reference} words={many[reference]!} />
          <Legend x={width - 134} y={52} kind={tested} words={many[tested]!} />
        </>
      )}
    </FaceSheet>
  );
}

interface Distance {
  offset: Place;
  /** Some of the height was taken off as the bare shafts' own: it is not as far as the middles are drawn. */
  taken: boolean;
  of: ReturnType<typeof dimension>;
}

/** How far apart the groups are along the greater part, as a dimension. */
function Apart({ offset, taken, of }: Distance) {
  const { figure } = useFigures();
  if (of === null || (taken && of.along === 'y')) return null;
  const far = offset[of.along];
  const way = of.along === 'x' ? (far > 0 ? 'right' : 'left') : far > 0 ? 'high' : 'low';
  return (
    <g data-testid="apart">
      <path d={of.leads} stroke="var(--paper-ink)" strokeWidth="1.5" strokeDasharray="2 4" fill="none" />
      <path d={of.line} stroke="var(--paper-ink)" strokeWidth="2" fill="none" />
      <text
        x={of.words.x}
        y={of.words.y}
        textAnchor={of.anchor}
        fontSize="16"
        fontWeight="620"
        stroke="var(--paper)"
        strokeWidth="5"
        paintOrder="stroke"
      >
        {`${figure(Math.abs(far), 'in', 2)} ${way}`}
      </text>
    </g>
  );
}

/** One group about its aiming point, where a pin is set: its middle with 95 %, and the circle that is good enough. */
export function SightingSheet({ set }: { set: ShotSet }) {
  const { figure } = useFigures();
  const { group, tolerance, earlier } = set.sighting!;
  const shots = counted(set);
  const half = faceFor(
    [...shots.map((shot) => shot.point), ...earlier],
    [1.5 * tolerance, group ? Math.max(Math.abs(group.centre.x), Math.abs(group.centre.y)) + group.radius : 0],
  );
  const title = `Set ${set.number}: ${set.stage}`;
  return (
    <FaceSheet
      title={title}
      label={`${title}. ${set.headline} ${countOf('fletched', shots.length)}.`}
      half={half}
      set={set}
      enough={`green ring: ${figure(tolerance, 'in', 1)} about the aiming point`}
      signs={group ? ['cross and ring: middle of the hits, 95 %'] : []}
    >
      {({ px, cx, cy, screen }) => (
        <>
          <circle cx={cx} cy={cy} r={tolerance * px} fill="none" stroke="var(--paper-green)" strokeWidth="3" />
          {earlier.map((place, i) => (
            <Hit key={i} kind="fletched" {...screen(place)} pale />
          ))}
          <Hits shots={shots} screen={screen} />
          {group && <Centre group={group} screen={screen} px={px} />}
          {earlier.length > 0 && (
            <text x="16" y="46" fontSize="14">
              pale: before the sight was moved, shifted by it
            </text>
          )}
        </>
      )}
    </FaceSheet>
  );
}
