import { diamondPath, rings, vanesPath, type Place } from '../../../drawing/target';
import { useFigures, useUnits } from '../../../units/UnitsContext';
import type { Shot } from '../paperTypes';
import type { ArrowKind } from './groupTypes';

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
  plumb = false,
}: {
  width: number;
  height: number;
  cx: number;
  cy: number;
  px: number;
  half: number;
  /** True where a plumb line hangs through its middle. */
  plumb?: boolean;
}) {
  const { figure } = useFigures();
  const all = rings(half, useUnits().length === 'inches' ? 1 : 1 / 2.54);
  return (
    <g>
      <rect width={width} height={height} fill="var(--paper)" />
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
        .filter((_, i) => (all.length - i) % 2 === 0)
        .map((radius) => (
          <text key={radius} x={cx - radius * px + 4} y={cy - 5} fontSize="14">
            {figure(radius, 'in', 0)}
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
}: {
  kind: ArrowKind;
  x: number;
  y: number;
  number?: string | null;
  pale?: boolean;
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
          <circle r={HIT - 1} fill="var(--paper-ink)" />
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
}: {
  shots: Shot[];
  screen: (place: Place) => Place;
  strong?: ArrowKind;
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
          />
        );
      })}
    </>
  );
}
