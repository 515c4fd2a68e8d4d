interface Props {
  label: string;
  value: string;
  onChange: (text: string) => void;
  placeholder?: string;
  wide?: boolean;
}

const LONGEST = 500;

/** A person's own words beside an act. */
export function NoteField({ label, value, onChange, placeholder = 'note, if any', wide = false }: Props) {
  return (
    <input
      className={wide ? 'name-input wide-input' : 'name-input'}
      aria-label={label}
      placeholder={placeholder}
      maxLength={LONGEST}
      value={value}
      onChange={(event) => onChange(event.target.value)}
    />
  );
}
