import { answer, api, type Schemas } from './client';
import { useEarlier } from './useEarlier';

/** The moves of a bow, the newest first, and those before them on demand. */
export function useEarlierMoves(bow: Schemas['BowView']) {
  const rows = ({ moves, earlier }: Schemas['MovePage']) => ({ rows: moves.toReversed(), earlier });
  return useEarlier(['bow', bow.id, 'moves'], rows(bow.moves), (before) =>
    answer(api.GET('/api/bows/{id}/moves', { params: { path: { id: bow.id }, query: { before } } })).then(rows),
  );
}
