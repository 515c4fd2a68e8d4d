import { useState } from 'react';
import { answer, api, type Schemas } from '../../api/client';
import { useAsk } from '../../api/useAsk';
import { Caution } from '../../parts/Note';
import { Field, Select } from '../../parts/Field';
import type { Quantity } from '../../units/units';
import { Key } from '../../parts/Buttons';
import type { Draft } from './parts';
import { TryWords } from './TryWords';
import keys from './TryKey.module.css';
import s from './AskPanel.module.css';

type Wanted = Schemas['Wanted'];

const wants: { value: Wanted; label: string; of: string; quantity: Quantity }[] = [
  { value: 'pointForFrontOfCenter', label: 'Point for a front of center', of: 'Wanted FOC, %', quantity: 'number' },
  { value: 'pointForWeight', label: 'Point for a weight', of: 'Wanted total weight', quantity: 'weight' },
  { value: 'lengthForWeight', label: 'Length for a weight', of: 'Wanted total weight', quantity: 'weight' },
  { value: 'spineForFit', label: 'Spine for a fit', of: 'Wanted fit', quantity: 'number' },
];

/** Asks for a value instead of trying parts: the exact answer, and what is in stock next to it. */
export function AskPanel({ bowId, draft, onTry }: { bowId: string; draft: Draft; onTry: (draft: Draft) => void }) {
  const [wanted, setWanted] = useState<Wanted>('pointForFrontOfCenter');
  const [value, setValue] = useState('12');
  const {
    told,
    problem,
    faults,
    ask: send,
    clear,
  } = useAsk((body: Schemas['AskInput']) => answer(api.POST('/api/figures/ask', { body })));
  const fault = faults.value?.[0] ?? problem?.message;
  const want = wants.find((w) => w.value === wanted)!;
  const ask = () => void send({ bowId, draft, wanted, value });
  return (
    <div>
      <div className={s.form}>
        <Select
          label="What is asked for"
          name="wanted"
          value={wanted}
          onChange={(next) => {
            setWanted(next as Wanted);
            clear();
          }}
          choices={wants}
        />
        <Field
          label={want.of}
          name="wantedValue"
          quantity={want.quantity}
          value={value}
          onChange={setValue}
          fault={fault}
          onEnter={ask}
        />
        <Key className={s.ask} onClick={ask}>
          Ask
        </Key>
      </div>
      {told && !problem && (
        <div aria-live="polite">
          <p data-testid="asked">
            <b>{told.words}</b>
          </p>
          {told.cautions.map((caution) => (
            <Caution key={caution.code} caution={caution} />
          ))}
          <div className={s.answers}>
            {told.inStock.map(({ effect, draft: change }) => (
              <Key key={effect.label} className={keys.try} onClick={() => change && onTry(change)}>
                <TryWords effect={effect} />
              </Key>
            ))}
          </div>
        </div>
      )}
    </div>
  );
}
