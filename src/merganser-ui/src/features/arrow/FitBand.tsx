import { memo } from 'react';
import type { Schemas } from '../../api/client';
import { useWidth } from '../../parts/useWidth';
import { bounded } from '../../drawing/chart';
import { number } from '../../units/units';
import s from './FitBand.module.css';

const LOW = 0.8;
const HIGH = 1.3;
const edges = [0.9, 0.97, 1.15];

/** The fit on its bands: interval as a capped bar, pointer at the value, hollow mark where it was opened. */
export const FitBand = memo(function FitBand({ fit }: { fit: Schemas['FitReading'] }) {
  const { ref, width } = useWidth<HTMLDivElement>(560);
  const WIDTH = width - 8;
  const x = bounded(LOW, HIGH, 0, WIDTH);
  const [weak, good, stiff] = edges.map((edge) => x(edge)) as [number, number, number];
  return (
    <div ref={ref}>
      <svg
        className={s.band}
        width={width}
        height={80}
        viewBox={`-4 4 ${width} 80`}
        role="img"
        aria-label={`Fit ${number(fit.ratio, 2)}, ${fit.words}; between ${number(fit.low, 2)} and ${number(fit.high, 2)}`}
      >
        <defs>
          <pattern id="weak" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <line x1="0" x2="0" y1="0" y2="7" stroke="var(--edge)" strokeWidth="2" />
          </pattern>
          <pattern id="stiff" width="6" height="6" patternUnits="userSpaceOnUse">
            <circle cx="2" cy="2" r="1.1" fill="var(--edge)" />
          </pattern>
        </defs>
        <rect x="0" y="22" width={weak} height="22" fill="url(#weak)" stroke="var(--edge)" />
        <rect x={weak} y="22" width={good - weak} height="22" fill="var(--sheet)" stroke="var(--edge)" />
        <rect x={stiff} y="22" width={WIDTH - stiff} height="22" fill="url(#stiff)" stroke="var(--edge)" />
        <rect
          x={good}
          y="22"
          width={stiff - good}
          height="22"
          fill="var(--greenwash)"
          stroke="var(--green)"
          strokeWidth="2.5"
        />
        <path
          d={`M${x(fit.low)} 33H${x(fit.high)} M${x(fit.low)} 27v12 M${x(fit.high)} 27v12`}
          stroke="var(--ink)"
          strokeWidth="3"
        />
        <path d={`M${x(fit.ratio)} 30l-9 -18h18z`} fill="var(--bill)" />
        {fit.openedRatio !== null && (
          <path d={`M${x(fit.openedRatio)} 45l-6 11h12z`} fill="none" stroke="var(--ink2)" strokeWidth="1.5" />
        )}
        {[LOW, ...edges, HIGH].map((value) => (
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
        {(
          [
            ['weak', weak / 2],
            ['borderline', (weak + good) / 2],
            ['good', (good + stiff) / 2],
            ['stiff', (stiff + WIDTH) / 2],
          ] as const
        ).map(([word, at]) => (
          <text
            key={word}
            x={at}
            y="80"
            fontSize="14"
            textAnchor="middle"
            fontWeight={fit.band.toLowerCase().startsWith(word) ? 680 : 450}
          >
            {word}
          </text>
        ))}
      </svg>
    </div>
  );
});
