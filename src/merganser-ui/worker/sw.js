/* Keeps our own page, its files and what was read last for a reload while the server is away. One bench's answers are
   kept apart from another's: both may have stood at this address. */
/* global __FILES__ */
const FILES = __FILES__;
const BUILT = 'merganser-files-__HASH__';
const BENCH = 'Merganser-Bench';
const PAGE = '/';
const MOST_ANSWERS = 200;

const answersOf = (bench) => caches.open(`merganser-bench-${bench}`);

/** Which bench answered last. */
async function lastBench() {
  const kept = await (await caches.open('merganser-last')).match('/bench');
  return kept ? kept.text() : null;
}

async function keep(key, response) {
  const bench = response.headers.get(BENCH);
  if (!bench) return;
  if (bench !== (await lastBench())) await (await caches.open('merganser-last')).put('/bench', new Response(bench));
  const cache = await answersOf(bench);
  // What was read again is the newest: it stands last, and what was not read for long goes first.
  await cache.delete(key);
  await cache.put(key, response);
  const keys = await cache.keys();
  await Promise.all(keys.slice(0, Math.max(0, keys.length - MOST_ANSWERS)).map((old) => cache.delete(old)));
}

async function kept(key) {
  const bench = await lastBench();
  return bench ? (await answersOf(bench)).match(key) : undefined;
}

async function page(event) {
  try {
    const response = await fetch(event.request);
    if (response.ok && (response.headers.get('Content-Type') ?? '').startsWith('text/html'))
      event.waitUntil(keep(PAGE, response.clone()));
    return response;
  } catch (lost) {
    // The kept page comes with the content policy that it was given with.
    const before = await kept(PAGE);
    if (before) return before;
    throw lost;
  }
}

async function built(event) {
  return (await (await caches.open(BUILT)).match(event.request)) ?? fetch(event.request);
}

async function reading(event) {
  const key = new URL(event.request.url);
  try {
    const response = await fetch(event.request);
    if (response.ok && (response.headers.get('Content-Type') ?? '').startsWith('application/json'))
      event.waitUntil(keep(key, response.clone()));
    return response;
  } catch (lost) {
    const before = await kept(key);
    if (!before) throw lost;
    const headers = new Headers(before.headers);
    headers.set('Merganser-Kept', 'true');
    return new Response(await before.blob(), { status: before.status, headers });
  }
}

self.addEventListener('install', (event) => {
  event.waitUntil(
    (async () => {
      await (await caches.open(BUILT)).addAll(FILES);
      await keep(PAGE, await fetch(PAGE));
      await self.skipWaiting();
    })(),
  );
});

self.addEventListener('activate', (event) => {
  event.waitUntil(
    (async () => {
      const old = (await caches.keys()).filter((name) => name.startsWith('merganser-files-') && name !== BUILT);
      await Promise.all(old.map((name) => caches.delete(name)));
      await self.clients.claim();
    })(),
  );
});

self.addEventListener('fetch', (event) => {
  const url = new URL(event.request.url);
  if (event.request.method !== 'GET' || url.origin !== self.location.origin) return;
  if (event.request.mode === 'navigate') {
    if (!url.pathname.startsWith('/api/')) event.respondWith(page(event));
  } else if (url.pathname.startsWith('/assets/')) event.respondWith(built(event));
  else if (url.pathname.startsWith('/api/') && !url.pathname.startsWith('/api/instruments'))
    event.respondWith(reading(event));
});
