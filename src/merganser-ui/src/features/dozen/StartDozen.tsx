import type { Schemas } from '../../api/client';
import { Field, Select } from '../../parts/Field';
import { Fault } from '../../parts/Note';
import { Tick } from '../../parts/Tick';
import panes from './Panes.module.css';
import s from './StartDozen.module.css';

export interface DozenForm {
  arrowVersionId: string;
  name: string;
  arrows: string;
  /** Spare pieces by class, as typed. */
  spares: Record<string, string>;
  classes: string[];
  vanesInSets: boolean;
}

type Line = Schemas['DozenLine'];

/** A name that no other dozen has: several dozens are built to one arrow. */
export function nameFor(name: string, lines: Line[]): string {
  const taken = new Set(lines.map((line) => line.name));
  for (let n = 1; ; n++) {
    const other = n === 1 ? name : `${name} ${n}`;
    if (!taken.has(other)) return other;
  }
}

/** The plan of a dozen once more, to the version of its arrow that is kept now. */
export function copyOf(dozen: Schemas['DozenView'], lines: Line[], kept: Schemas['ArrowRow'][]): DozenForm | null {
  const arrow = (kept.find((a) => a.kept!.typed.name === dozen.arrowName) ?? kept[0])?.kept;
  if (!arrow) return null;
  const { plan } = dozen;
  const has = arrow.classes;
  return {
    arrowVersionId: arrow.id,
    name: nameFor(dozen.name, lines),
    arrows: String(plan.arrows),
    spares: Object.fromEntries(plan.classes.map((c) => [c, String(plan.spares?.[c] ?? plan.spare)])),
    classes: plan.classes.filter((c) => has.includes(c)),
    vanesInSets: plan.vanesInSets,
  };
}

/** Spare pieces as numbers; what is no number is refused where it stands. */
export const sparesOf = ({ classes, spares }: DozenForm): Record<string, number> =>
  Object.fromEntries(classes.filter((c) => spares[c]?.trim()).map((c) => [c, wholeOf(spares[c]!)]));

/** A count that cannot be read is out of every range. */
const wholeOf = (text: string): number => (/^\s*\d{1,6}\s*$/.test(text) ? Number(text) : -1);

interface Props {
  form: DozenForm;
  kept: Schemas['ArrowRow'][];
  /** The dozens that there are. */
  lines: Line[];
  faults: Record<string, string[]>;
  onChange: (form: DozenForm) => void;
}

export function StartDozen({ form, kept, lines, faults, onChange }: Props) {
  const classes = kept.find((a) => a.kept!.id === form.arrowVersionId)?.kept!.classes ?? [];
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
            onChange({
              ...form,
              arrowVersionId,
              classes: picked.classes,
              name: nameFor(picked.typed.name, lines),
            });
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
      </section>
      <section aria-label="What is weighed">
        <h2>What is weighed</h2>
        {classes.map((name) => (
          <div key={name} className={s.class}>
            <Tick
              checked={form.classes.includes(name)}
              onChange={(wanted) =>
                onChange({
                  ...form,
                  classes: wanted
                    ? classes.filter((c) => c === name || form.classes.includes(c))
                    : form.classes.filter((c) => c !== name),
                })
              }
            >
              {name}
            </Tick>
            {form.classes.includes(name) && (
              <Field
                label={`Spare ${name.toLowerCase()}${name.endsWith('s') ? '' : 's'}`}
                name={`spare${name}`}
                value={form.spares[name] ?? ''}
                onChange={(spare) => onChange({ ...form, spares: { ...form.spares, [name]: spare } })}
                fault={faults[`spare${name}`]?.[0]}
              />
            )}
          </div>
        ))}
        <Tick checked={form.vanesInSets} onChange={(vanesInSets) => onChange({ ...form, vanesInSets })}>
          The vanes of one arrow together
        </Tick>
        {faults.classes && <Fault>{faults.classes[0]}</Fault>}
      </section>
    </div>
  );
}
