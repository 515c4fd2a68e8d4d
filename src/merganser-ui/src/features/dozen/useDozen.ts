import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import { answer, api, farOf, type Schemas } from '../../api/client';
import { useDozens, useRefresh } from '../../api/queries';
import { shownAtOnce, useActs } from '../../api/useActs';

export type Dozen = Schemas['DozenView'];
type TrayArrow = Dozen['tray'][number];
export type EntryInput = Omit<Schemas['EntryInput'], 'id'>;

/**
 * The dozens of a bow, one of them whole (the newest unless another is wanted), and every act on it; each act has one
 * id, so that trying it again is safe.
 */
export function useDozen(bowId: string, wanted: string | null) {
  const queries = useQueryClient();
  const refresh = useRefresh(bowId);
  const acts = useActs(`dozen ${bowId}`);
  const tray = (dozenId: string, change: (arrow: TrayArrow) => TrayArrow) =>
    shownAtOnce<Dozen>(['dozens', dozenId, 'whole'], (dozen) => ({ ...dozen, tray: dozen.tray.map(change) }));
  /** A tick of the build list stands at once: it can be taken back. */
  const ticked = (dozenId: string, number: number, step: string) =>
    tray(dozenId, (a) => (a.number === number ? { ...a, tickIds: { ...a.tickIds, [step]: '' } } : a));
  const unticked = (dozenId: string, entryId: string) =>
    tray(dozenId, (a) => ({
      ...a,
      tickIds: Object.fromEntries(Object.entries(a.tickIds).filter(([, id]) => id !== entryId)),
    }));
  const stop = useRef<AbortController | null>(null);
  const dozens = useDozens(bowId);
  const shown = wanted ?? dozens.data?.dozens[0]?.id ?? null;
  const whole = useQuery({
    queryKey: ['dozens', shown, 'whole'],
    queryFn: () => answer(api.GET('/api/dozens/{id}', { params: { path: { id: shown! } } })),
    enabled: shown !== null,
  });
  const act = async (
    what: string,
    call: (id: string) => Promise<Dozen>,
    change?: Parameters<typeof acts.act>[2],
  ): Promise<Dozen | null> => {
    const dozen = await acts.act(what, call, change);
    if (!dozen) return null;
    queries.setQueryData<Dozen>(['dozens', dozen.id, 'whole'], dozen);
    refresh();
    if (what.startsWith('withdraw') || what.includes('"plan"')) void dozens.refetch();
    return dozen;
  };
  return {
    /** The newest dozens, in a line each. */
    lines: dozens.data?.dozens ?? [],
    /** The one in work; null for a bow without any, undefined while it is fetched. */
    dozen: dozens.data && shown === null ? null : whole.data,
    /** What could not be read: the list of dozens, the one in work. */
    unread: [dozens.error, whole.error] as const,
    /** Reads anew what stands on the server. */
    reread: () => void queries.invalidateQueries({ queryKey: ['dozens'] }),
    problem: acts.problem,
    /** The weight that was refused is asked about: it may be kept all the same. */
    asked: farOf(acts.problem),
    busy: acts.busy,
    clear: acts.clear,
    unreachable: acts.unreachable,
    faults: acts.faults,
    start: (input: Omit<Schemas['DozenInput'], 'id'>) =>
      act(`start ${JSON.stringify(input)}`, (id) =>
        answer(api.POST('/api/bows/{bowId}/dozens', { params: { path: { bowId } }, body: { ...input, id } })),
      ).then((started) => {
        void dozens.refetch();
        return started;
      }),
    enter: (dozenId: string, entry: EntryInput) =>
      act(
        `entry ${dozenId} ${JSON.stringify(entry)}`,
        (id) =>
          answer(api.POST('/api/dozens/{id}/entries', { params: { path: { id: dozenId } }, body: { ...entry, id } })),
        entry.kind === 'tick' ? ticked(dozenId, entry.number!, entry.word!) : undefined,
      ),
    /** Weights of a table, looked at before: those that were asked about are kept too. */
    weights: (dozenId: string, kind: string, text: string) =>
      act(`weights ${kind} ${text}`, (id) =>
        answer(
          api.POST('/api/dozens/{id}/weights', {
            params: { path: { id: dozenId } },
            body: { id, class: kind, text, sure: true },
          }),
        ),
      ),
    withdraw: (dozenId: string, entryId: string) =>
      act(
        `withdraw ${entryId}`,
        () =>
          answer(api.POST('/api/dozens/{id}/withdrawals/{entryId}', { params: { path: { id: dozenId, entryId } } })),
        unticked(dozenId, entryId),
      ),
    match: (dozenId: string, options: Omit<Schemas['MatchOptions'], 'id'>) => {
      stop.current = new AbortController();
      return act(`match ${dozenId} ${JSON.stringify(options)} ${Date.now()}`, (id) =>
        answer(
          api.POST('/api/dozens/{id}/match', {
            params: { path: { id: dozenId } },
            body: { ...options, id },
            signal: stop.current!.signal,
          }),
        ),
      );
    },
    cancel: () => stop.current?.abort(),
  };
}

export type DozenWork = ReturnType<typeof useDozen>;

/** What is weighed next: the spares of what is being weighed as well, then the first class that lacks pieces. */
export function toWeigh<C extends Pick<Dozen['classes'][number], 'pieces' | 'wanted' | 'missing'>>(
  classes: C[],
): C | undefined {
  const last = classes.findLast((c) => c.pieces.length > 0);
  const spares = last && last.missing === 0 && last.pieces.length < last.wanted;
  return spares ? last : classes.find((c) => c.missing > 0);
}
