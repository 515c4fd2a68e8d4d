import { bowOutline } from '../../drawing/bow';
import { fieldText, fieldUnit, type Quantity } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import type { Entry } from './bowForm';

/** The bow with its measures standing beside what they measure, as typed. */
export function BowFigure({ entry }: { entry: Entry }) {
  const bow = bowOutline(entry.kind);
  const units = useUnits();
  const say = (text: string | null, quantity: Quantity) => {
    if (!text?.trim()) return 'not measured';
    const shown = fieldText(text.trim(), quantity, units);
    return /[a-z"]$/i.test(shown) ? shown : `${shown} ${fieldUnit(quantity, units)}`;
  };
  const left = entry.hand === 'left';
  return (
    <svg
      className="bow-figure"
      viewBox="0 0 300 440"
      role="img"
      aria-label={`${left ? 'Left' : 'Right'}-handed ${entry.kind}, drawn with its measures`}
    >
      <g
        transform={left ? 'translate(210 24) scale(-1.9 1.9)' : 'translate(30 24) scale(1.9)'}
        fill="none"
        stroke="var(--ink)"
        strokeLinecap="round"
      >
        <path d={bow.cables} stroke="var(--ink2)" strokeWidth="0.5" />
        <path d={bow.string} strokeWidth="0.9" />
        <path d={bow.limbs} strokeWidth="3" />
        <path d={bow.grip} strokeWidth="5" stroke="var(--ink2)" />
        {bow.cams.map((cam) => (
          <circle key={cam.y} cx={cam.x} cy={cam.y} r={cam.r} fill="var(--bench)" strokeWidth="2" />
        ))}
      </g>
      <g stroke="var(--bill)" strokeWidth="1.5" fill="none">
        <path d="M276 50 V378 M268 50 h16 M268 378 h16" />
        <path d={left ? 'M84 214 H165 M84 206 v16 M165 206 v16' : 'M75 214 H156 M75 206 v16 M156 206 v16'} />
      </g>
      <text x="268" y="396" textAnchor="end" fontSize="15">
        {entry.kind === 'compound' ? 'axle to axle' : 'bow length'} {say(entry.axleToAxle, 'length')}
      </text>
      <text x="182" y="219" fontSize="15">
        brace {say(entry.braceHeight, 'length')}
      </text>
      <text x="6" y="14" fontSize="15">
        draw {say(entry.drawLength, 'length')} AMO, {say(entry.measuredWeight || entry.nominalWeight, 'drawWeight')}
        {entry.measuredWeight ? '' : entry.nominalWeight ? ' marked' : ''}
      </text>
      <text x="6" y="432" fontSize="14" fill="var(--ink2)">
        {left ? 'shoots left: left-handed' : 'shoots right: right-handed'}
      </text>
    </svg>
  );
}
