import { ToggleButton, ToggleButtonGroup } from '@mui/material';
import type { ReactNode } from 'react';

interface Props<T> {
  label: string;
  /** What is chosen now; nothing yet is null. */
  value: T | null;
  choices: readonly (readonly [value: T, words: ReactNode])[];
  onChange: (value: T) => void;
  disabled?: boolean;
}

/** One of a few, all in sight: the chosen one is pressed. Pressing it again says it again. */
export function ChoiceRow<T>({ label, value, choices, onChange, disabled }: Props<T>) {
  return (
    <ToggleButtonGroup aria-label={label} exclusive disabled={disabled}>
      {choices.map(([choice, words]) => (
        <ToggleButton
          key={String(choice)}
          value={String(choice)}
          selected={choice === value}
          onClick={() => onChange(choice)}
        >
          {words}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
}
