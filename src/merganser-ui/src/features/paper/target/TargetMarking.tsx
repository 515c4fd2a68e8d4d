import { useId, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { loupeCorner, type Place } from '../../../drawing/target';
import { classes } from '../../../parts/classes';
import { useSize } from '../../../parts/useWidth';
import { useFigures } from '../../../units/UnitsContext';
import { tailWords } from '../../../drawing/tear';
import { counted, type Marking, type ShotSet } from '../paperTypes';
import { placeUnder, steppedBy } from '../sheetHands';
import { Hits, TargetFace } from './TargetFace';
import { hitsAt, kindName, markOfKey, nextNumber, toldBy, walkDistances } from './groupTypes';
import s from '../Sheet.module.css';

const LOUPE = 58;
const WIDE_STEP = 0.5;

interface Props {
  marking: Marking;
  set: ShotSet;
  half: number;
  onChange: (marking: Marking) => void;
  /** Keeps the shot; what was marked last is given along, since a finger lifts before it is drawn. */
  onKeep: (marking: Marking) => void;
  onCancel: () => void;
}

/**
 * The face to mark: a finger slides the cross, which rides above it under a loupe, and lifts to set the shot; a mouse
 * presses and drags; arrow keys move, Enter sets it.
 */
export function TargetMarking({ marking, set, half, onChange, onKeep, onCancel }: Props) {
  const { ref, width, height } = useSize<HTMLDivElement>(620, 530);
  const { figure } = useFigures();
  const svg = useRef<SVGSVGElement>(null);
  const things = useId();
  const [dragged, setDragged] = useState(false);
  const room = Math.min(width - 24, height - 8);
  const px = room / (2 * half);
  const [cx, cy] = [width / 2, height / 2];
  const walked = walkDistances(set).find((d) => d.typed === marking.distance);
  // On one pin an arrow drops: the face stands where it should strike.
  const middle = walked?.drop ? -walked.drop : 0;
  const at = marking.point ?? { x: 0, y: middle };
  const screen = ({ x, y }: Place) => ({ x: cx + x * px, y: cy - (y - middle) * px });
  const kind = marking.arrow!;
  const shots = set.walk ? (walked ? hitsAt(set, walked.yards) : []) : counted(set);
  const told = toldBy(set, marking).find((t) => t.chosen);
  const number = set.walk ? (walked?.hits ?? 0) + 1 : told ? told.hits + 1 : nextNumber(set, kind);
  const what = set.walk ? `${walked?.name ?? marking.distance}, hit` : (told?.words ?? kindName[kind]);

  const placeOf = (event: PointerEvent): Place => {
    const { x, y } = placeUnder(event, svg.current!, { width, cx, cy, px });
    const edge = (value: number) => Math.max(-half, Math.min(half, value));
    return { x: edge(x), y: middle + edge(y) };
  };
  const put = (point: Place) => {
    const next = { ...marking, point, right: '', up: '' };
    onChange(next);
    return next;
  };
  const press = (event: KeyboardEvent) => {
    const moved = steppedBy(event, at, WIDE_STEP);
    const named = markOfKey(set, marking, event.key.toLowerCase());
    if (moved) {
      put(moved);
    } else if (event.key === 'Enter') {
      event.preventDefault();
      event.stopPropagation();
      // A cross that is not there yet comes first: a stray Enter marks no hit.
      if (marking.point) onKeep(marking);
      else put(at);
    } else if (named && !event.ctrlKey && !event.metaKey) {
      event.preventDefault();
      onChange(named);
    } else if (event.key === 'Escape') {
      event.preventDefault();
      onCancel();
    }
  };

  const aim = screen(at);
  const corner = loupeCorner(aim, width, LOUPE);
  return (
    <div className={classes(s.space, s.face)} ref={ref}>
      <svg
        ref={svg}
        className={classes(s.sheet, s.marking)}
        viewBox={`0 0 ${width} ${height}`}
        tabIndex={0}
        role="application"
        aria-label={`Face to mark the ${told?.words ?? kindName[kind]} shot ${number}${set.walk ? ` from ${walked?.name ?? marking.distance}` : ''}. Arrow keys move the cross, Enter sets it.`}
        data-owns-keys
        data-first
        data-testid="marking-sheet"
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture?.(event.pointerId);
          setDragged(true);
          put(placeOf(event));
        }}
        onPointerMove={(event) => dragged && put(placeOf(event))}
        onPointerUp={(event) => {
          if (!dragged) return;
          setDragged(false);
          if (event.pointerType === 'touch') onKeep(put(placeOf(event)));
        }}
        onPointerCancel={() => setDragged(false)}
        onKeyDown={press}
      >
        <g id={things}>
          <TargetFace
            width={width}
            height={height}
            cx={cx}
            cy={cy}
            px={px}
            half={half}
            face={set.conditions?.face}
            plumb={set.walk !== null}
          />
          <Hits shots={shots} screen={screen} strong={kind} set={set} />
        </g>
        <Cross at={aim} shown={marking.point !== null} />
        {dragged && (
          <svg
            x={corner.x - LOUPE}
            y={corner.y - LOUPE}
            width={2 * LOUPE}
            height={2 * LOUPE}
            viewBox={`${aim.x - LOUPE / 2} ${aim.y - LOUPE / 2} ${LOUPE} ${LOUPE}`}
            style={{ borderRadius: '50%' }}
            aria-hidden="true"
            data-testid="loupe"
          >
            <clipPath id={`${things}-round`}>
              <circle cx={aim.x} cy={aim.y} r={LOUPE / 2} />
            </clipPath>
            <g clipPath={`url(#${things}-round)`}>
              <use href={`#${things}`} />
              <path
                d={`M${aim.x - LOUPE / 2} ${aim.y}h${LOUPE} M${aim.x} ${aim.y - LOUPE / 2}v${LOUPE}`}
                stroke="var(--paper-bill)"
                strokeWidth="1"
              />
            </g>
            <circle cx={aim.x} cy={aim.y} r={LOUPE / 2 - 1} fill="none" stroke="var(--paper-ink)" strokeWidth="1.5" />
          </svg>
        )}
        <text x="16" y="28" fontSize="16" fontWeight="620">
          {what} {number}
        </text>
        <text x="16" y="48" fontSize="15" data-testid="mark-at">
          {marking.point
            ? tailWords(marking.point, figure)
            : middle
              ? `the middle is ${figure(-middle, 'in', 0)} below the aiming point`
              : set.walk
                ? 'from the plumb line'
                : told
                  ? 'from the one aiming point'
                  : 'from its own aiming point'}
        </text>
      </svg>
    </div>
  );
}

const Cross = ({ at, shown }: { at: Place; shown: boolean }) => (
  <g opacity={shown ? 1 : 0.5}>
    <path d={`M${at.x - 20} ${at.y}h40 M${at.x} ${at.y - 20}v40`} stroke="var(--paper)" strokeWidth="6" />
    <path d={`M${at.x - 19} ${at.y}h38 M${at.x} ${at.y - 19}v38`} stroke="var(--paper-bill)" strokeWidth="3" />
    <circle cx={at.x} cy={at.y} r="9" fill="none" stroke="var(--paper-bill)" strokeWidth="2" />
  </g>
);
