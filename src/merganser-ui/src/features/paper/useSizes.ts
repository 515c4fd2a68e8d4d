import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../../api/client';

/** Which hits are looked at; none of them is all fletched arrows, from everywhere. */
interface Asked {
  kind?: Schemas['ArrowKind'];
  yards?: number;
  arrow?: string;
}

/** How well the archer of a bow shoots it. */
export const useSizes = (bowId: string, query: Asked = {}) =>
  useQuery({
    queryKey: ['group-sizes', bowId, query],
    queryFn: () => answer(api.GET('/api/bows/{id}/group-sizes', { params: { path: { id: bowId }, query } })),
    placeholderData: keepPreviousData,
  });
