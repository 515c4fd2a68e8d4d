import { useState } from 'react';
import { Field } from '../../parts/Field';
import { tailWords } from '../../drawing/tear';
import { useFigures } from '../../units/UnitsContext';
import { ChoiceRow } from '../../parts/ChoiceRow';
import { Fault } from '../../parts/Note';
import { capital } from '../../parts/letters';
import { drawnTear, type Choices, type Marking, type Side } from './paperTypes';
import { SayIt } from './SayIt';
import { sheetWords } from './sheetWords';
import { WhichArrow } from './WhichArrow';
import { Pane } from './Pane';
import { UnderSheet } from './photo/UnderSheet';
import type { PhotoSheet } from './photo/usePhotoSheet';
import w from '../../parts/words.module.css';
import l from '../../parts/layout.module.css';

interface Props {
  marking: Marking;
  number: number;
  /** True where the nock end is read in a near target. */
  nock: boolean;
  px: number;
  /** A photograph of the paper under the sheet; left out where none can lie there. */
  photo?: PhotoSheet;
  faults: Record<string, string[]>;
  sizes: Choices['sizes'];
  arrowNumbers: string[];
  onChange: (marking: Marking) => void;
  onScale: (px: number) => void;
  onKeep: () => void;
}

type Entry = 'mark' | 'type' | 'say';

const entries: [Entry, string][] = [
  ['mark', 'Mark the holes'],
  ['type', 'Type the place'],
  ['say', 'Say it'],
];
const faces: [Side, string][] = [
  ['shootingSide', 'Shooting side'],
  ['targetSide', 'Target side'],
];
/** Pixels to the inch. */
const scales: [number, string][] = [
  [192, '2 : 1'],
  [96, '1 : 1'],
  [48, '1 : 2'],
];
/** Beside the sheet: which arrow it was; mark the holes, type the place or say it; turn the sheet, change the scale. */
export function MarkingPanel(props: Props) {
  const { marking, number, nock, px, photo, faults, sizes, arrowNumbers, onChange, onScale } = props;
  const { figure } = useFigures();
  const words = sheetWords(nock);
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
    <Pane label="Marking a shot">
      <p className={w.label}>Shot {number}</p>
      <h1>
        {tear && entry === 'mark'
          ? `${capital(words.end)} ${tailWords(tear, figure)}`
          : entry === 'say'
            ? 'In the shooter’s own words'
            : words.first}
      </h1>
      <WhichArrow what="arrow" marking={marking} numbers={arrowNumbers} onChange={onChange} />
      <ChoiceRow label="How it is entered" value={entry} choices={entries} onChange={choose} />
      {entry === 'mark' && <p>{words.how}</p>}
      {entry === 'type' && <TypeIt {...props} />}
      {entry === 'say' && (
        <SayIt
          words={marking.words}
          sizes={sizes}
          onChange={(said) => onChange({ ...marking, words: said, right: '', up: '' })}
        />
      )}
      {(faults.words ?? faults.arrowNumber) && <Fault>{(faults.words ?? faults.arrowNumber)![0]}</Fault>}
      {entry !== 'say' && !nock && (
        <>
          <h2>Which face of the sheet do you read?</h2>
          <ChoiceRow
            label="Face of the sheet"
            value={marking.side}
            choices={faces}
            onChange={(side) => onChange({ ...marking, side })}
          />
        </>
      )}
      {photo && entry === 'mark' && <UnderSheet photo={photo} />}
      <h2>Scale of the sheet</h2>
      <ChoiceRow label="Scale of the sheet" value={px} choices={scales} onChange={onScale} />
      <p className={w.muted}>
        Keys: arrows move the cross {figure(0.05, 'in', 2)}, with Shift {figure(0.25, 'in', 2)}. <kbd>Enter</kbd> sets
        the {words.enter}, then keeps the shot.{' '}
        {!nock && (
          <>
            <kbd>F</kbd> turns the sheet,{' '}
          </>
        )}
        <kbd>Esc</kbd> leaves.
      </p>
    </Pane>
  );
}

function TypeIt({ marking, nock, faults, onChange, onKeep }: Props) {
  const words = sheetWords(nock);
  const [from, to] = marking.by === 'tail' ? [capital(words.end), 'point'] : ['Point', words.end];
  return (
    <>
      <ChoiceRow
        label="Which end is named"
        value={marking.by}
        choices={words.ends}
        onChange={(by) => onChange({ ...marking, by })}
      />
      <div className={l.pair}>
        <Field
          label={`${from} right of the ${to} (left: −)`}
          name="right"
          quantity="length"
          value={marking.right}
          onChange={(right) => onChange({ ...marking, right, words: null })}
          fault={(faults.right ?? faults.tail ?? faults.point)?.[0]}
          hint={words.hint}
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
