import { QueryClient } from '@tanstack/react-query';
import { Refusal } from './client';

/**
 * What is read from the server. A refusal is final; a lost server is asked twice more, and once it answers again all
 * that is on the page is read anew: nothing stays wrong because it was asked for while the server was away.
 */
export const newQueries = (): QueryClient =>
  new QueryClient({
    defaultOptions: {
      queries: {
        retry: (count, error) => !(error instanceof Refusal) && count < 2,
        networkMode: 'always',
        refetchOnReconnect: true,
      },
      mutations: { networkMode: 'always' },
    },
  });
