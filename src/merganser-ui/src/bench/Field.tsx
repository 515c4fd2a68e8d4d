import { InputBase, NativeSelect } from '@mui/material';
import { useId, type KeyboardEvent, type ReactNode } from 'react';

interface Common {
  label: string;
  name: string;
  fault?: string;
  hint?: ReactNode;
}

/** A typed value: the text is kept as it is, the unit stands beside it, a fault stands beneath. */
export function Field({
  label,
  name,
  value,
  onChange,
  unit,
  fault,
  hint,
  onEnter,
  autoFocus,
}: Common & {
  value: string;
  onChange: (text: string) => void;
  unit?: string;
  onEnter?: () => void;
  autoFocus?: boolean;
}) {
  const id = useId();
  const press = (event: KeyboardEvent<HTMLInputElement | HTMLTextAreaElement>) => {
    if (event.key !== 'Enter' || event.ctrlKey) return;
    event.preventDefault();
    if (onEnter) onEnter();
    else nextField(event.currentTarget);
  };
  return (
    <div className={fault ? 'field wrong' : 'field'}>
      <label className="lab" htmlFor={id}>
        {label}
      </label>
      <InputBase
        id={id}
        name={name}
        value={value}
        autoFocus={autoFocus}
        onChange={(event) => onChange(event.target.value)}
        onKeyDown={press}
        autoComplete="off"
        endAdornment={unit && <span className="unit">{unit}</span>}
        inputProps={{ 'aria-invalid': fault ? true : undefined, 'aria-describedby': `${id}-note`, spellCheck: false }}
      />
      <span id={`${id}-note`} className={fault ? 'fault' : 'hint'}>
        {fault ?? hint}
      </span>
    </div>
  );
}

export interface Choice {
  value: string;
  label: string;
}

export function Select({
  label,
  name,
  value,
  onChange,
  choices,
  fault,
  hint,
}: Common & { value: string; onChange: (value: string) => void; choices: Choice[] }) {
  const id = useId();
  return (
    <div className={fault ? 'field wrong' : 'field'}>
      <label className="lab" htmlFor={id}>
        {label}
      </label>
      <NativeSelect
        id={id}
        name={name}
        value={value}
        onChange={(event) => onChange(event.target.value)}
        input={<InputBase />}
      >
        {choices.map((choice) => (
          <option key={choice.value} value={choice.value}>
            {choice.label}
          </option>
        ))}
      </NativeSelect>
      {(fault ?? hint) && <span className={fault ? 'fault' : 'hint'}>{fault ?? hint}</span>}
    </div>
  );
}

/** Enter goes to the next field, as on a scale's data sheet. */
function nextField(from: HTMLElement) {
  const all = [...document.querySelectorAll<HTMLElement>('main input:not([type=checkbox]), main select')];
  const next = all[all.indexOf(from) + 1];
  if (next) next.focus();
  else document.querySelector<HTMLElement>('.go')?.focus();
}
