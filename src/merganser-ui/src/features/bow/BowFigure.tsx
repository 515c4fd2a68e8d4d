import { bowOutline } from '../../drawing/bow';
import { BowBody } from '../../parts/BowDrawing';
import { fieldText, fieldUnit, type Quantity } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import type { Entry } from './bowForm';
import s from './BowFigure.module.css';

const WIDTH = 240;
const SIZE = 16.5;

/** The bow with its measures standing beside what they measure, as typed; a left-handed one is the mirror image. */
export function BowFigure({ entry }: { entry: Entry }) {
  const bow = bowOutline(entry.kind);
  const units = useUnits();
  const measured = (text: string | null, quantity: Quantity) => {
    if (!text?.trim()) return 'not measured';
    const shown = fieldText(text.trim(), quantity, units);
    return /[a-z"]$/i.test(shown) ? shown : `${shown} ${fieldUnit(quantity, units)}`;
  };
  const left = entry.hand === 'left';
  const x = (right: number) => (left ? WIDTH - right : right);
  const [start, end] = left ? (['end', 'start'] as const) : (['start', 'end'] as const);
  return (
    <svg
      className={s.figure}
      viewBox={`0 0 ${WIDTH} 470`}
      role="img"
      aria-label={`${left ? 'Left' : 'Right'}-handed ${entry.kind}, drawn with its measures`}
    >
      <g
        transform={left ? `translate(${WIDTH - 6} 44) scale(-1.8 1.8)` : 'translate(6 44) scale(1.8)'}
        fill="none"
        stroke="var(--ink)"
        strokeLinecap="round"
      >
        <path d={bow.string} strokeWidth="0.9" />
        <BowBody bow={bow} />
      </g>
      <g stroke="var(--bill)" strokeWidth="1.5" fill="none">
        <path d={`M${x(226)} 69V379M${x(218)} 69H${x(234)}M${x(218)} 379H${x(234)}`} />
        <path d={`M${x(50)} 224H${x(128)}M${x(50)} 216v16M${x(128)} 216v16`} />
      </g>
      <g fontSize={SIZE}>
        <text x="4" y="16">
          draw {measured(entry.drawLength, 'length')} AMO
        </text>
        <text x="4" y="36">
          {measured(entry.measuredWeight || entry.nominalWeight, 'drawWeight')}
          {entry.measuredWeight ? '' : entry.nominalWeight ? ' marked' : ''}
        </text>
        {/* Between the riser and the mark of the axles there is room for a figure, not for two words. */}
        {['brace', ...(entry.braceHeight?.trim() ? [measured(entry.braceHeight, 'length')] : ['not', 'measured'])].map(
          (line, i) => (
            <text key={line} x={x(148)} y={276 + 20 * i} textAnchor={start}>
              {line}
            </text>
          ),
        )}
        <text x={x(236)} y="428" textAnchor={end}>
          {entry.kind === 'compound' ? 'axle to axle' : 'bow length'} {measured(entry.axleToAxle, 'length')}
        </text>
        <text x="4" y="458" style={{ fill: 'var(--ink2)' }}>
          {left ? 'shoots left: left-handed' : 'shoots right: right-handed'}
        </text>
      </g>
    </svg>
  );
}
