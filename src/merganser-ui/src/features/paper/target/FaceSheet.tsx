import type { ReactNode } from 'react';
import { faceOn } from '../../../drawing/target';
import { useSize } from '../../../parts/useWidth';
import type { ShotSet } from '../paperTypes';
import { Hit, TargetFace } from './TargetFace';
import type { ArrowKind } from './groupTypes';
import s from '../Sheet.module.css';

type Frame = ReturnType<typeof faceOn> & { width: number };

interface Props {
  title: string;
  /** What is shown, in words. */
  label: string;
  half: number;
  /** The set that was shot at it: it says which face hangs there. */
  set: ShotSet;
  /** What is good enough, in green, above the last line. */
  enough?: string;
  /** What signs stand for: the last line, or two. */
  signs: string[];
  children: (frame: Frame) => ReactNode;
}

/** A target as it was shot: the face, what is drawn on it, its title and its signs. */
export function FaceSheet({ title, label, half, set, enough = '', signs, children }: Props) {
  const { ref, width, height } = useSize<HTMLDivElement>(620, 530);
  const frame = faceOn(width, height, half);
  return (
    <div className={s.space} ref={ref}>
      <svg className={s.sheet} viewBox={`0 0 ${width} ${height}`} role="img" aria-label={label} data-testid="target">
        <TargetFace
          width={width}
          height={height}
          cx={frame.cx}
          cy={frame.cy}
          px={frame.px}
          half={half}
          face={set.conditions?.face}
        />
        {children({ ...frame, width })}
        <text x="16" y="26" fontSize="16" fontWeight="620">
          {title}
        </text>
        <text x="16" y={height - 28} fontSize="14" className={s.green}>
          {enough}
        </text>
        {signs.map((said, i) => (
          <text key={said} x="16" y={height - 10 - 18 * (signs.length - 1 - i)} fontSize="14">
            {said}
          </text>
        ))}
      </svg>
    </div>
  );
}

/** What a sign stands for, beside it. */
export function Legend({
  x,
  y,
  kind = 'fletched',
  open = false,
  words,
}: {
  x: number;
  y: number;
  kind?: ArrowKind;
  open?: boolean;
  words: string;
}) {
  return (
    <>
      <Hit kind={kind} x={x} y={y - 5} open={open} />
      <text x={x + 20} y={y} fontSize="15">
        {words}
      </text>
    </>
  );
}
