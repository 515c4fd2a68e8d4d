import { twists, YOKE, yokePath } from '../../drawing/yoke';
import { signed } from '../../units/units';
import s from './YokePicture.module.css';

/** Both legs of a yoke as they are twisted, seen from behind; the move's words say the same. */
export function YokePicture({ left }: { left: number }) {
  return (
    <svg
      className={s.yoke}
      viewBox={`0 0 ${YOKE.width} ${YOKE.height}`}
      width={YOKE.width}
      height={YOKE.height}
      aria-hidden="true"
      data-testid="yoke"
    >
      <path d={yokePath} />
      <path className={s.twists} d={twists('left', left) + twists('right', left)} />
      <Leg x={2} anchor="start" by={left} />
      <Leg x={YOKE.width - 2} anchor="end" by={-left} />
    </svg>
  );
}

const Leg = ({ x, anchor, by }: { x: number; anchor: 'start' | 'end'; by: number }) => (
  <text x={x} y="72" textAnchor={anchor} fontSize="16" fontWeight="620">
    {signed(by, Number.isInteger(by) ? 0 : 1)}
    <tspan x={x} dy="18" fontSize="14" fontWeight="400">
      {by > 0 ? 'shorter' : 'longer'}
    </tspan>
  </text>
);
