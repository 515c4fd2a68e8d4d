import { useId } from 'react';
import { bounded } from '../drawing/chart';
import { number } from '../units/units';
import { useWidth } from './useWidth';
import s from './FitScale.module.css';

const LOW = 0.8;
const HIGH = 1.3;
const edges = [0.9, 0.97, 1.15];

interface Props {
  /** What it shows, in words. */
  label: string;
  low: number;
  high: number;
  /** The value itself; none where only the interval is known. */
  ratio?: number;
  /** Where it stood when it was opened. */
  openedRatio?: number | null;
  /** What stands under each band: its name, and whether it is the one that is meant. */
  bands: readonly { word: string; strong: boolean; more?: string }[];
}

/** The fit on its bands: interval as a capped bar, pointer at the value, hollow mark where it was opened. */
export function FitScale({ label, low, high, ratio, openedRatio = null, bands }: Props) {
  const { ref, width } = useWidth<HTMLDivElement>(560);
  const id = useId();
  const WIDTH = width - 8;
  const x = bounded(LOW, HIGH, 0, WIDTH);
  const [weak, good, stiff] = edges.map((edge) => x(edge)) as [number, number, number];
  const middles = [weak / 2, (weak + good) / 2, (good + stiff) / 2, (stiff + WIDTH) / 2];
  const more = bands.some((band) => band.more);
  const tall = more ? 84 : 80;
  return (
    <div ref={ref}>
      <svg
        className={s.band}
        width={width}
        height={tall}
        viewBox={`-4 4 ${width} ${tall}`}
        role="img"
        aria-label={label}
      >
        <defs>
          <pattern id={`${id}weak`} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <line x1="0" x2="0" y1="0" y2="7" stroke="var(--edge)" strokeWidth="2" />
          </pattern>
          <pattern id={`${id}stiff`} width="6" height="6" patternUnits="userSpaceOnUse">
            <circle cx="2" cy="2" r="1.1" fill="var(--edge)" />
          </pattern>
        </defs>
        <rect x="0" y="22" width={weak} height="22" fill={`url(#${id}weak)`} stroke="var(--edge)" />
        <rect x={weak} y="22" width={good - weak} height="22" fill="var(--sheet)" stroke="var(--edge)" />
        <rect x={stiff} y="22" width={WIDTH - stiff} height="22" fill={`url(#${id}stiff)`} stroke="var(--edge)" />
        <rect
          x={good}
          y="22"
          width={stiff - good}
          height="22"
          fill="var(--greenwash)"
          stroke="var(--green)"
          strokeWidth="2.5"
        />
        <path d={`M${x(low)} 33H${x(high)} M${x(low)} 27v12 M${x(high)} 27v12`} stroke="var(--ink)" strokeWidth="3" />
        {ratio !== undefined && <path d={`M${x(ratio)} 30l-9 -18h18z`} fill="var(--bill)" />}
        {openedRatio !== null && (
          <path d={`M${x(openedRatio)} 45l-6 11h12z`} fill="none" stroke="var(--ink2)" strokeWidth="1.5" />
        )}
        {!more &&
          [LOW, ...edges, HIGH].map((value) => (
            <text
              key={value}
              x={x(value)}
              y="62"
              fontSize="14"
              textAnchor={value === LOW ? 'start' : value === HIGH ? 'end' : 'middle'}
            >
              {number(value, 2)}
            </text>
          ))}
        {bands.map(({ word, strong, more: under }, i) => (
          <g key={word} textAnchor="middle" fontSize="14" fontWeight={strong ? 680 : 450}>
            <text x={middles[i]} y={more ? 62 : 80}>
              {word}
            </text>
            {under && (
              <text x={middles[i]} y="80">
                {under}
              </text>
            )}
          </g>
        ))}
      </svg>
    </div>
  );
}
