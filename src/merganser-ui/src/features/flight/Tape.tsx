import { tapeFrame } from '../../drawing/range';
import { useWidth } from '../../parts/useWidth';
import type { Flight } from './useFlight';

const HEIGHT = 118;

/** The sight tape, larger than it is; a filled dot is a mark of one's own. */
export function Tape({ view }: { view: Flight }) {
  const { ref, width } = useWidth<HTMLDivElement>(900);
  const length = width - 76;
  const { at, times } = tapeFrame(view.marks, length);
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={HEIGHT}
        role="img"
        aria-label={`Sight tape from ${view.marks[0]?.distance} to ${view.marks.at(-1)?.distance}, drawn ${Math.round(times)} times as long`}
        data-testid="tape"
      >
        <rect
          x="20"
          y="8"
          width={length + 36}
          height="62"
          fill="var(--paper)"
          stroke="var(--paper-ink)"
          strokeWidth="1.5"
        />
        {view.marks.map((mark) => {
          const x = 38 + at(mark.inches);
          const name = Number(mark.distance);
          const ten = name % 10 === 0;
          const five = name % 5 === 0;
          return (
            <g key={mark.yards}>
              {five && <path d={`M${x} 8v${ten ? 26 : 16}`} stroke="var(--paper-ink)" strokeWidth={ten ? 3 : 1.75} />}
              {(ten || (five && length / view.marks.length > 40)) && (
                <text
                  x={x}
                  y={ten ? 62 : 44}
                  fontSize={ten ? 20 : 14}
                  fontWeight={ten ? 680 : 450}
                  textAnchor="middle"
                  fill="var(--paper-ink)"
                >
                  {mark.distance}
                </text>
              )}
              {mark.own && <circle cx={x} cy="84" r="7" fill="var(--ink)" />}
              {ten && (
                <text x={x} y="112" fontSize="14" textAnchor="middle" fill="var(--ink)">
                  {mark.text}
                </text>
              )}
            </g>
          );
        })}
      </svg>
    </div>
  );
}
