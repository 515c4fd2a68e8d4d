import { ChoiceRow } from '../../parts/ChoiceRow';
import { Column, Columns } from '../../parts/Columns';
import { Field } from '../../parts/Field';
import { Figure } from '../../parts/Figure';
import { useState } from 'react';
import { useFigures } from '../../units/UnitsContext';
import type { Flight, FlightWork, Said } from './useFlight';
import w from '../../parts/words.module.css';

/** What the range stands on: the hand, the distance, the eye, the air, and the drag of the arrow. */
export function KnownPane({ view, work }: { view: Flight; work: FlightWork }) {
  const { figure } = useFigures();
  const said = work.said ?? view.said;
  const drag = view.figures.find((f) => f.name === 'drag');
  return (
    <>
      <h1>What the range stands on</h1>
      <Columns bare>
        <Column label="Your group">
          <h2>Your group</h2>
          <p>{view.spread}</p>
          <ChoiceRow<Said['spread']>
            label="Your group"
            value={said.spread === 'measured' && !view.spreadMeasured ? 'usual' : said.spread}
            choices={[
              ...(view.spreadMeasured || said.spread !== 'measured' ? ([['measured', 'as measured']] as const) : []),
              ['steady', 'steady'],
              ['usual', 'usual'],
              ['wide', 'wide'],
            ]}
            onChange={(spread) => void work.say({ spread })}
          />
          <Typed
            name="perYard"
            label={`Or: a shot strays on one axis, at ${figure(20, 'yd', 0)}`}
            quantity="length"
            kept={said.spread === 'typed' ? said.perYard : ''}
            fault={work.faults.perYard?.[0]}
            onKeep={(text) => (text.trim() ? { spread: 'typed', perYard: text } : { spread: 'measured', perYard: '' })}
            work={work}
          />
          {!view.spreadMeasured && (
            <p className={w.muted}>A group at any distance measures it: mark one under Groups.</p>
          )}
        </Column>
        <Column label="The distance">
          <h2>The distance</h2>
          <ChoiceRow<Said['error']>
            label="How wrong it is read"
            value={said.error}
            choices={[
              ['usual', 'usual'],
              ...(view.guessesTold ? ([['guesses', 'as I guess']] as const) : []),
              ['measured', 'measured'],
            ]}
            onChange={(error) => void work.say({ error })}
          />
          <Typed
            name="errorYards"
            label="Or: wrong by"
            quantity="distance"
            kept={said.error === 'typed' ? said.errorYards : ''}
            hint={`usual: ${figure(2, 'yd', 0)}`}
            fault={work.faults.errorYards?.[0]}
            onKeep={(text) => (text.trim() ? { error: 'typed', errorYards: text } : { error: 'usual', errorYards: '' })}
            work={work}
          />
          <Typed
            name="circle"
            label="Circle to keep in, across"
            quantity="length"
            kept={said.circle}
            hint={`empty: ${figure(8, 'in', 0)}`}
            fault={work.faults.circle?.[0]}
            onKeep={(circle) => ({ circle })}
            work={work}
          />
        </Column>
        <Column label="Eye and air">
          <h2>Eye and air</h2>
          {view.hasSight && <Sight key={view.eyeToPin} view={view} work={work} />}
          <Typed
            name="sightHeight"
            label="From the eye down to the arrow, at full draw"
            quantity="length"
            kept={said.sightHeight}
            hint={`empty: ${figure(view.sightHeight, 'in', 1)} is taken`}
            fault={work.faults.sightHeight?.[0]}
            onKeep={(sightHeight) => ({ sightHeight })}
            work={work}
          />
          <Typed
            name="altitude"
            label="Height above the sea"
            quantity="altitude"
            kept={said.altitude}
            hint="empty: at the sea"
            fault={work.faults.altitude?.[0]}
            onKeep={(altitude) => ({ altitude })}
            work={work}
          />
          <Typed
            name="temperature"
            label="Air"
            quantity="temperature"
            kept={said.temperature}
            hint="empty: as the standard has it there"
            fault={work.faults.temperature?.[0]}
            onKeep={(temperature) => ({ temperature })}
            work={work}
          />
          {drag && <Figure figure={drag} size="small" banded />}
        </Column>
      </Columns>
    </>
  );
}

/** From the eye to the pin: what the marks of a sight hang on. */
function Sight({ view, work }: { view: Flight; work: FlightWork }) {
  const [eye, setEye] = useState<string | null>(null);
  const keep = () => {
    if (eye !== null && eye !== view.eyeToPin && eye.trim() !== '')
      void work.measureSight(eye).then((done) => done && setEye(null));
  };
  return (
    <div onBlur={keep}>
      <Field
        name="eyeToPin"
        label="From the eye, or the peep, to the pin"
        quantity="length"
        value={eye ?? view.eyeToPin}
        onChange={setEye}
        onEnter={keep}
        fault={eye === null ? undefined : work.faults.eyeToPin?.[0]}
        hint={view.sightMeasured ? '' : 'not measured: a usual one is taken'}
      />
    </div>
  );
}

interface TypedProps {
  name: keyof Said;
  label: string;
  quantity: 'length' | 'distance' | 'altitude' | 'temperature';
  kept: string | null;
  hint?: string;
  fault?: string;
  onKeep: (text: string) => Partial<Said>;
  work: FlightWork;
}

/** A field that is kept when it is left, or at Enter; a text that is refused stays until it is mended. */
function Typed({ name, label, quantity, kept, hint, fault, onKeep, work }: TypedProps) {
  const [text, setText] = useState<string | null>(null);
  const keep = () => {
    if (text === null || text === kept) return;
    void work.say(onKeep(text)).then((done) => done && setText(null));
  };
  return (
    <div onBlur={keep}>
      <Field
        name={name}
        label={label}
        quantity={quantity}
        value={text ?? kept ?? ''}
        onChange={setText}
        onEnter={keep}
        fault={text === null ? undefined : fault}
        hint={hint}
      />
    </div>
  );
}
