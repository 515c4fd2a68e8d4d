import { TextLine } from './TextLine';

interface Props {
  label: string;
  value: string;
  onChange: (text: string) => void;
  placeholder?: string;
  wide?: boolean;
}

const LONGEST = 500;

/** A person's own words beside an act. */
export const NoteField = ({ placeholder = 'note, if any', ...rest }: Props) => (
  <TextLine placeholder={placeholder} maxLength={LONGEST} {...rest} />
);
