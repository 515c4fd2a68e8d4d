import { notifyManager, useQueryClient, type Query } from '@tanstack/react-query';
import { useCallback, useSyncExternalStore } from 'react';
import { Refusal } from './client';

/** What is not on record, or was asked wrongly, the page says by itself; so does a server that is away. */
const broken = ({ state }: Query) =>
  state.status === 'error' && state.error instanceof Refusal && state.error.status >= 500;

/** Why a part of what the page asks for could not be read, or null; `again` asks for it once more. */
export function useUnread(): { why: string | null; again: () => void } {
  const queries = useQueryClient();
  const cache = queries.getQueryCache();
  const why = useSyncExternalStore(
    useCallback((changed) => cache.subscribe(notifyManager.batchCalls(changed)), [cache]),
    () => cache.find({ queryKey: [], exact: false, type: 'active', predicate: broken })?.state.error?.message ?? null,
  );
  const again = () => void queries.refetchQueries({ type: 'active', predicate: broken });
  return { why, again };
}
