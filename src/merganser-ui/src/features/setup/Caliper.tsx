import { useState } from 'react';
import { answer, api, Refusal } from '../../api/client';
import { useAsk } from '../../api/useAsk';
import { Field } from '../../parts/Field';
import { Key } from '../../parts/Buttons';
import { Fold } from '../../parts/Fold';
import l from '../../parts/layout.module.css';

const empty = { front: '', rear: '', nockToRest: '', between: '' };

/** Centre shot by caliper: riser to arrow in front and behind, and how far the rest moves. */
export function Caliper({ bowId, onMoved }: { bowId: string; onMoved: (to: number) => Promise<boolean> }) {
  const [typed, setTyped] = useState(empty);
  const caliper = useAsk((body: typeof empty) =>
    answer(api.POST('/api/bows/{id}/caliper', { params: { path: { id: bowId } }, body })),
  );
  const faults: Record<string, string[]> =
    caliper.problem && !(caliper.problem instanceof Refusal) ? { front: [caliper.problem.message] } : caliper.faults;
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
    <Fold words="Or by caliper, riser to arrow in front and behind">
      <div className={l.smallFields}>
        {field('front', 'In front')}
        {field('rear', 'Behind')}
        {field('nockToRest', 'Nock to rest')}
        {field('between', 'Between the two')}
        <Key onClick={() => void caliper.ask(typed)}>What does that ask?</Key>
      </div>
      {caliper.told && (
        <div aria-live="polite">
          <p>
            <b>{caliper.told.words}</b>
          </p>
          {caliper.told.to !== null && (
            <p className={l.row}>
              {caliper.told.clicks}
              <Key onClick={() => void onMoved(caliper.told!.to!).then((ok) => ok && setTyped(empty))}>
                I moved it so
              </Key>
            </p>
          )}
        </div>
      )}
    </Fold>
  );
}
