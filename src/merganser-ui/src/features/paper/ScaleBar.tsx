import { withUnit } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';

const METRIC_BAR = 2 / 2.54;

/** How long a length is on the sheet: one inch, or two centimetres; px is what an inch takes. */
export function ScaleBar({ px, bottom }: { px: number; bottom: number }) {
  const units = useUnits();
  const inches = units.length === 'inches' ? 1 : METRIC_BAR;
  const width = inches * px;
  return (
    <>
      <path
        d={`M16 ${bottom - 22}h${width} M16 ${bottom - 30}v16 M${16 + width} ${bottom - 30}v16`}
        stroke="var(--paper-ink)"
        strokeWidth="2"
        fill="none"
      />
      <text x={16 + width / 2} y={bottom - 30} textAnchor="middle" fontSize="14">
        {withUnit(inches, 'in', 0, units)}
      </text>
    </>
  );
}
