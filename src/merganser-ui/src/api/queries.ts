import { useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api } from './client';

export const useRack = () => useQuery({ queryKey: ['rack'], queryFn: () => answer(api.GET('/api/rack')) });

export const useBow = (id: string | undefined) =>
  useQuery({
    queryKey: ['bow', id],
    queryFn: () => answer(api.GET('/api/bows/{id}', { params: { path: { id: id! } } })),
    enabled: id !== undefined,
  });

/** All archers of the bench, with their versions. */
export const archersQuery = { queryKey: ['archers'], queryFn: () => answer(api.GET('/api/archers')) };

/** The newest dozens of a bow, in a line each. */
export const useDozens = (bowId: string) =>
  useQuery({
    queryKey: ['dozens', bowId],
    queryFn: () => answer(api.GET('/api/bows/{bowId}/dozens', { params: { path: { bowId } } })),
  });

/** The parts that the bench picks from, and any that are named besides. */
export const useCatalogue = (also?: string) =>
  useQuery({
    queryKey: ['components', also ?? ''],
    queryFn: () => answer(api.GET('/api/components', { params: { query: { also } } })),
    staleTime: Infinity,
  });

/** What the rack and the bow show follows from every act. */
export function useRefresh(bowId: string | undefined) {
  const queries = useQueryClient();
  return () => {
    void queries.invalidateQueries({ queryKey: ['rack'] });
    void queries.invalidateQueries({ queryKey: ['bow', bowId] });
    void queries.invalidateQueries({ queryKey: ['story', bowId] });
  };
}
