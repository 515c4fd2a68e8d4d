import { useState } from 'react';
import { Key, Plain } from '../../parts/Buttons';
import { ChoiceRow } from '../../parts/ChoiceRow';
import { DayField } from '../../parts/DayField';
import { Field, Select } from '../../parts/Field';
import { Fault } from '../../parts/Note';
import l from '../../parts/layout.module.css';
import { NOTHING_TYPED, type Draft, type Plan, type PlanWork } from './usePlan';
import s from './PlanPage.module.css';

interface Props {
  plan: Plan;
  work: PlanWork;
  onDone: () => void;
}

/** Something to be done: by a day, by shots, or the day of a shoot. */
export function AddReminder({ plan, work, onDone }: Props) {
  const [draft, setDraft] = useState<Draft>({
    ...NOTHING_TYPED,
    kind: plan.lines.length === 0 ? 'shoot' : 'byDate',
  });
  const set = (change: Partial<Draft>) => {
    work.clear();
    setDraft({ ...draft, ...change });
  };
  const keep = () => void work.add(draft).then((ok) => ok && onDone());
  const named = ['text', 'bowId', 'on', 'afterShots'].some((field) => work.faults[field]);
  return (
    <form
      aria-label="Add to the plan"
      className={s.add}
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <h2>Add to the plan</h2>
      <ChoiceRow<Draft['kind']>
        label="It falls due"
        value={draft.kind}
        onChange={(kind) => set({ kind })}
        choices={[
          ['byDate', 'On a day'],
          ['byShots', 'After shots'],
          ['shoot', 'It is a shoot'],
        ]}
      />
      <Field
        label={draft.kind === 'shoot' ? 'What it is called' : 'What is to be done'}
        name="text"
        value={draft.text}
        onChange={(text) => set({ text })}
        fault={work.faults.text?.[0]}
        autoFocus
      />
      {draft.kind !== 'shoot' && (
        <Select
          label="Which bow"
          name="bow"
          value={draft.bowId}
          onChange={(bowId) => set({ bowId })}
          choices={[
            { value: '', label: 'none, the bench' },
            ...plan.bows.map((bow) => ({ value: bow.id, label: bow.name })),
          ]}
          fault={work.faults.bowId?.[0]}
        />
      )}
      {draft.kind === 'byShots' ? (
        <Field
          label="After so many shots from now"
          name="shots"
          value={draft.shots}
          onChange={(shots) => set({ shots })}
          fault={work.faults.afterShots?.[0]}
          onEnter={keep}
        />
      ) : (
        <DayField
          label="On"
          name="on"
          value={draft.on}
          min={plan.today}
          onChange={(on) => set({ on })}
          fault={work.faults.on?.[0]}
        />
      )}
      {work.problem && !named && <Fault>{work.problem.message}</Fault>}
      <div className={l.row}>
        <Key strong type="submit" disabled={work.busy}>
          Put it on the plan
        </Key>
        <Plain onClick={onDone}>Leave it</Plain>
      </div>
    </form>
  );
}
