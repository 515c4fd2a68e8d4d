import type { Schemas } from '../../api/client';
import { place } from '../../drawing/band';

/** The band of the speed, drawn: its own figures say how wide it is. */
export function SpeedBand({ figure }: { figure: Schemas['Figure'] }) {
  const at = 4 + place(figure.value!, figure.low!, figure.high!, 60);
  const [low, high] = [figure.lowText, figure.highText];
  return (
    <svg
      className="speed-band"
      width="88"
      height="40"
      viewBox="-10 0 88 40"
      role="img"
      aria-label={`between ${low} and ${high}`}
    >
      <path d="M4 16h60M4 10v12M64 10v12" stroke="var(--ink)" strokeWidth="1.8" fill="none" />
      <path d={`M${at} 15l-5 -9h10z`} fill="var(--bill)" />
      <text x="34" y="37" textAnchor="middle" fontSize="14">
        {low} to {high}
      </text>
    </svg>
  );
}
