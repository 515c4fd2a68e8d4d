import { useSyncExternalStore } from 'react';
import { onEntries, waiting, waitingOf } from './outbox';

/** What waits in this browser for the server, in order; with a scope what belongs there. */
export function useOutbox(scope?: string) {
  const all = useSyncExternalStore(onEntries, waiting);
  return scope === undefined ? all : waitingOf(scope);
}
