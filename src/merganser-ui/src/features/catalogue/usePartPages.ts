import { keepPreviousData, useQueries } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../../api/client';

/** Parts on one page of the server's list. */
const PAGE = 200;

export interface Wanted {
  kind: Schemas['ComponentClass'];
  find: string;
  retired: boolean;
  sort?: string;
  down?: boolean;
}

/** The pages of a list that are looked at; a row that is not here yet is null. */
export function usePartPages(wanted: Wanted, first: number, last: number) {
  const from = Math.max(0, Math.floor(first / PAGE));
  const to = Math.max(from, Math.floor(last / PAGE));
  const numbers = Array.from({ length: to - from + 1 }, (_, i) => from + i);
  const pages = useQueries({
    queries: numbers.map((page) => {
      const query = { ...wanted, skip: page * PAGE };
      return {
        queryKey: ['catalogue', query],
        queryFn: () => answer(api.GET('/api/catalogue', { params: { query } })),
        placeholderData: keepPreviousData,
      };
    }),
  });
  const known = pages.find((p) => p.data)?.data;
  return {
    found: known?.found ?? 0,
    all: known?.all ?? null,
    row: (at: number) => pages[Math.floor(at / PAGE) - from]?.data?.rows[at % PAGE] ?? null,
  };
}
