import { ButtonBase } from '@mui/material';
import { useState } from 'react';
import { answer, api, Refusal, type Schemas } from '../../api/client';
import { Caution } from '../../parts/Caution';
import { Field, Select } from '../../parts/Field';
import type { Quantity } from '../../units/units';
import type { Draft } from './parts';
import { TryWords } from './TryWords';

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
  const [told, setTold] = useState<Schemas['AskAnswer'] | null>(null);
  const [fault, setFault] = useState<string | undefined>();
  const want = wants.find((w) => w.value === wanted)!;
  const ask = async () => {
    try {
      setTold(await answer(api.POST('/api/figures/ask', { body: { bowId, draft, wanted, value } })));
      setFault(undefined);
    } catch (error) {
      setTold(null);
      setFault((error instanceof Refusal && error.errors.value?.[0]) || (error as Error).message);
    }
  };
  return (
    <div className="ask">
      <div className="ask-form">
        <Select
          label="What is asked for"
          name="wanted"
          value={wanted}
          onChange={(next) => {
            setWanted(next as Wanted);
            setTold(null);
            setFault(undefined);
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
          onEnter={() => void ask()}
        />
        <ButtonBase className="key" onClick={() => void ask()}>
          Ask
        </ButtonBase>
      </div>
      {told && (
        <div aria-live="polite">
          <p data-testid="asked">
            <b>{told.words}</b>
          </p>
          {told.cautions.map((caution) => (
            <Caution key={caution.code} caution={caution} />
          ))}
          <div className="row">
            {told.inStock.map(({ effect, draft: change }) => (
              <ButtonBase key={effect.label} className="key try" onClick={() => change && onTry(change)}>
                <TryWords effect={effect} />
              </ButtonBase>
            ))}
          </div>
        </div>
      )}
    </div>
  );
}
