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
  const typed = marks.trim();
  const asked = (steps: string) => {
    const query = { arrow, set, marks: steps || undefined };
    return {
      query,
      queryKey: ['flight', bowId, arrow ?? null, set ?? null, steps],
      queryFn: () => answer(api.GET('/api/bows/{id}/flight', { params: { path, query } })),
    };
  };
  const [own, usual] = [asked(typed), asked('')];
  const flight = useQuery({ queryKey: own.queryKey, queryFn: own.queryFn, placeholderData: keepPreviousData });
  /** Marks that cannot be read take nothing else away. */
  const unread = flight.isError && !flight.data && typed !== '';
  const without = useQuery({ queryKey: usual.queryKey, queryFn: usual.queryFn, enabled: unread });
  const { query, queryKey: key } = unread ? usual : own;
  const taken = (view: Flight | null) => {
    if (!view) return false;
    queries.setQueryData(key, view);
    void queries.invalidateQueries({ queryKey: ['flight', bowId], refetchType: 'none' });
    return true;
  };
  const view = flight.data ?? (unread ? without.data : undefined);
  const said = saying ?? view?.said;
  return {
    view,
    failed: unread ? without.error : flight.error,
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
        answer(api.POST('/api/bows/{id}/flight', { params: { path, query }, body: { id, ...next } })),
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
              params: { path, query: { ...query, arrow: undefined } },
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
              params: { path, query },
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
