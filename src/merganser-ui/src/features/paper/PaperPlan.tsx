import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { Field, Select } from '../../parts/Field';
import { useFigures } from '../../units/UnitsContext';
import { ChoiceRow } from '../../parts/ChoiceRow';
import { BeforeYouShoot } from './BeforeYouShoot';
import { StageAsks } from './StageAsks';
import type { Choices } from './paperTypes';
import { dress, same, saidOf, shotAs, shotOf, type TypedStage } from './planKinds';
import { typedStage } from './stages';
import { Tick } from '../../parts/Tick';
import { Pane } from './Pane';
import w from '../../parts/words.module.css';

export interface Plan {
  arrowId: string;
  kind: Schemas['SessionKind'];
  stages: TypedStage[];
  tolerance: number;
  shotsPerDecision: number;
  byMachine: boolean;
  bothAxes: boolean;
  school: Schemas['School'] | null;
  dozenId: string | null;
  /** What answers heads that land straight up, down or sideways with a clean flight. */
  straight: Schemas['StraightMiss'];
}

export const freshPlan = (arrowId: string, atTarget = false): Plan => ({
  arrowId,
  kind: 'tune',
  stages: [shotAs(atTarget ? '20' : '3', atTarget ? 'target' : 'bare')],
  tolerance: 0.25,
  shotsPerDecision: 2,
  byMachine: false,
  bothAxes: false,
  school: null,
  dozenId: null,
  straight: 'moveTheSight',
});

interface Props {
  plan: Plan;
  arrows: Schemas['ArrowRow'][];
  dozens: Schemas['DozenLine'][];
  choices: Choices | undefined;
  faults: Record<string, string[]>;
  onChange: (plan: Plan) => void;
  /** Where the bow's range and marks are; null at the paper. */
  rangeAt?: string | null;
  /** Where a trial of points over shafts is planned; null at the target. */
  trialAt?: string | null;
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

/** What is shot, from where, by which school, and when it is good enough. */
export function PaperPlan({ plan, arrows, dozens, choices, faults, onChange, rangeAt, trialAt }: Props) {
  const { rule } = useFigures();
  const kept = arrows.filter((a) => a.kept);
  const usual = choices?.stages.find((u) => same(plan.stages, u.stages))?.code ?? OWN;
  const one = plan.stages.length === 1;
  const atTarget = plan.stages.every((stage) => stage.atTarget);
  const heads = plan.stages.some((stage) => stage.heads);
  const pairs = plan.stages.some((s) => !s.walk && !s.sighting && !s.ways && s.rangeError === null);
  const tolerates = plan.stages.some((s) => !s.ways && s.rangeError === null);
  const said = saidOf(plan.stages);
  const pick = <T,>(label: string, name: keyof Plan, options: [T, string][]) => (
    <ChoiceRow
      label={label}
      value={plan[name] as T}
      choices={options}
      onChange={(value) => onChange({ ...plan, [name]: value })}
    />
  );
  return (
    <Pane roomy label={atTarget ? 'New groups' : 'A new paper'}>
      <h1>{said.title}</h1>
      {said.intro && <p className={w.muted}>{said.intro}</p>}
      {rangeAt && (
        <p>
          <Link to={rangeAt}>Range and sight marks</Link> need no group, and are sharper with one.
        </p>
      )}
      <BeforeYouShoot lines={(choices?.[said.before] as string[] | undefined) ?? []} />
      {!atTarget &&
        pick<Schemas['SessionKind']>('What for', 'kind', [
          ['tune', 'Tune the bow'],
          ['trial', 'Trial: arrows, the bow untouched'],
        ])}
      {!atTarget && plan.kind === 'trial' && trialAt && (
        <p>
          <Link to={trialAt}>Plan points over shafts</Link>: what figures say, what to buy or break off, in which order.
        </p>
      )}
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
            stages: found ? found.stages.map(typedStage) : [shotAs('8', 'bare')],
          });
        }}
        choices={[
          ...(choices?.stages ?? []).map((u) => ({ value: u.code, label: u.words })),
          { value: OWN, label: 'my own distance' },
        ]}
        hint="close is easy, far shows more; bare shows more than fletched"
      />
      {one && (
        <StageAsks
          stage={plan.stages[0]!}
          faults={faults}
          onChange={(stage) => onChange({ ...plan, stages: [stage] })}
        />
      )}
      {one && (
        <>
          <Field
            label={
              plan.stages[0]!.walk
                ? 'Distance of the zero'
                : plan.stages[0]!.atTarget || plan.stages[0]!.nockEnd
                  ? 'Distance to the target'
                  : 'Distance to the paper'
            }
            name="distance"
            quantity="distance"
            value={plan.stages[0]!.distance}
            onChange={(distance) => onChange({ ...plan, stages: [{ ...plan.stages[0]!, distance }] })}
            fault={faults.distance?.[0]}
          />
          <ChoiceRow
            label="What is shot"
            value={shotOf(plan.stages[0]!)}
            choices={dress}
            onChange={(shot) => onChange({ ...plan, stages: [shotAs(plan.stages[0]!.distance, shot)] })}
          />
        </>
      )}
      {plan.stages.every((stage) => !stage.fletched && !stage.atTarget) && (
        <p className={w.muted}>{choices?.bareOnly}</p>
      )}
      {plan.stages.some((stage) => stage.fletched && Number(stage.distance) >= FAR) && (
        <p className={w.muted}>{choices?.fletchedFar}</p>
      )}
      {tolerates && <h2>Good enough at the {atTarget ? 'target' : 'paper'}</h2>}
      {tolerates &&
        atTarget &&
        pick(
          'Good enough',
          'tolerance',
          choices?.noStrict
            ? [[0.25, 'usual']]
            : [
                [0.25, 'usual'],
                [0.125, 'strict'],
              ],
        )}
      {said.enough && <p className={w.muted}>{choices?.[said.enough] as string | undefined}</p>}
      {!atTarget &&
        pick(
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
      {heads && choices?.noSight && <p className={w.muted}>{choices.noSight}</p>}
      {heads && !choices?.noSight && (
        <>
          <h2>Heads straight off, with a clean flight</h2>
          {pick<Plan['straight']>('Heads straight off', 'straight', [
            ['moveTheSight', 'move the sight'],
            ['tuneSideways', 'sideways: tune'],
            ['tuneTheBow', 'always tune'],
          ])}
        </>
      )}
      {choices?.noStrict && <p className={w.muted}>{choices.noStrict}</p>}
      {plan.kind === 'tune' && pairs && (
        <>
          <h2>{atTarget ? 'Pairs per decision' : 'Shots per decision'}</h2>
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
