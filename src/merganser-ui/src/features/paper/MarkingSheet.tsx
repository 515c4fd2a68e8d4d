import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { useSize } from '../../parts/useWidth';
import { tearPath } from '../../drawing/tear';
import { classes } from '../../parts/classes';
import { ScaleBar } from './ScaleBar';
import { SheetGrid } from './SheetGrid';
import type { Hole, Marking } from './paperTypes';
import { placeUnder, steppedBy } from './sheetHands';
import { sheetWords } from './sheetWords';
import type { PhotoSheet } from './photo/usePhotoSheet';
import s from './Sheet.module.css';

const GRAB = 26;
const WIDE_STEP = 0.25;

interface Props {
  /** True where the nock end is read in a near target. */
  nock: boolean;
  marking: Marking;
  px: number;
  /** A photograph of the paper that lies under it. */
  photo?: PhotoSheet;
  onChange: (marking: Marking) => void;
  onKeep: () => void;
  onCancel: () => void;
}

type HoleName = 'point' | 'tail';

/** The blank sheet: press for the point's hole, press again for the tail; drag either; or arrow keys and Enter. */
export function MarkingSheet({ nock, marking, px, photo, onChange, onKeep, onCancel }: Props) {
  const { ref, width: WIDTH, height: HEIGHT } = useSize<HTMLDivElement>(620, 530);
  const svg = useRef<SVGSVGElement>(null);
  const [cross, setCross] = useState<Hole>({ x: 0, y: 0 });
  const [dragged, setDragged] = useState<HoleName | null>(null);
  const cx = WIDTH / 2;
  const cy = HEIGHT / 2;
  const words = sheetWords(nock);
  const next: HoleName = marking.point ? 'tail' : 'point';

  const at = (event: PointerEvent): Hole => placeUnder(event, svg.current!, { width: WIDTH, cx, cy, px });
  const near = (hole: Hole): HoleName | null => {
    const close = (h: Hole | null) => h !== null && Math.hypot(h.x - hole.x, h.y - hole.y) * px < GRAB;
    return close(marking.tail) ? 'tail' : marking.tail && close(marking.point) ? 'point' : null;
  };
  const put = (name: HoleName, hole: Hole) => {
    setCross(hole);
    onChange({ ...marking, [name]: hole, right: '', up: '' });
  };

  const under = photo?.under;
  /** Where the photograph was taken hold of: a place of the sheet, and what of the photograph lay in the middle then. */
  const [held, setHeld] = useState<{ hole: Hole; middle: Hole } | null>(null);
  const moving = under && photo.moving;
  const slide = (from: { hole: Hole; middle: Hole }, to: Hole) =>
    photo?.moveTo({ x: from.middle.x - (to.x - from.hole.x), y: from.middle.y + (to.y - from.hole.y) });

  const down = (event: PointerEvent<SVGSVGElement>) => {
    const hole = at(event);
    if (moving) {
      event.currentTarget.setPointerCapture?.(event.pointerId);
      setHeld({ hole, middle: under.middle });
      return;
    }
    const name = near(hole) ?? next;
    event.currentTarget.setPointerCapture?.(event.pointerId);
    setDragged(name);
    put(name, hole);
  };
  const press = (event: KeyboardEvent) => {
    const moved = steppedBy(event, cross, WIDE_STEP);
    if (moved && moving) slide({ hole: cross, middle: under.middle }, moved);
    else if (moved) {
      setCross(moved);
      if (marking.tail) onChange({ ...marking, tail: moved, right: '', up: '' });
    } else if (event.key === 'Enter') {
      event.preventDefault();
      event.stopPropagation();
      if (marking.tail) onKeep();
      else put(next, cross);
    } else if (event.key === 'Escape') {
      event.preventDefault();
      onCancel();
    }
  };

  const screen = (hole: Hole) => ({ x: cx + hole.x * px, y: cy - hole.y * px });
  const point = marking.point && screen(marking.point);
  const aim = screen(cross);
  return (
    <div className={s.space} ref={ref}>
      <svg
        ref={svg}
        className={classes(s.sheet, s.marking, moving && s.moves)}
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        tabIndex={0}
        role="application"
        aria-label={`Sheet to mark. ${marking.tail ? 'Enter keeps the shot, arrow keys move the tail.' : `Arrow keys move the cross, Enter sets the ${words.sets[next]}.`}`}
        data-owns-keys
        data-first
        data-testid="marking-sheet"
        onPointerDown={down}
        onPointerMove={(event) => (held ? slide(held, at(event)) : dragged && put(dragged, at(event)))}
        onPointerUp={() => {
          setDragged(null);
          setHeld(null);
        }}
        onKeyDown={press}
      >
        <SheetGrid
          width={WIDTH}
          height={HEIGHT}
          cx={cx}
          cy={cy}
          px={px}
          under={
            under && (
              <image
                href={under.src}
                x={cx - under.middle.x * px}
                y={cy - under.middle.y * px}
                width={under.width * px}
                height={under.height * px}
                preserveAspectRatio="none"
                data-testid="under"
              />
            )
          }
        />
        {marking.point && marking.tail && (
          <path
            d={tearPath({ x: marking.tail.x - marking.point.x, y: marking.tail.y - marking.point.y }, px, 'now', 3)}
            transform={`translate(${point!.x} ${point!.y})`}
            fill="var(--hole)"
            fillOpacity="0.5"
          />
        )}
        {point && (
          <circle cx={point.x} cy={point.y} r={0.13 * px} fill="none" stroke="var(--paper-ink)" strokeWidth="3" />
        )}
        <path
          d={`M${aim.x - 16} ${aim.y}h32 M${aim.x} ${aim.y - 16}v32`}
          stroke="var(--paper-bill)"
          strokeWidth="2.5"
        />
        <text x={aim.x + 14} y={aim.y - 12} fontSize="15" className={s.bill}>
          {marking.tail || next === 'tail' ? words.end : next}
        </text>
        <text x="16" y="28" fontSize="16" fontWeight="620">
          {marking.tail ? 'Drag to correct, then keep the shot' : marking.point ? words.pressEnd : words.pressPoint}
        </text>
        <text x="16" y="48" fontSize="14">
          {marking.side === 'shootingSide'
            ? 'as seen from the shooting side'
            : 'as seen from the target side: it will be mirrored'}
        </text>
        <ScaleBar px={px} bottom={HEIGHT} />
      </svg>
    </div>
  );
}
