import { queryOptions, useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api, type Schemas } from './client';

export const rackQuery = queryOptions({ queryKey: ['rack'], queryFn: () => answer(api.GET('/api/rack')) });

export const useRack = () => useQuery(rackQuery);

/** True of a bench on which no bow was ever entered. */
export const isEmpty = (rack: Schemas['RackView']) =>
  rack.bows.length === 0 && rack.archived.length === 0 && rack.unreadable.length === 0;

export const bowQuery = (id: string) =>
  queryOptions({
    queryKey: ['bow', id],
    queryFn: () => answer(api.GET('/api/bows/{id}', { params: { path: { id } } })),
  });

export const useBow = (id: string | undefined) => useQuery({ ...bowQuery(id!), enabled: id !== undefined });

/** What a bow's work order, adjusters and due dates are made from. */
export const setupQuery = (bowId: string) =>
  queryOptions({
    queryKey: ['setup', bowId],
    queryFn: () => answer(api.GET('/api/bows/{id}/setup', { params: { path: { id: bowId } } })),
  });

/** The arrows of a bow, the newest first. */
export const arrowsQuery = (bowId: string) =>
  queryOptions({
    queryKey: ['arrows', bowId],
    queryFn: () => answer(api.GET('/api/bows/{bowId}/arrows', { params: { path: { bowId } } })),
  });

export const newestPaperQuery = (bowId: string) =>
  queryOptions({
    queryKey: ['papers', bowId, 'newest'],
    queryFn: () => answer(api.GET('/api/bows/{bowId}/papers/newest', { params: { path: { bowId } } })),
  });

/** What a paper of a bow can be begun with. */
export const paperChoicesQuery = (bowId: string) =>
  queryOptions({
    queryKey: ['paper-choices', bowId],
    queryFn: () => answer(api.GET('/api/bows/{bowId}/paper-choices', { params: { path: { bowId } } })),
    staleTime: Infinity,
  });

/** All archers of the bench, with their versions. */
export const archersQuery = { queryKey: ['archers'], queryFn: () => answer(api.GET('/api/archers')) };

/** The newest dozens of a bow, in a line each. */
export const dozensQuery = (bowId: string) =>
  queryOptions({
    queryKey: ['dozens', bowId],
    queryFn: () => answer(api.GET('/api/bows/{bowId}/dozens', { params: { path: { bowId } } })),
  });

export const useDozens = (bowId: string) => useQuery(dozensQuery(bowId));

/** The parts that the bench picks from, and any that are named besides. */
export const catalogueQuery = (also?: string) =>
  queryOptions({
    queryKey: ['components', also ?? ''],
    queryFn: () => answer(api.GET('/api/components', { params: { query: { also } } })),
    staleTime: Infinity,
  });

export const useCatalogue = (also?: string) => useQuery(catalogueQuery(also));

/** What the rack and the bow show follows from every act. */
export function useRefresh(bowId: string | undefined) {
  const queries = useQueryClient();
  return () => {
    void queries.invalidateQueries({ queryKey: ['rack'] });
    void queries.invalidateQueries({ queryKey: ['bow', bowId] });
    void queries.invalidateQueries({ queryKey: ['story', bowId] });
  };
}
