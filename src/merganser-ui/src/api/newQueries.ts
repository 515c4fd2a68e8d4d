import { MutationCache, QueryClient, type Query } from '@tanstack/react-query';
import { Refusal } from './client';

/**
 * What is read from the server. A refusal is final; a lost server is asked twice more, and once it answers again all
 * that is on the page is read anew: nothing stays wrong because it was asked for while the server was away. What was
 * asked for before an act was done, and is still under way when it is, is asked for anew: it may say how it was before.
 */
export function newQueries(): QueryClient {
  const queries: QueryClient = new QueryClient({
    mutationCache: new MutationCache({ onSuccess: () => void queries.invalidateQueries({ predicate: maySayBefore }) }),
    defaultOptions: {
      queries: {
        retry: (count, error) => !(error instanceof Refusal) && count < 2,
        networkMode: 'always',
        refetchOnReconnect: true,
      },
      mutations: { networkMode: 'always' },
    },
  });
  return queries;
}

/** Under way, of the record, and no further page of something that was pressed for. */
const maySayBefore = ({ state, meta }: Query) =>
  state.fetchStatus === 'fetching' && !meta?.ofWhatIsSent && !state.fetchMeta?.fetchMore;
