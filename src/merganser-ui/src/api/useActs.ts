import {
  onlineManager,
  useMutation,
  useMutationState,
  useQueryClient,
  type QueryClient,
  type QueryKey,
} from '@tanstack/react-query';
import { useCallback, useRef } from 'react';
import { faultsOf, newId, Unreachable } from './client';
import { askAgain } from './connection';
import { canQueue, mayWait, Queued, type Meant } from './outbox';

type Undo = () => void;

/** One act on the server: the same id from the first press to the last retry, so that it is done once. */
interface Act {
  id: string;
  call: (id: string) => Promise<unknown>;
  change?: (queries: QueryClient) => Undo;
}

const AWAY = new Unreachable();

/** An act that waits in this browser until the server has it: what follows goes on. */
export const QUEUED = 'queued';
export type IsQueued = typeof QUEUED;

/**
 * Acts on the server, one after the other. What finds no server waits for it, in order, and goes through by itself. A
 * refused act may be tried again as it is: it keeps its id until it has gone through.
 */
export function useActs(scope: string) {
  const queries = useQueryClient();
  const mutationKey = ['act', scope];
  /** The ids of what has not gone through yet, and what is under way, by its name. */
  const ids = useRef(new Map<string, string>());
  const going = useRef(new Map<string, { done: Promise<unknown>; giveUp: (nothing: null) => void }>());
  const last = useRef<string | null>(null);
  const mutation = useMutation<unknown, Error, Act, Undo | undefined>({
    mutationKey,
    scope: { id: scope },
    networkMode: 'online',
    retry: (_, error) => error instanceof Unreachable,
    retryDelay: 0,
    mutationFn: (act) => act.call(act.id),
    onMutate: (act) => act.change?.(queries),
    onError: (_error, _act, undo) => undo?.(),
  });
  /** What may wait in the browser is never held back here: it goes into the queue, behind what waits there. */
  const queueing = useMutation<unknown, Error, Act>({
    mutationKey: ['act', `${scope} that may wait`],
    scope: { id: `${scope} that may wait` },
    networkMode: 'always',
    retry: false,
    mutationFn: ({ call, id }) =>
      call(id).catch((error: unknown) => {
        if (error instanceof Queued) return QUEUED;
        throw error;
      }),
  });
  const waiting = useMutationState({
    filters: { mutationKey, status: 'pending' },
    select: ({ state }) => state.failureReason instanceof Unreachable || (state.isPaused && !onlineManager.isOnline()),
  });
  const lost = waiting.includes(true) ? AWAY : null;
  const refused = mutation.error ?? queueing.error;
  const problem = refused && refused.name !== 'AbortError' ? refused : lost;

  const { mutateAsync, reset } = mutation;
  const { mutateAsync: queueAsync, reset: resetQueueing } = queueing;
  const isLost = lost !== null;

  const clear = useCallback(() => {
    const newest = last.current;
    const waiting = newest === null ? undefined : going.current.get(newest);
    if (isLost && newest !== null && waiting) {
      going.current.delete(newest);
      // Whoever waits for it goes on without it.
      waiting.giveUp(null);
      const id = ids.current.get(newest);
      const cache = queries.getMutationCache();
      const left = cache.find({ predicate: (act) => (act.state.variables as Act | undefined)?.id === id });
      if (left) cache.remove(left);
    }
    reset();
    resetQueueing();
  }, [isLost, queries, reset, resetQueueing]);

  const act = useCallback(
    <T>(what: string, call: (id: string) => Promise<T>, change?: Act['change'], waits?: Meant): Promise<T | null> => {
      const same = going.current.get(what);
      if (same) {
        void askAgain();
        return same.done as Promise<T | null>;
      }
      const id = ids.current.get(what) ?? newId();
      ids.current.set(what, id);
      last.current = what;
      let giveUp: (nothing: null) => void = () => undefined;
      const given = new Promise<null>((resolve) => (giveUp = resolve));
      const mayQueue = waits !== undefined && canQueue();
      if (mayQueue) mayWait(id, waits);
      const said = (mayQueue ? queueAsync({ id, call }) : mutateAsync({ id, call, change }))
        .then((answer) => {
          ids.current.delete(what);
          return answer as T;
        })
        .catch(() => null)
        .finally(() => going.current.get(what)?.giveUp === giveUp && going.current.delete(what));
      const done = Promise.race([said, given]);
      going.current.set(what, { done, giveUp });
      return done;
    },
    [mutateAsync, queueAsync],
  );

  return {
    problem,
    /** Under way; what waits for the server is not: it can be given up. */
    busy: (mutation.isPending && !isLost) || queueing.isPending,
    unreachable: problem instanceof Unreachable,
    faults: faultsOf(problem),
    /** What was wrong is seen. If the newest act waits for the server it is given up: something else is meant. */
    clear,
    /**
     * Does `call` under the name `what`; answers with what the server said, or null when it was refused. The same thing
     * asked for again while it is under way is the same act, and has a lost server asked at once. With `change` the page
     * shows at once how it will be, and takes it back when it is refused.
     */
    act,
    /** The same for what may wait in this browser: where no server answers it is queued there, and what follows goes on. */
    actOrQueue: <T>(what: string, waits: Meant, call: (id: string) => Promise<T>) =>
      act<T | IsQueued>(what, call, undefined, waits),
  };
}

/** Shows at once in one answer of the server how it will be; answers with the way back. */
export function shownAtOnce<T>(key: QueryKey, change: (now: T) => T): (queries: QueryClient) => Undo {
  return (queries) => {
    const before = queries.getQueryData<T>(key);
    if (before === undefined) return () => undefined;
    queries.setQueryData<T>(key, change(before));
    return () => queries.setQueryData<T>(key, before);
  };
}
