import { ButtonBase } from '@mui/material';
import { useState } from 'react';
import { Field } from '../../parts/Field';
import { tailWords } from '../../drawing/tear';
import { drawnTear, type Choices, type Marking } from './paperTypes';
import { useFigures } from '../../units/UnitsContext';
import { SayIt } from './SayIt';

interface Props {
  marking: Marking;
  number: number;
  px: number;
  faults: Record<string, string[]>;
  sizes: Choices['sizes'];
  arrowNumbers: string[];
  onChange: (marking: Marking) => void;
  onScale: (px: number) => void;
  onKeep: () => void;
}

type Entry = 'mark' | 'type' | 'say';

/** Beside the sheet: which arrow it was; mark the holes, type the place or say it; turn the sheet, change the scale. */
export function MarkingPanel(props: Props) {
  const { marking, number, px, faults, sizes, arrowNumbers, onChange, onScale } = props;
  const { figure } = useFigures();
  const tear = drawnTear(marking);
  const [entry, setEntry] = useState<Entry>(
    marking.words ? 'say' : marking.right || marking.up || faults.right ? 'type' : 'mark',
  );
  const choose = (next: Entry) => {
    setEntry(next);
    if (next !== 'say' && marking.words) onChange({ ...marking, words: null });
    if (next === 'mark' && (marking.right || marking.up)) onChange({ ...marking, right: '', up: '', words: null });
  };
  return (
    <section className="reading" aria-label="Marking a shot">
      <p className="lab">Shot {number}</p>
      <h1>
        {tear && entry === 'mark'
          ? `Tail ${tailWords(tear, figure)}`
          : entry === 'say'
            ? 'In the shooter’s own words'
            : 'Point hole first, then the tail'}
      </h1>
      {arrowNumbers.length > 0 && (
        <>
          <h2>Which arrow?</h2>
          <div className="row" role="group" aria-label="Which arrow">
            {arrowNumbers.map((n) => (
              <ButtonBase
                key={n}
                className="key small-key"
                aria-pressed={marking.arrowNumber === n}
                onClick={() => onChange({ ...marking, arrowNumber: marking.arrowNumber === n ? '' : n })}
              >
                {n}
              </ButtonBase>
            ))}
          </div>
        </>
      )}
      <div className="row" role="group" aria-label="How it is entered">
        {(
          [
            ['mark', 'Mark the holes'],
            ['type', 'Type the place'],
            ['say', 'Say it'],
          ] as const
        ).map(([name, label]) => (
          <ButtonBase key={name} className="key" aria-pressed={entry === name} onClick={() => choose(name)}>
            {label}
          </ButtonBase>
        ))}
      </div>
      {entry === 'mark' && (
        <p>The point leaves the round hole; the tail leaves the cuts of the vanes. Press both on the sheet.</p>
      )}
      {entry === 'type' && <TypeIt {...props} />}
      {entry === 'say' && (
        <SayIt
          words={marking.words}
          sizes={sizes}
          onChange={(words) => onChange({ ...marking, words, right: '', up: '' })}
        />
      )}
      {(faults.words ?? faults.arrowNumber) && (
        <p className="fault" role="alert">
          {(faults.words ?? faults.arrowNumber)![0]}
        </p>
      )}
      {entry !== 'say' && (
        <>
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
        </>
      )}
      <h2>Scale of the sheet</h2>
      <div className="row" role="group" aria-label="Scale of the sheet">
        {[192, 96, 48].map((scale) => (
          <ButtonBase key={scale} className="key" aria-pressed={px === scale} onClick={() => onScale(scale)}>
            {scale === 192 ? '2 : 1' : scale === 96 ? '1 : 1' : '1 : 2'}
          </ButtonBase>
        ))}
      </div>
      <p className="muted">
        Keys: arrows move the cross {figure(0.05, 'in', 2)}, with Shift {figure(0.25, 'in', 2)}. <kbd>Enter</kbd> sets
        the hole, then the tail, then keeps the shot. <kbd>F</kbd> turns the sheet, <kbd>Esc</kbd> leaves.
      </p>
    </section>
  );
}

function TypeIt({ marking, faults, onChange, onKeep }: Props) {
  const [from, to] = marking.by === 'tail' ? ['Tail', 'point'] : ['Point', 'tail'];
  return (
    <>
      <div className="row" role="group" aria-label="Which end is named">
        {(['tail', 'point'] as const).map((by) => (
          <ButtonBase
            key={by}
            className="key"
            aria-pressed={marking.by === by}
            onClick={() => onChange({ ...marking, by })}
          >
            by the {by}
          </ButtonBase>
        ))}
      </div>
      <div className="pair-even">
        <Field
          label={`${from} right of the ${to} (left: −)`}
          name="right"
          quantity="length"
          value={marking.right}
          onChange={(right) => onChange({ ...marking, right, words: null })}
          fault={(faults.right ?? faults.tail ?? faults.point)?.[0]}
          hint="as you read the sheet"
        />
        <Field
          label={`${from} above the ${to} (below: −)`}
          name="up"
          quantity="length"
          value={marking.up}
          onChange={(up) => onChange({ ...marking, up, words: null })}
          fault={faults.up?.[0]}
          onEnter={onKeep}
        />
      </div>
    </>
  );
}
