import type { Schemas } from '../../../api/client';
import { diamondPath, rings, ringsOf, vanesPath, type Place } from '../../../drawing/target';
import { useFigures, useInchesInUnit } from '../../../units/UnitsContext';
import type { Shot, ShotSet } from '../paperTypes';
import { isOpen, type ArrowKind } from './groupTypes';

/** A face as it hangs on the butt. */
type Face = NonNullable<ShotSet['conditions']>['face'];

const HIT = 9;
const COVERS = 20;

/** A plain face of our own about an aiming point; px is what an inch takes. */
export function TargetFace({
  width,
  height,
  cx,
  cy,
  px,
  half,
  face,
  plumb = false,
}: {
  width: number;
  height: number;
  cx: number;
  cy: number;
  px: number;
  half: number;
  /** As it hangs on the butt; else plain rings that are round in the archer's unit. */
  face?: Face;
  /** True where a plumb line hangs through its middle. */
  plumb?: boolean;
}) {
  const { figure } = useFigures();
  const plain = rings(half, useInchesInUnit());
  const all = face ? ringsOf(face) : plain;
  const edge = face ? (face.diameter / 2) * px : 0;
  return (
    <g>
      <rect width={width} height={height} fill="var(--paper)" />
      {face?.rings === 0 && (
        <rect
          x={cx - edge}
          y={cy - edge}
          width={2 * edge}
          height={2 * edge}
          fill="var(--paper-face)"
          stroke="var(--paper-line)"
        />
      )}
      {all.map((radius, i) => (
        <circle
          key={radius}
          cx={cx}
          cy={cy}
          r={radius * px}
          fill={i % 2 === 0 ? 'var(--paper-face)' : 'var(--paper)'}
          stroke="var(--paper-line)"
        />
      ))}
      {all
        .filter((radius, i) => (all.length - i) % 2 === 0 && radius <= half)
        .map((radius) => (
          <text key={radius} x={cx - radius * px + 4} y={cy - 5} fontSize="14">
            {figure(radius, 'in', face ? 1 : 0)}
          </text>
        ))}
      {plumb && <path d={`M${cx} 0v${height}`} stroke="var(--paper-green)" strokeWidth="3" />}
      <path d={`M${cx} ${cy - 11}l11 11l-11 11l-11 -11z`} fill="var(--paper-green)" />
      <text x={cx} y={cy - half * px + 16} textAnchor="middle" fontSize="14">
        high
      </text>
      <text x={cx + half * px - 4} y={cy - 6} textAnchor="end" fontSize="14">
        right
      </text>
    </g>
  );
}

/**
 * One arrow in the target: a nock with three vanes, the open ring of a bare shaft, the open square of a field point, a
 * head on its corner, with its number.
 */
export function Hit({
  kind,
  x,
  y,
  number,
  pale = false,
  open = false,
}: {
  kind: ArrowKind;
  x: number;
  y: number;
  number?: string | null;
  pale?: boolean;
  /** Of the second of two ways, or with the sight set short. */
  open?: boolean;
}) {
  return (
    <g transform={`translate(${x} ${y})`} opacity={pale ? 0.4 : 1}>
      {kind === 'fieldPoint' ? (
        <rect
          x={1.5 - HIT}
          y={1.5 - HIT}
          width={2 * HIT - 3}
          height={2 * HIT - 3}
          fill="var(--paper)"
          stroke="var(--paper-ink)"
          strokeWidth="3"
        />
      ) : kind === 'broadhead' ? (
        <>
          <path d={diamondPath(HIT + 4)} fill="var(--paper)" stroke="var(--paper-ink)" strokeWidth="3" />
          <text y="5" fontSize="14" fontWeight="700" textAnchor="middle">
            {number}
          </text>
        </>
      ) : kind === 'fletched' ? (
        <>
          <circle
            r={HIT - 1}
            fill={open ? 'var(--paper)' : 'var(--paper-ink)'}
            stroke="var(--paper-ink)"
            strokeWidth={open ? 3 : 0}
          />
          <path d={vanesPath(HIT - 1)} stroke="var(--paper-ink)" strokeWidth="3" />
        </>
      ) : (
        <circle r={HIT} fill="var(--paper)" stroke="var(--paper-ink)" strokeWidth="3.5" />
      )}
    </g>
  );
}

/** All shots of a set that count, each from its own aiming point. */
export function Hits({
  shots,
  screen,
  strong,
  set,
}: {
  shots: Shot[];
  screen: (place: Place) => Place;
  strong?: ArrowKind;
  /** The set whose two marks tell them apart, where they are not told by their kind. */
  set?: ShotSet;
}) {
  return (
    <>
      {shots.map((shot, i) => {
        const { x, y } = screen(shot.point);
        // A head that is shot later covers it: a number that cannot be read is not written.
        const covered = shots.slice(i + 1).some((later) => {
          const over = screen(later.point);
          return later.arrow === 'broadhead' && Math.hypot(over.x - x, over.y - y) < COVERS;
        });
        return (
          <Hit
            key={shot.id}
            kind={shot.arrow!}
            number={covered ? null : shot.arrowNumber}
            x={x}
            y={y}
            pale={shot.doubtful || (strong !== undefined && shot.arrow !== strong)}
            open={set !== undefined && isOpen(set, shot)}
          />
        );
      })}
    </>
  );
}

/** The middle of a group, and the circle that holds the true one with 95 %. */
export function Centre({
  group,
  screen,
  px,
  dashed,
}: {
  group: Schemas['GroupView'];
  screen: (place: Place) => Place;
  px: number;
  dashed?: boolean;
}) {
  const { x, y } = screen(group.centre);
  return (
    <g>
      <circle
        cx={x}
        cy={y}
        r={group.radius * px}
        fill="none"
        stroke="var(--paper-ink)"
        strokeWidth="2.5"
        strokeDasharray={dashed ? '7 5' : undefined}
      />
      <Cross x={x} y={y} />
    </g>
  );
}

/** The middle of a group. */
export const Cross = ({ x, y }: Place) => (
  <>
    <path d={`M${x - 10} ${y}h20 M${x} ${y - 10}v20`} stroke="var(--paper)" strokeWidth="7" />
    <path d={`M${x - 9} ${y}h18 M${x} ${y - 9}v18`} stroke="var(--paper-bill)" strokeWidth="3" />
  </>
);
