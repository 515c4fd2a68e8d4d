import { InputBase, NativeSelect } from '@mui/material';
import { useId, useState, type ComponentProps, type KeyboardEvent } from 'react';
import { fieldText, fieldUnit, keptText, type Quantity } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { classes } from './classes';
import { FieldLabel } from './FieldLabel';
import { useTyped } from './useTyped';
import s from './Field.module.css';

interface Common {
  label: string;
  /** The glossary's word for it: the label gets a dotted underline. */
  term?: string;
  name: string;
  fault?: string;
  hint?: string;
}

/** A typed value: the text is kept as it is, the unit stands beside it, a fault stands beneath. */
export function Field({
  label,
  term,
  name,
  value,
  onChange,
  quantity = 'number',
  fault,
  hint,
  onEnter,
  autoFocus,
  first,
  large = false,
}: Common & {
  value: string;
  onChange: (text: string) => void;
  quantity?: Quantity;
  onEnter?: () => void;
  /** It gets the focus as it opens, what it holds selected. */
  autoFocus?: boolean;
  /** The first thing of its view: it gets the focus when nothing has it. */
  first?: boolean;
  /** The one reading of its view. */
  large?: boolean;
}) {
  const id = useId();
  const units = useUnits();
  // While it is being edited a field shows just what is typed, as long as that is the value; otherwise the value in the archer's unit.
  const [raw, setRaw] = useState<{ text: string; value: string } | null>(null);
  const unit = fieldUnit(quantity, units);
  const shown = raw && raw.value === value ? raw.text : fieldText(value, quantity, units);
  const press = (event: KeyboardEvent<HTMLInputElement | HTMLTextAreaElement>) => {
    if (event.key !== 'Enter' || event.ctrlKey) return;
    event.preventDefault();
    if (event.repeat) return;
    if (onEnter) onEnter();
    else nextField(event.currentTarget);
  };
  return (
    <div className={s.field}>
      <FieldLabel id={id} label={label} term={term} />
      <InputBase
        id={id}
        className={classes(s.box, large && s.large, fault && s.wrong)}
        classes={{ focused: s.focused, input: s.text }}
        name={name}
        value={shown}
        autoFocus={autoFocus}
        onFocus={(event) => {
          setRaw({ text: shown, value });
          // It opened with a value: what is typed takes its place.
          if (autoFocus) event.currentTarget.select();
        }}
        onBlur={() => setRaw(null)}
        onChange={(event) => {
          const kept = keptText(event.target.value, quantity, units);
          setRaw({ text: event.target.value, value: kept });
          onChange(kept);
        }}
        onKeyDown={press}
        autoComplete="off"
        endAdornment={unit && <span className={s.unit}>{unit}</span>}
        inputProps={{
          'aria-label': term ? label : undefined,
          'aria-invalid': fault ? true : undefined,
          'aria-describedby': `${id}-note`,
          spellCheck: false,
          'data-first': first ? true : undefined,
        }}
      />
      <span id={`${id}-note`} className={fault ? s.fault : s.hint} data-fault={fault ? true : undefined}>
        {fault ?? hint ?? ''}
      </span>
    </div>
  );
}

/** A field on which much hangs: the key stands in it first, and who is told of it is told after that frame. */
export function TypedField({ value, onChange, ...field }: ComponentProps<typeof Field>) {
  const [shown, type] = useTyped(value, onChange);
  return <Field {...field} value={shown} onChange={type} />;
}

export interface Choice {
  value: string;
  label: string;
}

export function Select({
  label,
  term,
  name,
  value,
  onChange,
  choices,
  fault,
  hint,
  first,
}: Common & { value: string; onChange: (value: string) => void; choices: Choice[]; first?: boolean }) {
  const id = useId();
  return (
    <div className={s.field}>
      <FieldLabel id={id} label={label} term={term} />
      <NativeSelect
        id={id}
        name={name}
        value={value}
        onChange={(event) => onChange(event.target.value)}
        input={<InputBase className={classes(s.box, fault && s.wrong)} classes={{ focused: s.focused }} />}
        classes={{ select: s.pick, icon: s.arrow }}
        inputProps={
          {
            'aria-label': term ? label : undefined,
            'aria-invalid': fault ? true : undefined,
            'aria-describedby': (fault ?? hint) ? `${id}-note` : undefined,
            'data-first': first ? true : undefined,
          } as object
        }
      >
        {choices.map((choice) => (
          <option key={choice.value} value={choice.value}>
            {choice.label}
          </option>
        ))}
      </NativeSelect>
      {(fault ?? hint) && (
        <span id={`${id}-note`} className={fault ? s.fault : s.hint} data-fault={fault ? true : undefined}>
          {fault ?? hint}
        </span>
      )}
    </div>
  );
}

/** Enter goes to the next field in sight, as on a scale's data sheet; from the last of a form to its key, from the last of all to what is next. */
function nextField(from: HTMLElement) {
  const all = [...document.querySelectorAll<HTMLElement>('main input:not([type=checkbox], [type=file]), main select')];
  const next = all.slice(all.indexOf(from) + 1).find((field) => field.checkVisibility?.() ?? true);
  const form = from.closest('form');
  const key = form?.contains(next ?? null) ? null : form?.querySelector<HTMLElement>('[type=submit]:not(:disabled)');
  (key ?? next ?? document.querySelector<HTMLElement>('[data-go]'))?.focus();
}
