import { useState } from 'react';
import { Key } from '../../../parts/Buttons';
import { ChoiceRow } from '../../../parts/ChoiceRow';
import { Field } from '../../../parts/Field';
import { Fold } from '../../../parts/Fold';
import { Tick } from '../../../parts/Tick';
import type { Paper, ShotSet } from '../paperTypes';
import type { PaperWork } from '../usePaperWork';
import w from '../../../parts/words.module.css';

interface Props {
  paper: Paper;
  set: ShotSet;
  work: Pick<PaperWork, 'busy' | 'faults' | 'conditions'>;
}

const RINGS = 5;
/** Stands for rings whose sizes are typed. */
const OWN = -1;

const named = (count: number) => (count === 0 ? 'blank' : count === OWN ? 'own sizes' : `${count}`);

/** How a set was shot: what was noted, and for the set in work a place to note it. */
export function Conditions({ paper, set, work }: Props) {
  const [wind, setWind] = useState(set.conditions?.wind ?? '');
  const [across, setAcross] = useState(set.conditions?.across ? `${set.conditions.across} mph` : '');
  const [seated, setSeated] = useState(set.conditions?.seated ?? false);
  const hangs = set.conditions?.face;
  const [face, setFace] = useState(hangs ? `${hangs.diameter} in` : '');
  const [rings, setRings] = useState(hangs?.ringDiameters ? OWN : (hangs?.rings ?? RINGS));
  const [own, setOwn] = useState(hangs?.ringDiameters?.map((across) => `${across} in`).join('; ') ?? '');
  const [taped, setTaped] = useState(set.conditions?.taped ?? false);
  const keep = () =>
    void work.conditions(paper, {
      wind,
      across,
      seated,
      face,
      rings: Math.max(0, rings),
      ringsAcross: rings === OWN ? own : '',
      taped,
    });
  const current = set.id === paper.sets.at(-1)!.id;
  return (
    <section data-testid="conditions">
      {set.conditions && (
        <p>{[set.conditions.words, set.conditions.faceWords, set.conditions.tapedWords].filter(Boolean).join(' ')}</p>
      )}
      {current && (
        <Fold words="Note wind, stance and face">
          <p className={w.muted}>
            {set.walk
              ? 'A wind across bends a walk-back by itself: say it as a figure, and its least share is taken off.'
              : set.sighting
                ? 'A sight that is set in wind is off when it is calm.'
                : set.ways || set.rangeTrial
                  ? 'In turn, a wind that changes falls on both.'
                  : 'Shoot the two kinds in turn: a wind that changes between the groups is an offset of its own.'}
          </p>
          <Field
            label="Wind, in your words"
            name="wind"
            value={wind}
            onChange={setWind}
            hint="as: breeze from the left, gusts"
            fault={(work.faults.wind ?? work.faults.note)?.[0]}
            onEnter={keep}
          />
          {set.walk && (
            <Field
              label="Wind across, from the left (right: −)"
              name="across"
              quantity="wind"
              value={across}
              onChange={setAcross}
              hint="empty: calm, or not known"
              fault={work.faults.across?.[0]}
              onEnter={keep}
            />
          )}
          <Tick checked={seated} onChange={setSeated}>
            Shot from a seat
          </Tick>
          {set.groups && !set.groups.heads && (
            <Tick checked={taped} onChange={setTaped}>
              Bare shafts are taped to the weight of the vanes
            </Tick>
          )}
          <Field
            label="The face is so wide"
            name="face"
            quantity="length"
            value={face}
            onChange={setFace}
            hint="empty: plain rings as wide as the hits"
            fault={(work.faults.face ?? work.faults.rings)?.[0]}
            onEnter={keep}
          />
          {face.trim() !== '' && (
            <ChoiceRow
              label="Rings of the face"
              value={rings}
              choices={[0, 3, 4, 5, 6, 8, 10, OWN].map((count) => [count, named(count)] as const)}
              onChange={setRings}
            />
          )}
          {face.trim() !== '' && rings === OWN && (
            <Field
              label="Each ring, how wide across"
              name="ringsAcross"
              value={own}
              onChange={setOwn}
              hint="one after the other, as: 4; 8; 16"
              fault={work.faults.ringsAcross?.[0]}
              onEnter={keep}
            />
          )}
          <Key disabled={work.busy} onClick={keep}>
            Note it from here on
          </Key>
        </Fold>
      )}
    </section>
  );
}
