import type { Schemas } from '../../api/client';
import { bounded } from '../../drawing/chart';
import s from './SpeedBand.module.css';

/** Letters that fit under the band; speeds in m/s have a decimal more. */
const ROOM = 10;

/** The band of the speed, drawn: its own figures say how wide it is. */
export function SpeedBand({ figure }: { figure: Schemas['Figure'] }) {
  const at = bounded(figure.low!, figure.high!, 4, 64)(figure.value!);
  const words = `${figure.lowText} to ${figure.highText}`;
  return (
    <svg
      className={s.band}
      width="68"
      height="40"
      viewBox="0 0 68 40"
      overflow="visible"
      role="img"
      aria-label={`between ${figure.lowText} and ${figure.highText}`}
    >
      <path d="M4 16h60M4 10v12M64 10v12" stroke="var(--ink)" strokeWidth="1.8" fill="none" />
      <path d={`M${at} 15l-5 -9h10z`} fill="var(--bill)" />
      <text x="34" y="37" textAnchor="middle" fontSize={words.length > ROOM ? 12 : 14}>
        {words}
      </text>
    </svg>
  );
}
