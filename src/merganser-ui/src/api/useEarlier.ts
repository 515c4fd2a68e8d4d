import { useInfiniteQuery, type QueryKey } from '@tanstack/react-query';
import { useState } from 'react';

interface Page<Row, Cursor> {
  rows: Row[];
  /** From where the page before it is asked for; null when there is none. */
  earlier: Cursor | null;
}

/**
 * A long list: its newest page comes with another answer, the pages before it are fetched when they are asked for.
 * Their key begins with that answer's, so that what reads the one anew reads the others too.
 */
export function useEarlier<Row, Cursor extends string | number>(
  key: QueryKey,
  newest: Page<Row, Cursor>,
  load: (before: Cursor) => Promise<Page<Row, Cursor>>,
) {
  const [asked, setAsked] = useState(false);
  const from = newest.earlier;
  const pages = useInfiniteQuery({
    queryKey: [...key, 'earlier', from],
    enabled: asked && from !== null,
    initialPageParam: from as Cursor,
    queryFn: ({ pageParam }) => load(pageParam as Cursor),
    getNextPageParam: (last) => last.earlier,
  });
  const shown = asked ? (pages.data?.pages ?? []) : [];
  return {
    rows: [...newest.rows, ...shown.flatMap((page) => page.rows)],
    more: asked && pages.data ? pages.hasNextPage : from !== null,
    busy: pages.isFetching,
    problem: pages.error,
    fetchMore: () => (asked && pages.data ? void pages.fetchNextPage() : asked ? void pages.refetch() : setAsked(true)),
  };
}
