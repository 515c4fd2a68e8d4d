import { Autocomplete, createFilterOptions, InputBase } from '@mui/material';
import { useId, useMemo, type FocusEvent } from 'react';
import type { Choice } from './Field';
import { classes } from './classes';
import { FieldLabel } from './FieldLabel';
import field from './Field.module.css';
import s from './FindPick.module.css';

interface Props {
  label: string;
  name: string;
  value: string;
  choices: Choice[];
  onChange: (value: string) => void;
  /** What is typed, for a list that is longer than what is at hand. */
  onFind?: (text: string) => void;
  /** A choice that is offered when nothing else is found. */
  otherwise?: string;
  fault?: string;
}

const matching = createFilterOptions<Choice>();

/** One of many, found by typing part of its words, or picked from the list that opens. */
export function FindPick({ label, name, value, choices, onChange, onFind, otherwise, fault }: Props) {
  const id = useId();
  const chosen = useMemo(
    () => choices.find((choice) => choice.value === value) ?? { value, label: '' },
    [choices, value],
  );
  return (
    <div className={field.field}>
      <FieldLabel id={id} label={label} />
      <Autocomplete
        id={id}
        options={choices}
        value={chosen}
        disableClearable
        autoHighlight
        openOnFocus={false}
        handleHomeEndKeys
        getOptionKey={(choice) => choice.value}
        isOptionEqualToValue={(option, chosen) => option.value === chosen.value}
        filterOptions={(options, state) => {
          const found = matching(options, state);
          return found.length > 0 ? found : options.filter((o) => o.value === otherwise);
        }}
        noOptionsText="no such part"
        onChange={(_, choice) => onChange(choice.value)}
        onInputChange={(_, text, reason) => reason === 'input' && onFind?.(text)}
        slotProps={{
          popupIndicator: { className: s.open },
          paper: { elevation: 0, className: s.list },
          popper: { popperOptions: { strategy: 'fixed' } },
        }}
        renderInput={({ slotProps, ...params }) => (
          <InputBase
            id={params.id}
            name={name}
            fullWidth
            className={classes(field.box, fault && field.wrong)}
            classes={{ focused: field.focused, input: field.text }}
            slotProps={{
              input: {
                ...slotProps.htmlInput,
                'aria-invalid': fault ? true : undefined,
                // However the focus came: what is typed next takes the place of what stands there.
                onFocus: (event: FocusEvent<HTMLInputElement>) => {
                  slotProps.htmlInput.onFocus?.(event);
                  event.currentTarget.select();
                },
              },
            }}
            ref={slotProps.input.ref}
            endAdornment={slotProps.input.endAdornment}
            onMouseDown={slotProps.input.onMouseDown}
          />
        )}
      />
      {fault && (
        <span className={field.fault} data-fault>
          {fault}
        </span>
      )}
    </div>
  );
}
