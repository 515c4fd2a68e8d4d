import { Field, Select } from '../../parts/Field';
import { Tick } from '../../parts/Tick';
import { classes } from '../../parts/classes';
import { newArcher, type BowForm } from './bowForm';
import { experiences, labelOf, practices, schools, schoolWords } from './choices';
import { More } from './More';
import type { useBowForm } from './useBowForm';
import w from '../../parts/words.module.css';
import l from '../../parts/layout.module.css';
import s from './ArcherFields.module.css';

const NEW_ARCHER = 'new';
const tools = [
  ['hasPress', 'Has the right press and the manual'],
  ['hasDrawBoard', 'Has a draw board'],
  ['hasScale', 'Has a scale'],
  ['hasChronograph', 'Has a chronograph'],
] as const;

const toolsOf = (archer: BowForm['archer']) =>
  tools.filter(([name]) => archer[name]).map(([, label]) => label.replace('Has ', ''));

interface Props {
  work: ReturnType<typeof useBowForm>;
  form: BowForm;
  fresh: boolean;
  faults: Record<string, string[]>;
}

/** Whose the bow is: an archer of the rack, a new one beside a new bow, or the archer of a known bow, edited. */
export function ArcherFields({ work, form, fresh, faults }: Props) {
  const newOne = fresh && form.archerId === null;
  const archer = (part: Partial<BowForm['archer']>) => work.change({ ...form, archer: { ...form.archer, ...part } });
  const pickArcher = (id: string) => {
    const known = work.archers.find((a) => a.id === id);
    work.change(
      known
        ? { ...form, archerId: id, archer: known.archer, entry: { ...form.entry, hand: known.archer.hand } }
        : { ...form, archerId: null, archer: { ...newArcher, hand: form.entry.hand } },
    );
  };

  return (
    <>
      <h2>Archer</h2>
      <div className={l.fields}>
        {fresh && work.archers.length > 0 && (
          <Select
            label="Who shoots it"
            name="archer"
            value={form.archerId ?? NEW_ARCHER}
            onChange={pickArcher}
            choices={[
              ...work.archers.map((a) => ({ value: a.id, label: a.archer.name })),
              { value: NEW_ARCHER, label: 'Another archer …' },
            ]}
          />
        )}
        {(newOne || !fresh) && (
          <Field
            label="Name"
            name="archerName"
            value={form.archer.name}
            onChange={(name) => archer({ name })}
            fault={faults.archerName?.[0]}
            first={newOne}
          />
        )}
        {fresh && !newOne && <KnownArcher archer={form.archer} />}
        {(newOne || !fresh) && (
          <Select
            label="Experience"
            name="experience"
            value={form.archer.experience ?? 'keen'}
            onChange={(experience) => archer({ experience: experience as BowForm['archer']['experience'] })}
            choices={experiences}
          />
        )}
      </div>
      {(newOne || !fresh) && (
        <More
          words="How they shoot and tune"
          holds={[
            labelOf(practices, form.archer.practice),
            form.archer.experience !== 'beginner' && labelOf(schools, form.archer.school),
            ...toolsOf(form.archer),
          ]}
          fields={[]}
          faults={faults}
        >
          <Select
            label="Shoots"
            name="practice"
            value={form.archer.practice ?? 'weekly'}
            onChange={(practice) => archer({ practice: practice as BowForm['archer']['practice'] })}
            choices={practices}
          />
          <Select
            label="School"
            name="school"
            value={form.archer.school}
            onChange={(school) => archer({ school: school as BowForm['archer']['school'] })}
            choices={schools}
            hint={schoolWords[form.archer.school]}
          />
          {tools.map(([name, label]) => (
            <Tick key={name} checked={form.archer[name] ?? false} onChange={(has) => archer({ [name]: has })}>
              {label}
            </Tick>
          ))}
        </More>
      )}
    </>
  );
}

/** Who shoots it, as known: an archer is changed on one of their own bows, never beside a new one. */
function KnownArcher({ archer }: { archer: BowForm['archer'] }) {
  return (
    <p className={classes(s.known, w.muted)}>
      {[
        labelOf(schools, archer.school),
        labelOf(practices, archer.practice),
        labelOf(experiences, archer.experience),
        ...toolsOf(archer),
      ].join('; ')}
      . Changed on the page of one of their bows.
    </p>
  );
}
