import type { Schemas } from '../../api/client';
import { Field, Select } from '../../parts/Field';
import { Fault } from '../../parts/Note';
import { Tick } from '../../parts/Tick';
import panes from './Panes.module.css';

export interface DozenForm {
  arrowVersionId: string;
  name: string;
  arrows: string;
  spare: string;
  classes: string[];
  vanesInSets: boolean;
}

/** The classes that an arrow has. */
export function classesOf(arrow: Schemas['Arrow']): string[] {
  return [
    'Shaft',
    ...(arrow.insert ? ['Insert'] : []),
    'Point',
    'Nock',
    ...(arrow.wrap ? ['Wrap'] : []),
    ...(arrow.vane ? ['Vanes'] : []),
  ];
}

interface Props {
  form: DozenForm;
  kept: Schemas['ArrowRow'][];
  faults: Record<string, string[]>;
  onChange: (form: DozenForm) => void;
}

export function StartDozen({ form, kept, faults, onChange }: Props) {
  const arrow = kept.find((a) => a.kept!.id === form.arrowVersionId)?.kept!.arrow;
  return (
    <div className={panes.tray}>
      <section aria-label="A new dozen">
        <h1>A new dozen</h1>
        <Select
          label="Built to"
          name="arrowVersion"
          value={form.arrowVersionId}
          onChange={(arrowVersionId) => {
            const picked = kept.find((a) => a.kept!.id === arrowVersionId)!.kept!;
            onChange({ ...form, arrowVersionId, classes: classesOf(picked.arrow), name: picked.typed.name });
          }}
          choices={kept.map((a) => ({ value: a.kept!.id, label: `${a.kept!.typed.name}, version ${a.kept!.number}` }))}
        />
        <Field
          label="Name"
          name="dozenName"
          value={form.name}
          onChange={(name) => onChange({ ...form, name })}
          fault={faults.name?.[0]}
        />
        <Field
          label="How many arrows"
          name="arrows"
          value={form.arrows}
          onChange={(arrows) => onChange({ ...form, arrows })}
          fault={faults.arrows?.[0]}
          hint="1 to 144"
        />
        <Field
          label="Spare pieces of each class"
          name="spare"
          value={form.spare}
          onChange={(spare) => onChange({ ...form, spare })}
          fault={faults.spare?.[0]}
        />
      </section>
      <section aria-label="What is weighed">
        <h2>What is weighed</h2>
        {arrow &&
          classesOf(arrow).map((name) => (
            <Tick
              key={name}
              checked={form.classes.includes(name)}
              onChange={(wanted) =>
                onChange({
                  ...form,
                  classes: wanted
                    ? classesOf(arrow).filter((c) => c === name || form.classes.includes(c))
                    : form.classes.filter((c) => c !== name),
                })
              }
            >
              {name}
            </Tick>
          ))}
        <Tick checked={form.vanesInSets} onChange={(vanesInSets) => onChange({ ...form, vanesInSets })}>
          The vanes of one arrow together
        </Tick>
        {faults.classes && <Fault>{faults.classes[0]}</Fault>}
      </section>
    </div>
  );
}
