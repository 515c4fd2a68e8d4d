import type { QueryClient } from '@tanstack/react-query';
import {
  arrowsQuery,
  bowQuery,
  catalogueQuery,
  dozensQuery,
  newestPaperQuery,
  paperChoicesQuery,
  isEmpty,
  rackQuery,
  setupQuery,
} from '../api/queries';
import { readingAhead } from '../api/newQueries';
import * as pages from './pages';

/** How long the first drawing waits for what the page reads once its files are here: a slow server is waited for on it. */
const MOST_WAIT = 400;

/** What stands on a stop of a bow: its files, and what it reads first. */
const stops = {
  bow: { page: pages.BowStop, reads: (q: QueryClient, id: string) => [q.prefetchQuery(setupQuery(id))] },
  arrow: {
    page: pages.ArrowPage,
    reads: (q: QueryClient, id: string) => [q.prefetchQuery(arrowsQuery(id)), q.prefetchQuery(catalogueQuery())],
  },
  dozen: {
    page: pages.DozenPage,
    reads: (q: QueryClient, id: string) => [q.prefetchQuery(arrowsQuery(id)), q.prefetchQuery(dozensQuery(id))],
  },
  paper: { page: pages.PaperPage, reads: paperReads },
  groups: { page: pages.PaperPage, reads: paperReads },
  story: { page: pages.StoryPage, reads: () => [] },
};

function paperReads(queries: QueryClient, id: string): Promise<void>[] {
  return [
    queries.prefetchQuery(newestPaperQuery(id)),
    queries.prefetchQuery(arrowsQuery(id)),
    queries.prefetchQuery(dozensQuery(id)),
    queries.prefetchQuery(paperChoicesQuery(id)),
  ];
}

const isStop = (name: string | undefined): name is keyof typeof stops =>
  name !== undefined && Object.hasOwn(stops, name);

/**
 * Asks at once for what the page in the address is made of, its files and its first answers: read one after the other
 * they are most of what a first visit waits for. Resolves when it can be drawn; a slow server or a lost one is not
 * waited for longer than the page itself would say nothing.
 */
export async function readAhead(queries: QueryClient, address: Location): Promise<void> {
  const [, bows, id, stop] = address.pathname.split('/');
  readingAhead();
  const rack = queries.fetchQuery(rackQuery).then(
    (read) => (isEmpty(read) ? pages.FirstPage.fetched() : undefined),
    () => undefined,
  );
  const reads = [rack];
  let files: Promise<void> | undefined;
  if (bows === 'bows' && id && isStop(stop)) {
    // A way of a stop reads other things: they are asked for on it.
    const { page, reads: first } = stops[stop];
    reads.push(queries.prefetchQuery(bowQuery(id)), ...(address.search ? [] : first(queries, id)));
    files = page.fetched();
  }
  try {
    await files;
  } catch {
    // The page itself asks for its files once more.
    return;
  }
  let timer: ReturnType<typeof setTimeout> | undefined;
  await Promise.race([Promise.allSettled(reads), new Promise((late) => (timer = setTimeout(late, MOST_WAIT)))]);
  clearTimeout(timer);
}

/** When the first page has long been drawn. */
const LATER = 2_500;

/** Where a browser does not say when it is idle, a moment after is as good. */
const idle = () =>
  new Promise<unknown>((then) =>
    'requestIdleCallback' in window ? window.requestIdleCallback(then) : setTimeout(then, 200),
  );

/** Fetches the files of the other pages while nobody waits, a bow's stops first: a first press is as quick as the next. */
export async function fetchTheRest(): Promise<void> {
  await new Promise((then) => setTimeout(then, LATER));
  try {
    for (const page of new Set([...Object.values(stops).map((stop) => stop.page), ...Object.values(pages)])) {
      await idle();
      await page?.fetched();
    }
  } catch {
    // What could not be fetched now is asked for when it is opened.
  }
}
