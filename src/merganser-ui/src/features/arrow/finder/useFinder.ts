import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { keptAs, readKept } from '../../../api/bench';
import { answer, api, faultsOf, type Schemas } from '../../../api/client';

export type Figure = Schemas['FoundFigure'];
export type Row = Schemas['FoundRow'];
export type Scale = Schemas['FinderScaleView'];
export type Search = Schemas['FinderView'];
export interface Wish {
  ranges: Schemas['WantedEntry'][];
  parts: Schemas['FinderParts'];
  mostToBuy: number | null;
  heads: Schemas['FinderHeads'];
  x: Figure;
  y: Figure;
}

/** A handle is let go of before a search begins anew. */
const AFTER = 300;

/** A search through the catalogue: what is wanted, and what was found so far. */
export function useFinder(bowId: string, arrowId: string | undefined) {
  const start = useQuery({
    queryKey: ['finder', bowId, arrowId ?? null],
    queryFn: () =>
      answer(api.GET('/api/bows/{id}/finder', { params: { path: { id: bowId }, query: { arrow: arrowId } } })),
    refetchOnWindowFocus: true,
  });
  const [said, setSaid] = useState(() => kept(bowId));
  // What an older page kept may lack a part.
  const wish = start.data ? { ...usual(start.data), ...said } : null;
  const [search, setSearch] = useState<Search | null>(null);
  const [begun, setBegun] = useState<Schemas['FinderBegun'] | null>(null);
  const [problem, setProblem] = useState<Error | null>(null);
  const [lost, setLost] = useState(false);
  const [again, setAgain] = useState(0);
  const [more, setMore] = useState<Row[]>([]);
  const first = useRef(true);
  const asked = wish === null ? null : JSON.stringify(wish);

  useEffect(() => {
    if (asked === null) return;
    let source: EventSource | null = null;
    let over = false;
    const run = async () => {
      try {
        const body = { arrow: arrowId ?? null, ...(JSON.parse(asked) as Wish) };
        const told = await answer(api.POST('/api/bows/{id}/finder', { params: { path: { id: bowId } }, body }));
        if (over) return;
        setBegun(told);
        setProblem(null);
        setLost(false);
        setMore([]);
        if (typeof EventSource === 'undefined') return;
        source = new EventSource(`/api/bows/${bowId}/finder/${told.id}/stream`);
        source.onmessage = (event) => {
          const view = JSON.parse(event.data as string) as Search;
          setSearch(view);
          if (view.state === 'done' || view.state === 'stopped') source?.close();
        };
        source.onerror = () => {
          source?.close();
          setLost(true);
        };
      } catch (error) {
        if (!over) setProblem(error as Error);
      }
    };
    const timer = setTimeout(() => void run(), first.current ? 0 : AFTER);
    first.current = false;
    return () => {
      over = true;
      clearTimeout(timer);
      // Whoever goes away stops it.
      source?.close();
    };
  }, [asked, again, arrowId, bowId]);

  const change = (next: Wish) => {
    setSaid(next);
    localStorage.setItem(keptAs(`finder-${bowId}`), JSON.stringify(next));
  };
  const path = (id: string) => ({ id: bowId, searchId: id });
  return {
    start: start.data,
    failed: start.error,
    wish,
    change,
    say: (part: Partial<Wish>) => wish && change({ ...wish, ...part }),
    range: (figure: Figure, low: string, high: string) =>
      wish && change({ ...wish, ranges: [...wish.ranges.filter((r) => r.figure !== figure), { figure, low, high }] }),
    /** Ranges that could not be read are wanted no more. */
    leaveOpen: () =>
      wish &&
      change({
        ...wish,
        ranges: wish.ranges.filter((r) => !Object.keys(faultsOf(problem)).some((name) => name.startsWith(r.figure))),
      }),
    search,
    rows: [...(search?.rows ?? []), ...more],
    read: begun?.ranges ?? [],
    empty: begun?.empty ?? null,
    faults: faultsOf(problem),
    problem,
    lost,
    /** The catalogue is another than the one that was searched. */
    stale: begun !== null && start.data !== undefined && begun.catalogue !== start.data.catalogue,
    again: () => setAgain((n) => n + 1),
    stop: async () => {
      if (begun)
        await answer(api.POST('/api/bows/{id}/finder/{searchId}/stop', { params: { path: path(begun.id) } })).catch(
          () => setLost(true),
        );
    },
    /** The next rows of the list. */
    turn: async () => {
      if (!begun) return;
      const from = (search?.rows.length ?? 0) + more.length;
      try {
        const page = await answer(
          api.GET('/api/bows/{id}/finder/{searchId}', { params: { path: path(begun.id), query: { from } } }),
        );
        setMore((rows) => [...rows, ...page.rows]);
      } catch {
        setLost(true);
      }
    },
    /** A build of the picture. */
    build: async (at: string) => {
      if (!begun) return null;
      const params = { path: { ...path(begun.id), at } };
      return await answer(api.GET('/api/bows/{id}/finder/{searchId}/builds/{at}', { params })).catch(() => {
        setLost(true);
        return null;
      });
    },
    /** One like the present arrow, so much heavier. */
    like: async (heavier: string) => {
      try {
        const query = { arrow: arrowId, heavier };
        const told = await answer(api.GET('/api/bows/{id}/finder', { params: { path: { id: bowId }, query } }));
        if (wish) change({ ...wish, ranges: told.usual });
        return null;
      } catch (error) {
        return faultsOf(error as Error).heavier?.[0] ?? (error as Error).message;
      }
    },
  };
}

export type Finder = ReturnType<typeof useFinder>;

const usual = (start: Schemas['FinderStart']): Wish => ({
  ranges: start.usual,
  parts: 'mineFirst',
  mostToBuy: start.owned > 0 ? 2 : null,
  heads: start.heads,
  x: 'speed',
  y: 'frontOfCenter',
});

const kept = (bowId: string) => readKept<Partial<Wish>>(keptAs(`finder-${bowId}`));
