import { MutationCache, QueryClient, type Query } from '@tanstack/react-query';
import { afterPaint } from './afterPaint';
import { isFromBefore, Refusal } from './client';
import { keepWhatIsAnswered } from './keepForLater';

let justRead = false;

/** What is read now is for the first drawing of the page, which does not read it once more. */
export function readingAhead(): void {
  justRead = true;
}

/** The page is drawn: what is shown from now on is read anew. */
export function readIsOld(): void {
  justRead = false;
}

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
        staleTime: () => (justRead ? Infinity : 0),
        // What is shown already is read anew after the frame that it stands in: a page that is opened is seen first.
        persister: async (read, context, query) => {
          if (query.state.data !== undefined) await afterPaint();
          const said = await read(context);
          return isFromBefore(said) ? (query.state.data ?? said) : said;
        },
      },
      mutations: { networkMode: 'always' },
    },
  });
  keepWhatIsAnswered(queries);
  return queries;
}

/** Under way, of the record, and no further page of something that was pressed for. */
const maySayBefore = ({ state, meta }: Query) =>
  state.fetchStatus === 'fetching' && !meta?.ofWhatIsSent && !state.fetchMeta?.fetchMore;
