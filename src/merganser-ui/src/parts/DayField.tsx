import { InputBase } from '@mui/material';
import { useId } from 'react';
import { classes } from './classes';
import { FieldLabel } from './FieldLabel';
import s from './Field.module.css';

interface Props {
  label: string;
  name: string;
  /** As 2026-11-23; empty for none. */
  value: string;
  /** The first day that can be picked. */
  min?: string;
  onChange: (day: string) => void;
  fault?: string;
  hint?: string;
}

/** A day, typed or picked; a fault stands beneath. */
export function DayField({ label, name, value, min, onChange, fault, hint }: Props) {
  const id = useId();
  return (
    <div className={s.field}>
      <FieldLabel id={id} label={label} />
      <InputBase
        id={id}
        type="date"
        name={name}
        className={classes(s.box, fault && s.wrong)}
        classes={{ focused: s.focused, input: s.text }}
        value={value}
        onChange={(event) => onChange(event.target.value)}
        inputProps={{ min, 'aria-invalid': fault ? true : undefined, 'aria-describedby': `${id}-note` }}
      />
      <span id={`${id}-note`} className={fault ? s.fault : s.hint} data-fault={fault ? true : undefined}>
        {fault ?? hint ?? ''}
      </span>
    </div>
  );
}
