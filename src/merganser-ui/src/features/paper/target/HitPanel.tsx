import { useState } from 'react';
import { ChoiceRow } from '../../../parts/ChoiceRow';
import { Field } from '../../../parts/Field';
import { Fault } from '../../../parts/Note';
import { useFigures } from '../../../units/UnitsContext';
import { Pane } from '../Pane';
import { WhichArrow } from '../WhichArrow';
import { capital } from '../../../parts/letters';
import type { Marking, ShotSet } from '../paperTypes';
import {
  flights,
  halves,
  headNumbers,
  kindName,
  markedWith,
  nextNumber,
  slants,
  slantWords,
  toldBy,
  walkDistances,
} from './groupTypes';
import w from '../../../parts/words.module.css';
import l from '../../../parts/layout.module.css';

interface Props {
  marking: Marking;
  set: ShotSet;
  half: number;
  faults: Record<string, string[]>;
  arrowNumbers: string[];
  onChange: (marking: Marking) => void;
  onHalf: (half: number) => void;
  onKeep: () => void;
}

/** Beside the face: which kind of arrow it was, its number, its place typed, how wide the face is. */
export function HitPanel({ marking, set, half, faults, arrowNumbers, onChange, onHalf, onKeep }: Props) {
  const { figure } = useFigures();
  const [typing, setTyping] = useState(marking.right !== '' || marking.up !== '');
  const heads = set.groups?.heads ?? false;
  const told = toldBy(set, marking);
  const kinds = markedWith(set).map((kind) => [kind, `${capital(kindName[kind])} ${nextNumber(set, kind)}`] as const);
  return (
    <Pane label="Marking a hit">
      {set.walk ? (
        <FromWhere marking={marking} set={set} fault={faults.distance?.[0]} onChange={onChange} onKeep={onKeep} />
      ) : told.length > 0 ? (
        <>
          <ChoiceRow
            label={set.ways ? 'Which way it was shot' : 'How the sight was set'}
            value={told.find((t) => t.chosen)?.words ?? null}
            choices={told.map((t) => [t.words, `${capital(t.words)}, ${t.hits}`] as const)}
            onChange={(words) => onChange({ ...marking, ...told.find((t) => t.words === words)!.marks })}
          />
          {(faults.way ?? faults.sightFor) && <Fault>{(faults.way ?? faults.sightFor)![0]}</Fault>}
        </>
      ) : (
        <ChoiceRow
          label="Kind of arrow"
          value={marking.arrow}
          choices={kinds}
          onChange={(arrow) => onChange({ ...marking, arrow })}
        />
      )}
      <h1>Where did it strike?</h1>
      <p className={w.muted}>{set.headline}</p>
      {marking.arrow === 'broadhead' ? (
        <WhichArrow what="head" marking={marking} numbers={headNumbers} onChange={onChange} />
      ) : (
        <WhichArrow what="arrow" marking={marking} numbers={arrowNumbers} onChange={onChange} />
      )}
      <ChoiceRow
        label="How it is entered"
        value={typing}
        choices={[
          [false, 'Mark the place'],
          [true, 'Type the place'],
        ]}
        onChange={(next) => {
          setTyping(next);
          if (!next) onChange({ ...marking, right: '', up: '' });
        }}
      />
      {typing && (
        <div className={l.pair}>
          <Field
            label={`Right of ${set.walk ? 'the plumb line' : 'its aiming point'} (left: −)`}
            name="right"
            quantity="length"
            value={marking.right}
            onChange={(right) => onChange({ ...marking, right })}
            fault={(faults.right ?? faults.place)?.[0]}
            onEnter={set.walk ? onKeep : undefined}
          />
          <Field
            label="Above its aiming point (below: −)"
            name="up"
            quantity="length"
            value={marking.up}
            onChange={(up) => onChange({ ...marking, up })}
            fault={faults.up?.[0]}
            onEnter={onKeep}
          />
        </div>
      )}
      {!typing && faults.place && <Fault>{faults.place[0]}</Fault>}
      <h2>How did it fly?</h2>
      <ChoiceRow
        label="How it flew"
        value={marking.flight}
        choices={flights.map((f) => [f, f] as const)}
        onChange={(flight) => onChange({ ...marking, flight: marking.flight === flight ? null : flight })}
      />
      <h2>How does it stand in the target?</h2>
      <ChoiceRow
        label="How it stands"
        value={marking.slant}
        choices={slants.map((slant) => [slant, slantWords[slant]] as const)}
        onChange={(slant) => onChange({ ...marking, slant: marking.slant === slant ? null : slant })}
      />
      <h2>Width of the face</h2>
      <ChoiceRow
        label="Width of the face"
        value={half}
        choices={halves.map((h) => [h, figure(2 * h, 'in', 0)] as const)}
        onChange={onHalf}
      />
      <p className={w.muted}>
        {set.walk
          ? 'Aim at the plumb line from every distance; what counts is how far beside it they strike. '
          : set.sighting
            ? 'All at one aiming point: their middle sets the pin. '
            : told.length > 0
              ? 'All at one aiming point; the next one is chosen in turn. '
              : 'The two kinds are aimed a hand apart, so that shafts don’t meet: each counts from its own point. '}
        A finger slides the cross and lifts to set it. Keys: arrows {figure(0.05, 'in', 2)}, with Shift{' '}
        {figure(0.5, 'in', 2)}; <kbd>Enter</kbd> sets it,{' '}
        {told.length > 0 && (
          <>
            <kbd>1</kbd> {told[0]!.words}, <kbd>2</kbd> {told[1]!.words},{' '}
          </>
        )}
        {kinds.length > 1 && (
          <>
            <kbd>B</kbd> {heads ? 'broadhead' : 'bare'}, <kbd>F</kbd> {heads ? 'field point' : 'fletched'},{' '}
          </>
        )}
        <kbd>Esc</kbd> leaves.
      </p>
    </Pane>
  );
}

/** From which distance a hit of a walk-back was shot. */
function FromWhere({
  marking,
  set,
  fault,
  onChange,
  onKeep,
}: Pick<Props, 'marking' | 'set' | 'onChange' | 'onKeep'> & { fault: string | undefined }) {
  const distances = walkDistances(set);
  const known = distances.some((d) => d.typed === marking.distance);
  const [own, setOwn] = useState(!known && marking.distance !== '');
  return (
    <>
      <ChoiceRow
        label="From where it was shot"
        value={own ? OWN : marking.distance}
        choices={[...distances.map((d) => [d.typed, `${d.name}, ${d.hits}`] as const), [OWN, 'another'] as const]}
        onChange={(distance) => {
          setOwn(distance === OWN);
          onChange({ ...marking, distance: distance === OWN ? '' : distance });
        }}
      />
      {own && (
        <Field
          label="Another distance"
          name="distance"
          quantity="distance"
          value={marking.distance}
          onChange={(distance) => onChange({ ...marking, distance })}
          fault={fault}
          onEnter={onKeep}
        />
      )}
      {!own && fault && <Fault>{fault}</Fault>}
    </>
  );
}

const OWN = 'own';
