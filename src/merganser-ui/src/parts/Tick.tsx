import { Checkbox } from '@mui/material';
import type { ReactNode } from 'react';
import s from './Tick.module.css';

interface Props {
  checked: boolean;
  onChange: (checked: boolean) => void;
  disabled?: boolean;
  /** A name for it in tests. */
  step?: string;
  children: ReactNode;
}

/** Something that holds or was done, with its words as the target. */
export const Tick = ({ checked, onChange, disabled, step, children }: Props) => (
  <label className={s.tick}>
    <Checkbox
      checked={checked}
      disabled={disabled}
      onChange={(event) => onChange(event.target.checked)}
      slotProps={{ input: { 'data-tick': step } as object }}
    />
    {children}
  </label>
);
