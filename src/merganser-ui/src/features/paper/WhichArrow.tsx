import { ChoiceRow } from '../../parts/ChoiceRow';
import type { Marking } from './paperTypes';

interface Props {
  what: 'arrow' | 'head';
  marking: Marking;
  numbers: string[];
  onChange: (marking: Marking) => void;
}

/** Which arrow of the dozen it was, or which head, where they are numbered; pressed again it is none. */
export function WhichArrow({ what, marking, numbers, onChange }: Props) {
  if (numbers.length === 0) return null;
  return (
    <>
      <h2>Which {what}?</h2>
      <ChoiceRow
        label={`Which ${what}`}
        value={marking.arrowNumber}
        choices={numbers.map((n) => [n, n] as const)}
        onChange={(n) => onChange({ ...marking, arrowNumber: marking.arrowNumber === n ? '' : n })}
      />
    </>
  );
}
