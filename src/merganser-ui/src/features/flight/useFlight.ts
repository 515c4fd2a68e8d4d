import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { keptAs } from '../../api/bench';
import { answer, api, faultsOf, type Schemas } from '../../api/client';
import { useActs } from '../../api/useActs';

export type Flight = Schemas['FlightView'];
export type Said = Schemas['FlightEntry'];

const slot = (bowId: string) => keptAs(`steps-${bowId}`);

/** An arrow's flight from a bow: what is asked of it, what is said of it, and what was proven on the range. */
export function useFlight(bowId: string, arrow: string | undefined) {
  const [set, setSet] = useState<number | undefined>(undefined);
  /** For which distances marks are shown, as typed; this browser remembers it. */
  const [marks, setMarks] = useState(() => localStorage.getItem(slot(bowId)) ?? '');
  /** What is said and not yet answered. */
  const [saying, setSaying] = useState<Said | null>(null);
  const queries = useQueryClient();
  const acts = useActs(`flight ${bowId}`);
  const path = { id: bowId };
  const query = { arrow, set, marks: marks.trim() || undefined };
  const key = ['flight', bowId, arrow ?? null, set ?? null, marks.trim()];
  const flight = useQuery({
    queryKey: key,
    queryFn: () => answer(api.GET('/api/bows/{id}/flight', { params: { path, query } })),
    placeholderData: keepPreviousData,
  });
  const typed = marks.trim() !== '';
  /** Marks that cannot be read take nothing else away. */
  const usual = useQuery({
    queryKey: ['flight', bowId, arrow ?? null, set ?? null, ''],
    queryFn: () => answer(api.GET('/api/bows/{id}/flight', { params: { path, query: { arrow, set } } })),
    enabled: flight.isError && typed,
  });
  const sent = flight.isError ? { arrow, set } : query;
  const taken = (view: Flight | null) => {
    if (!view) return false;
    queries.setQueryData(key, view);
    void queries.invalidateQueries({ queryKey: ['flight', bowId], refetchType: 'none' });
    return true;
  };
  const view = flight.data ?? (typed ? usual.data : undefined);
  const said = saying ?? view?.said;
  return {
    view,
    failed: flight.isError && !(typed && usual.isPending),
    set,
    setSet,
    marks,
    setMarks: (text: string) => {
      setMarks(text);
      localStorage.setItem(slot(bowId), text);
    },
    /** Why no marks are shown for what was typed. */
    marksFault: faultsOf(flight.error).marks?.[0],
    said,
    /** Shown at once, kept by the server behind what was said before. */
    say: async (part: Partial<Said>) => {
      if (!said) return false;
      const next = { ...said, ...part };
      setSaying(next);
      const view = await acts.act(`say ${JSON.stringify(next)}`, (id) =>
        answer(api.POST('/api/bows/{id}/flight', { params: { path, query: sent }, body: { id, ...next } })),
      );
      if (!taken(view)) return false;
      setSaying((now) => (now === next ? null : now));
      return true;
    },
    prove: (mark: Omit<Schemas['ProvenInput'], 'id' | 'arrow'>) =>
      acts
        .act(`prove ${JSON.stringify(mark)}`, (id) =>
          answer(
            api.POST('/api/bows/{id}/proven', {
              params: { path, query: { ...sent, arrow: undefined } },
              body: { id, arrow: arrow ?? null, ...mark },
            }),
          ),
        )
        .then(taken),
    measureSight: (eyeToPin: string) =>
      acts
        .act(`sight ${eyeToPin}`, (id) =>
          answer(
            api.POST('/api/bows/{id}/sight', {
              params: { path, query: sent },
              body: { id, eyeToPin, click: view?.click ?? '' },
            }),
          ),
        )
        .then(taken),
    problem: acts.problem,
    faults: acts.faults,
    busy: acts.busy,
    clear: acts.clear,
  };
}

export type FlightWork = ReturnType<typeof useFlight>;
