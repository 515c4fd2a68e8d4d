import { useEffect, useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { useAsk } from '../api/useAsk';
import { useSteady } from '../parts/useSteady';

export interface InstrumentEvent {
  state: 'connected' | 'reading' | 'garbage' | 'lost' | 'taken-over';
  value: number | null;
  unit: string;
  stable: boolean;
  take: number | null;
  /** What is known of the pan; null for an instrument without one. */
  pan: 'unknown' | 'free' | 'taken' | null;
  why: string | null;
  simulated: boolean;
  /** The travel of the string, inches; null for any other instrument than a draw board. */
  travel: number | null;
}

type InstrumentKind = 'scale' | 'chronograph' | 'spine' | 'dial' | 'board';

/** Follows an instrument while it is on the page: the last reading, and what to take. */
export function useInstrument(
  kind: InstrumentKind,
  on: boolean,
  onTake: (value: number, event: InstrumentEvent) => void,
) {
  const [last, setLast] = useState<InstrumentEvent | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const take = useSteady(onTake);
  useEffect(() => {
    if (!on || typeof EventSource === 'undefined') return;
    const source = new EventSource(`/api/instruments/${kind}/stream`);
    source.onmessage = (message) => {
      const event = JSON.parse(message.data as string) as InstrumentEvent;
      if (event.state === 'garbage') setTrouble(event.why);
      else if (event.state === 'lost') setTrouble(event.why);
      else if (event.state === 'taken-over') {
        setTrouble(event.why);
        source.close();
      } else if (event.state === 'reading') {
        setTrouble(null);
        setLast(event);
        if (event.take !== null) take(event.take, event);
      }
    };
    source.onerror = () => setTrouble('the server does not answer');
    return () => source.close();
  }, [kind, on, take]);
  // No act that may wait: a pan that is tared later than it was pressed is worse than one that is not.
  const orders = useAsk((input: Schemas['OrderInput']) =>
    answer(api.POST('/api/instruments/{kind}/orders', { params: { path: { kind } }, body: input })),
  );
  return {
    last,
    trouble: orders.problem?.message ?? trouble,
    order: async (input: Schemas['OrderInput']) => (await orders.ask(input))?.taken ?? null,
  };
}
