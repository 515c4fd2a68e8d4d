import { useState } from 'react';
import { FileLink, Key, Plain } from '../Buttons';
import { ChoiceRow } from '../ChoiceRow';
import { Column } from '../Columns';
import { Field, Select } from '../Field';
import { FindPick } from '../FindPick';
import { Fold } from '../Fold';
import { NoteField } from '../NoteField';
import { Pick } from '../Pick';
import { ReadingField } from '../ReadingField';
import { FindLine, TextBlock, TextLine } from '../TextLine';
import { Tick } from '../Tick';
import { WayKey, Ways } from '../Ways';
import { Part } from './Part';
import l from '../layout.module.css';

const nothing = () => undefined;

export const Buttons = () => (
  <Column label="Buttons">
    <h2>Buttons</h2>
    <Part name="Key: at rest, pressed, strong, disabled">
      <div className={l.row}>
        <Key>Mark a shot</Key>
        <Key aria-pressed>Tone</Key>
        <Key strong>Log this move</Key>
        <Key disabled>Take now</Key>
      </div>
    </Part>
    <Part name="Plain: at rest, disabled">
      <Plain>Leave it</Plain>
      <Plain disabled>Undo</Plain>
    </Part>
    <Part name="FileLink">
      <FileLink href="/parts">CSV</FileLink>
    </Part>
    <Part name="Ways beside a drawing">
      <Ways beside label="What to look at">
        <WayKey aria-pressed>Reading</WayKey>
        <WayKey aria-pressed={false}>Shots, 6</WayKey>
      </Ways>
    </Part>
  </Column>
);

export function Fields() {
  const [text, setText] = useState('28 1/2');
  return (
    <Column label="Fields">
      <h2>Fields</h2>
      <Part name="Field: with a hint, a word of the trade, a fault, large">
        <Field label="Cut length" name="a" quantity="length" value={text} onChange={setText} hint="any unit" />
        <Field label="Brace height" term="braceHeight" name="b" quantity="length" value={text} onChange={setText} />
        <Field label="Draw weight" name="c" quantity="drawWeight" value="abc" onChange={nothing} fault="not a number" />
        <Field label="Centre shot" name="d" quantity="length" value={text} onChange={setText} large />
      </Part>
      <Part name="ReadingField">
        <ReadingField
          label="One reading after the other"
          name="e"
          quantity="weight"
          onTake={async (t) => `taken: ${t}`}
        />
      </Part>
      <Part name="Select: at rest, with a fault">
        <Select label="Hand" name="f" value="right" onChange={nothing} choices={hands} />
        <Select label="Hand" name="g" value="right" onChange={nothing} choices={hands} fault="pick one" />
      </Part>
      <Part name="FindPick: one of many, found by its words">
        <FindPick label="Hand" name="h" value="right" onChange={nothing} choices={hands} />
      </Part>
      <Part name="Pick: in its box, bare">
        {[false, true].map((bare) => (
          <Pick key={String(bare)} bare={bare} label="Another arrow" value="" onChange={nothing}>
            <option value="">Other arrows, 3</option>
          </Pick>
        ))}
      </Part>
      <Part name="TextLine, FindLine, NoteField, TextBlock">
        <TextLine label="Reason" placeholder="why it is left" value="" onChange={nothing} />
        <FindLine label="Find a part" placeholder="find a part" value="" onChange={nothing} />
        <NoteField label="Note" value="" onChange={nothing} />
        <TextBlock label="Weights" rows={2} placeholder="one a line" value="" onChange={nothing} />
      </Part>
    </Column>
  );
}

const hands = [
  { value: 'right', label: 'Right-handed' },
  { value: 'left', label: 'Left-handed' },
];

export function Choices() {
  const [on, setOn] = useState(true);
  return (
    <Column label="Choices">
      <h2>Choices</h2>
      <Part name="ChoiceRow: one chosen, none yet, disabled">
        <ChoiceRow label="Dressed" value={on} choices={dress} onChange={setOn} />
        <ChoiceRow<boolean> label="Dressed, nothing chosen" value={null} choices={dress} onChange={nothing} />
        <ChoiceRow label="Dressed, disabled" value={true} choices={dress} onChange={nothing} disabled />
      </Part>
      <Part name="Tick: on, off, disabled">
        <Tick checked={on} onChange={setOn}>
          Shafts measured alike go together
        </Tick>
        <Tick checked={false} onChange={nothing}>
          The vanes of one arrow together
        </Tick>
        <Tick checked disabled onChange={nothing}>
          Fletched
        </Tick>
      </Part>
      <Part name="Fold: closed, open">
        <Fold words="Travel and step">
          <p>Inside.</p>
        </Fold>
        <Fold words="Before you shoot" open>
          <p>Eye protection.</p>
        </Fold>
      </Part>
    </Column>
  );
}

const dress = [
  [false, 'Bare'],
  [true, 'Fletched'],
] as const;
