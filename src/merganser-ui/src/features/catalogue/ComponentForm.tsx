import { useEffect, useRef, type ReactNode } from 'react';
import type { Schemas } from '../../api/client';
import { Field, Select } from '../../parts/Field';
import { named } from '../../parts/letters';
import type { Quantity } from '../../units/units';
import { classes } from '../../parts/classes';
import l from '../../parts/layout.module.css';
import s from './ComponentForm.module.css';

export type Fields = Record<string, string>;

interface Props {
  fields: Schemas['ComponentField'][];
  values: Fields;
  faults: Record<string, string[]>;
  onChange: (values: Fields) => void;
  className?: string;
  /** What else can be done with the part. */
  children?: ReactNode;
}

/** One part as a form; which fields it has comes from the server. */
export function ComponentForm({ fields, values, faults, onChange, className, children }: Props) {
  const form = useRef<HTMLElement>(null);
  useEffect(() => {
    form.current?.querySelector<HTMLElement>('input, select')?.focus();
  }, []);
  const put = (name: string, text: string) => onChange({ ...values, [name]: text });
  return (
    <section ref={form} className={classes(s.form, className)} aria-label="The part">
      {fields.map((field) =>
        field.kind === 'choice' ? (
          <Select
            key={field.name}
            label={field.label}
            name={field.name}
            value={values[field.name] ?? ''}
            onChange={(text) => put(field.name, text)}
            choices={[{ value: '', label: 'pick one' }, ...field.choices.map((c) => ({ value: c, label: named(c) }))]}
            fault={faults[field.name]?.[0]}
          />
        ) : (
          <Field
            key={field.name}
            label={field.label}
            name={field.name}
            quantity={field.kind === 'number' ? (field.quantity as Quantity) : undefined}
            value={values[field.name] ?? ''}
            onChange={(text) => put(field.name, text)}
            fault={faults[field.name]?.[0]}
          />
        ),
      )}
      {children && <div className={classes(l.row, s.acts)}>{children}</div>}
    </section>
  );
}
