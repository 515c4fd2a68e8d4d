import { ButtonBase } from '@mui/material';
import { Field } from '../../bench/Field';
import { signed } from '../../units/units';
import { useSay } from '../../units/UnitsContext';
import { drawnTear, type Marking } from './paperTypes';

interface Props {
  marking: Marking;
  number: number;
  px: number;
  faults: Record<string, string[]>;
  onChange: (marking: Marking) => void;
  onScale: (px: number) => void;
  onKeep: () => void;
}

/** Beside the sheet: type the tail instead, turn the sheet, change the scale. */
export function MarkingPanel({ marking, number, px, faults, onChange, onScale, onKeep }: Props) {
  const say = useSay();
  const tear = drawnTear(marking);
  return (
    <section className="reading" aria-label="Marking a shot">
      <p className="lab">Shot {number}</p>
      <h1>
        {tear
          ? say(`Tail ${signed(tear.x, 2)} in right, ${signed(tear.y, 2)} in up`)
          : 'Point hole first, then the tail'}
      </h1>
      <p>
        The point leaves the round hole; the tail leaves the cuts of the vanes. Press both on the sheet, or type the
        tail’s place.
      </p>
      <div className="pair-even">
        <Field
          label="Tail right of the point (left: −)"
          name="right"
          quantity="length"
          value={marking.right}
          onChange={(right) => onChange({ ...marking, right })}
          fault={(faults.right ?? faults.tail ?? faults.point)?.[0]}
          hint="as you read the sheet"
        />
        <Field
          label="Tail above the point (below: −)"
          name="up"
          quantity="length"
          value={marking.up}
          onChange={(up) => onChange({ ...marking, up })}
          fault={faults.up?.[0]}
          onEnter={onKeep}
        />
      </div>
      <h2>Which face of the sheet do you read?</h2>
      <div className="row" role="group" aria-label="Face of the sheet">
        {(
          [
            ['shootingSide', 'Shooting side'],
            ['targetSide', 'Target side'],
          ] as const
        ).map(([side, label]) => (
          <ButtonBase
            key={side}
            className="key"
            aria-pressed={marking.side === side}
            onClick={() => onChange({ ...marking, side })}
          >
            {label}
          </ButtonBase>
        ))}
      </div>
      <h2>Scale of the sheet</h2>
      <div className="row" role="group" aria-label="Scale of the sheet">
        {[192, 96, 48].map((scale) => (
          <ButtonBase key={scale} className="key" aria-pressed={px === scale} onClick={() => onScale(scale)}>
            {scale === 192 ? '2 : 1' : scale === 96 ? '1 : 1' : '1 : 2'}
          </ButtonBase>
        ))}
      </div>
      <p className="muted">
        Keys: arrows move the cross 0.05 in, with Shift 0.25 in. <kbd>Enter</kbd> sets the hole, then the tail, then
        keeps the shot. <kbd>Esc</kbd> leaves.
      </p>
    </section>
  );
}
