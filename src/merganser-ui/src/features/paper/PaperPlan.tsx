import type { Schemas } from '../../api/client';
import { Field, Select } from '../../parts/Field';
import { useFigures } from '../../units/UnitsContext';
import { ChoiceRow } from '../../parts/ChoiceRow';
import { classes } from '../../parts/classes';
import { BeforeYouShoot } from './BeforeYouShoot';
import type { Choices } from './paperTypes';
import { typedStage } from './stages';
import type { Kinds } from './usePaperWork';
import { Tick } from '../../parts/Tick';
import { Pane } from './Pane';
import w from '../../parts/words.module.css';
import l from '../../parts/layout.module.css';
import s from './PaperPlan.module.css';

export interface Plan {
  arrowId: string;
  kind: Schemas['SessionKind'];
  stages: (Kinds & { distance: string })[];
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
  stages: [{ distance: atTarget ? '20' : '3', fletched: false, atTarget, heads: false, walk: null }],
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
type Shot = 'bare' | 'fletched' | 'target' | 'heads' | Schemas['WalkPins'];
const dress: [Shot, string][] = [
  ['bare', 'Bare shafts'],
  ['fletched', 'Fletched'],
  ['target', 'Groups of both at a target'],
  ['heads', 'Broadheads and field points'],
  ['own', 'Walk-back, own pins'],
  ['one', 'Walk-back, one pin'],
];
const shotOf = (stage: Plan['stages'][number]): Shot =>
  stage.walk ?? (stage.heads ? 'heads' : stage.atTarget ? 'target' : stage.fletched ? 'fletched' : 'bare');

const same = (a: Plan['stages'], b: Schemas['PlannedStage'][]) =>
  a.length === b.length &&
  a.every(
    (s, i) =>
      Number(s.distance) === b[i]!.distance &&
      s.fletched === b[i]!.fletched &&
      s.atTarget === (b[i]!.atTarget ?? false) &&
      s.heads === (b[i]!.heads ?? false) &&
      s.walk === (b[i]!.walk ?? null),
  );

/** What is shot, from where, by which school, and when it is good enough. */
export function PaperPlan({ plan, arrows, dozens, choices, faults, onChange }: Props) {
  const { rule } = useFigures();
  const kept = arrows.filter((a) => a.kept);
  const usual = choices?.stages.find((u) => same(plan.stages, u.stages))?.code ?? OWN;
  const one = plan.stages.length === 1;
  const atTarget = plan.stages.every((stage) => stage.atTarget);
  const heads = plan.stages.some((stage) => stage.heads);
  const only = heads && plan.stages.every((stage) => stage.heads);
  const walks = plan.stages.some((stage) => stage.walk);
  const walk = plan.stages.every((stage) => stage.walk);
  const onePin = plan.stages.some((stage) => stage.walk === 'one');
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
      <h1>
        {walk
          ? 'A walk-back, at a target'
          : only
            ? 'Broadheads against field points'
            : atTarget
              ? 'Bare against fletched, at a target'
              : 'A new paper'}
      </h1>
      {only && (
        <p className={w.muted}>
          Two aiming points a hand apart, one for each kind, the same arrows. Where heads land elsewhere, it is told
          whether to leave it, to move the sight or to tune.
        </p>
      )}
      {walk && (
        <p className={w.muted}>
          From the zero outwards at one plumb line, fletched arrows alone. Arrows that drift to one side with distance
          are the finding, once the drift is bigger than the archer’s own spread.
        </p>
      )}
      {atTarget && !only && !walk && (
        <p className={w.muted}>
          Two aiming points a hand apart, one for each kind. The offset of the bare group from the fletched one is the
          finding, once it is bigger than the archer’s own spread.
        </p>
      )}
      <BeforeYouShoot
        lines={
          (walks
            ? choices?.[onePin ? 'beforeOnePin' : 'beforeWalk']
            : heads
              ? choices?.beforeHeads
              : atTarget
                ? choices?.beforeGroups
                : choices?.beforeYouShoot) ?? []
        }
      />
      {!atTarget &&
        pick<Schemas['SessionKind']>('What for', 'kind', [
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
              ? found.stages.map(typedStage)
              : [{ distance: '8', fletched: false, atTarget: false, heads: false, walk: null }],
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
            label={
              plan.stages[0]!.walk
                ? 'Distance of the zero'
                : plan.stages[0]!.atTarget
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
            onChange={(shot) =>
              onChange({
                ...plan,
                stages: [
                  {
                    ...plan.stages[0]!,
                    fletched: shot === 'fletched',
                    atTarget: shot !== 'bare' && shot !== 'fletched',
                    heads: shot === 'heads',
                    walk: shot === 'own' || shot === 'one' ? shot : null,
                  },
                ],
              })
            }
          />
        </div>
      )}
      {plan.stages.every((stage) => !stage.fletched && !stage.atTarget) && (
        <p className={w.muted}>{choices?.bareOnly}</p>
      )}
      {plan.stages.some((stage) => stage.fletched && Number(stage.distance) >= FAR) && (
        <p className={w.muted}>{choices?.fletchedFar}</p>
      )}
      <h2>Good enough at the {atTarget ? 'target' : 'paper'}</h2>
      {atTarget &&
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
      {atTarget && <p className={w.muted}>{walk ? choices?.enoughOfWalk : choices?.enoughAtTarget}</p>}
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
      {plan.kind === 'tune' && (
        <>
          {!walk && <h2>{atTarget ? 'Pairs per decision' : 'Shots per decision'}</h2>}
          {!walk && pick('Shots per decision', 'shotsPerDecision', decisions)}
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
