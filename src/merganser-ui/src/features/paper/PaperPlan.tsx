import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { Field, Select } from '../../parts/Field';
import { useFigures } from '../../units/UnitsContext';
import { ChoiceRow } from '../../parts/ChoiceRow';
import { Bullets } from '../../parts/List';
import { classes } from '../../parts/classes';
import type { Choices } from './paperTypes';
import { Tick } from '../../parts/Tick';
import { Pane } from './Pane';
import w from '../../parts/words.module.css';
import l from '../../parts/layout.module.css';
import s from './PaperPlan.module.css';

export interface Plan {
  arrowId: string;
  kind: Schemas['SessionKind'];
  stages: { distance: string; fletched: boolean }[];
  tolerance: number;
  shotsPerDecision: number;
  byMachine: boolean;
  bothAxes: boolean;
  school: Schemas['School'] | null;
  dozenId: string | null;
}

export const freshPlan = (arrowId: string): Plan => ({
  arrowId,
  kind: 'tune',
  stages: [{ distance: '3', fletched: false }],
  tolerance: 0.25,
  shotsPerDecision: 2,
  byMachine: false,
  bothAxes: false,
  school: null,
  dozenId: null,
});

interface Props {
  plan: Plan;
  arrows: Schemas['ArrowRow'][];
  dozens: Schemas['DozenLine'][];
  choices: Choices | undefined;
  faults: Record<string, string[]>;
  onChange: (plan: Plan) => void;
}

const decisions: [number, string][] = [
  [2, 'until it is clear'],
  [1, '1'],
  [3, '3'],
  [5, '5'],
];
const schools: { value: string; label: string }[] = [
  { value: '', label: 'my own, as the archer has it' },
  { value: 'centreFirst', label: 'centre first: cams and yokes do the work' },
  { value: 'ladder', label: 'ladder: rest, yokes, form, control arrow, spacers' },
  { value: 'restOnly', label: 'rest only: no press at hand' },
  { value: 'walkBack', label: 'walk-back after paper' },
];
const OWN = 'own';
/** Yards from which vanes have straightened most of a tear. */
const FAR = 6;
const dress: [boolean, string][] = [
  [false, 'Bare shafts'],
  [true, 'Fletched'],
];

const same = (a: Plan['stages'], b: Schemas['PlannedStage'][]) =>
  a.length === b.length && a.every((s, i) => Number(s.distance) === b[i]!.distance && s.fletched === b[i]!.fletched);

/** What is shot, from where, by which school, and when it is good enough. */
export function PaperPlan({ plan, arrows, dozens, choices, faults, onChange }: Props) {
  const { rule } = useFigures();
  const kept = arrows.filter((a) => a.kept);
  const usual = choices?.stages.find((u) => same(plan.stages, u.stages))?.code ?? OWN;
  const one = plan.stages.length === 1;
  const pick = <T,>(label: string, name: keyof Plan, options: [T, string][]) => (
    <ChoiceRow
      label={label}
      value={plan[name] as T}
      choices={options}
      onChange={(value) => onChange({ ...plan, [name]: value })}
    />
  );
  return (
    <Pane roomy label="A new paper">
      <h1>A new paper</h1>
      <BeforeYouShoot lines={choices?.beforeYouShoot ?? []} />
      {pick<Schemas['SessionKind']>('What for', 'kind', [
        ['tune', 'Tune the bow'],
        ['trial', 'Trial: arrows, the bow untouched'],
      ])}
      <Select
        label={plan.kind === 'trial' ? 'First arrow of the trial' : 'Arrow'}
        name="arrow"
        value={plan.arrowId}
        onChange={(arrowId) => onChange({ ...plan, arrowId })}
        choices={kept.map((a) => ({ value: a.kept!.id, label: `${a.kept!.typed.name}, version ${a.kept!.number}` }))}
      />
      <Select
        label="Stages"
        name="stages"
        value={usual}
        onChange={(code) => {
          const found = choices?.stages.find((u) => u.code === code);
          onChange({
            ...plan,
            stages: found
              ? found.stages.map((s) => ({ distance: String(s.distance), fletched: s.fletched }))
              : [{ distance: '8', fletched: false }],
          });
        }}
        choices={[
          ...(choices?.stages ?? []).map((u) => ({ value: u.code, label: u.words })),
          { value: OWN, label: 'my own distance' },
        ]}
        hint="close is easy, far shows more; bare shows more than fletched"
      />
      {one && (
        <div className={classes(l.pair, s.pair)}>
          <Field
            label="Distance to the paper"
            name="distance"
            quantity="distance"
            value={plan.stages[0]!.distance}
            onChange={(distance) => onChange({ ...plan, stages: [{ ...plan.stages[0]!, distance }] })}
            fault={faults.distance?.[0]}
          />
          <ChoiceRow
            label="Bare or fletched"
            value={plan.stages[0]!.fletched}
            choices={dress}
            onChange={(fletched) => onChange({ ...plan, stages: [{ ...plan.stages[0]!, fletched }] })}
          />
        </div>
      )}
      {plan.stages.every((stage) => !stage.fletched) && <p className={w.muted}>{choices?.bareOnly}</p>}
      {plan.stages.some((stage) => stage.fletched && Number(stage.distance) >= FAR) && (
        <p className={w.muted}>{choices?.fletchedFar}</p>
      )}
      <h2>Good enough</h2>
      {pick(
        'Good enough',
        'tolerance',
        choices?.noStrict
          ? [[0.25, `${rule(0.25)}, usual`]]
          : [
              [0.25, `${rule(0.25)}, usual`],
              [0.125, `${rule(0.125)}, strict`],
              [0.0625, 'one clean hole'],
            ],
      )}
      {choices?.noStrict && <p className={w.muted}>{choices.noStrict}</p>}
      {plan.kind === 'tune' && (
        <>
          <h2>Shots per decision</h2>
          {pick('Shots per decision', 'shotsPerDecision', decisions)}
          <Select
            label="School"
            name="school"
            value={plan.school ?? ''}
            onChange={(school) => onChange({ ...plan, school: (school || null) as Plan['school'] })}
            choices={schools}
          />
          {choices?.bothAxes && (
            <Tick checked={plan.bothAxes} onChange={(bothAxes) => onChange({ ...plan, bothAxes })}>
              Both axes in one visit to the press, where both are far out
            </Tick>
          )}
        </>
      )}
      {pick('Shot by', 'byMachine', [
        [false, 'Shot by the archer'],
        [true, 'by a machine'],
      ])}
      {dozens.length > 0 && (
        <Select
          label="Numbered arrows of a dozen"
          name="dozen"
          value={plan.dozenId ?? ''}
          onChange={(id) => onChange({ ...plan, dozenId: id || null })}
          choices={[
            { value: '', label: 'arrows are not numbered' },
            ...dozens.map((d) => ({ value: d.id, label: d.name })),
          ]}
        />
      )}
    </Pane>
  );
}

const SEEN = 'merganser-before-you-shoot';

export const seenBeforeYouShoot = () => localStorage.setItem(SEEN, 'seen');

/** Set-up notes: open until a paper was begun with them, or they were closed. */
function BeforeYouShoot({ lines }: { lines: string[] }) {
  const [open, setOpen] = useState(localStorage.getItem(SEEN) === null);
  const close = (still: boolean) => {
    setOpen(still);
    if (!still) seenBeforeYouShoot();
  };
  return (
    <details className={s.before} open={open} onToggle={(event) => close(event.currentTarget.open)}>
      <summary>Before you shoot</summary>
      <Bullets>
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </Bullets>
    </details>
  );
}
