import { classes } from './classes';
import { Term } from './Term';
import w from './words.module.css';
import s from './FieldLabel.module.css';

interface Props {
  /** Of the field that it names. */
  id: string;
  label: string;
  term?: string;
}

/** The label of a field; one that is a word of the glossary stands on dots and opens what it means. */
export const FieldLabel = ({ id, label, term }: Props) => (
  <span className={classes(w.label, s.labels)}>
    {term ? <Term name={term} label={label} /> : <label htmlFor={id}>{label}</label>}
  </span>
);
