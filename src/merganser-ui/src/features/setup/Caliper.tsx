import { ButtonBase } from '@mui/material';
import { useState } from 'react';
import { answer, api, Refusal, type Schemas } from '../../api/client';
import { Field } from '../../parts/Field';

const empty = { front: '', rear: '', nockToRest: '', between: '' };

/** Centre shot by caliper: riser to arrow in front and behind, and how far the rest moves. */
export function Caliper({ bowId }: { bowId: string }) {
  const [typed, setTyped] = useState(empty);
  const [told, setTold] = useState<Schemas['CaliperView'] | null>(null);
  const [faults, setFaults] = useState<Record<string, string[]>>({});
  const ask = async () => {
    try {
      setTold(await answer(api.POST('/api/bows/{id}/caliper', { params: { path: { id: bowId } }, body: typed })));
      setFaults({});
    } catch (error) {
      setFaults(error instanceof Refusal ? error.errors : { front: [(error as Error).message] });
    }
  };
  const field = (name: keyof typeof empty, label: string) => (
    <Field
      label={label}
      name={`caliper-${name}`}
      quantity="length"
      value={typed[name]}
      onChange={(text) => setTyped({ ...typed, [name]: text })}
      fault={faults[name]?.[0]}
    />
  );
  return (
    <details className="caliper">
      <summary>Or by caliper, riser to arrow in front and behind</summary>
      <div className="caliper-grid">
        {field('front', 'In front')}
        {field('rear', 'Behind')}
        {field('nockToRest', 'Nock to rest')}
        {field('between', 'Between the two')}
        <ButtonBase className="key" onClick={() => void ask()}>
          What does that ask?
        </ButtonBase>
      </div>
      {told && (
        <p aria-live="polite">
          <b>{told.words}</b>
        </p>
      )}
    </details>
  );
}
