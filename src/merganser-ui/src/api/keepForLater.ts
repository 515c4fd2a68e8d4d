import type { QueryClient } from '@tanstack/react-query';

/**
 * Lets this browser keep our own page, its files and what was read last, so that a reload shows them while the server
 * is away. Nothing but this origin's own answers is kept.
 */
export function keepForLater(): void {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return;
  // Where the browser will not, a reload needs the server: nothing else changes.
  void navigator.serviceWorker.register('/sw.js').catch(() => undefined);
}

/** Milliseconds of quiet after an act. */
const QUIET = 700;

/**
 * What an act answered with is shown without being read, and the browser keeps what is read: it is read once more when
 * the hand rests, so that a reload while the server is away shows the record as it was left.
 */
export function keepWhatIsAnswered(queries: QueryClient): void {
  const waiting = new Map<string, ReturnType<typeof setTimeout>>();
  queries.getQueryCache().subscribe((event) => {
    if (event.type !== 'updated' || event.action.type !== 'success' || !event.action.manual) return;
    if (!navigator.serviceWorker?.controller) return;
    const { queryHash, queryKey } = event.query;
    const read = () => {
      if (queries.isMutating() > 0) return wait();
      waiting.delete(queryHash);
      void queries.refetchQueries({ queryKey, exact: true });
    };
    const wait = () => {
      clearTimeout(waiting.get(queryHash));
      waiting.set(queryHash, setTimeout(read, QUIET));
    };
    wait();
  });
}
