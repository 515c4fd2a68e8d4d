import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { answer, api, newId, Refusal, Unreachable, type Schemas } from '../../api/client';
import { useRefresh } from '../../bench/queries';

export type Dozen = Schemas['DozenView'];
export type EntryInput = Omit<Schemas['EntryInput'], 'id'>;

/** The dozens of a bow and every act on them; each act has one id, so that trying it again is safe. */
export function useDozen(bowId: string) {
  const queries = useQueryClient();
  const refresh = useRefresh(bowId);
  const [problem, setProblem] = useState<Error | null>(null);
  const [busy, setBusy] = useState(false);
  const pending = useRef<{ what: string; id: string } | null>(null);
  const stop = useRef<AbortController | null>(null);
  const dozens = useQuery({
    queryKey: ['dozens', bowId],
    queryFn: () => answer(api.GET('/api/bows/{bowId}/dozens', { params: { path: { bowId } } })),
  });
  const idFor = (what: string) => {
    if (pending.current?.what !== what) pending.current = { what, id: newId() };
    return pending.current.id;
  };
  const act = async (what: string, call: (id: string) => Promise<Dozen>): Promise<Dozen | null> => {
    setBusy(true);
    try {
      const dozen = await call(idFor(what));
      pending.current = null;
      setProblem(null);
      queries.setQueryData<Dozen[]>(['dozens', bowId], (all) => [
        dozen,
        ...(all ?? []).filter((d) => d.id !== dozen.id),
      ]);
      refresh();
      return dozen;
    } catch (error) {
      if ((error as Error).name !== 'AbortError') setProblem(error as Error);
      return null;
    } finally {
      setBusy(false);
    }
  };
  return {
    dozens,
    problem,
    busy,
    clear: () => setProblem(null),
    unreachable: problem instanceof Unreachable,
    faults: problem instanceof Refusal ? problem.errors : {},
    start: (input: Omit<Schemas['DozenInput'], 'id'>) =>
      act(`start ${JSON.stringify(input)}`, (id) =>
        answer(api.POST('/api/bows/{bowId}/dozens', { params: { path: { bowId } }, body: { ...input, id } })),
      ),
    enter: (dozenId: string, entry: EntryInput) =>
      act(`entry ${dozenId} ${JSON.stringify(entry)}`, (id) =>
        answer(api.POST('/api/dozens/{id}/entries', { params: { path: { id: dozenId } }, body: { ...entry, id } })),
      ),
    weights: (dozenId: string, kind: string, text: string) =>
      act(`weights ${kind} ${text}`, () =>
        answer(
          api.POST('/api/dozens/{id}/weights', { params: { path: { id: dozenId } }, body: { class: kind, text } }),
        ),
      ),
    withdraw: (dozenId: string, entryId: string) =>
      act(`withdraw ${entryId}`, () =>
        answer(api.POST('/api/dozens/{id}/withdrawals/{entryId}', { params: { path: { id: dozenId, entryId } } })),
      ),
    match: (dozenId: string, options: Omit<Schemas['MatchOptions'], 'id'>) => {
      stop.current = new AbortController();
      return act(`match ${dozenId} ${JSON.stringify(options)} ${Date.now()}`, (id) =>
        answer(
          api.POST('/api/dozens/{id}/match', {
            params: { path: { id: dozenId } },
            body: { ...options, id },
            signal: stop.current!.signal,
          }),
        ),
      );
    },
    cancel: () => stop.current?.abort(),
  };
}

export type DozenBench = ReturnType<typeof useDozen>;
