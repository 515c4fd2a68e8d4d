import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { bench, benchHeader, OtherBench, sameBench } from './bench';
import { connectionFound, connectionLost, whenFound } from './connection';

/** What an entry is: what is entered after it may hang on it. */
export type EntryKind = 'shot' | 'mark' | 'move' | 'set' | 'paper' | 'accept' | 'check';

/** What is entered of one bow goes in one order: a shot hangs on how the bow stood. */
export const bowScope = (bowId: string) => `bow ${bowId}`;

/** What an act is that may wait for a lost server. */
export interface Meant {
  /** What it belongs to. */
  scope: string;
  kind: EntryKind;
  /** As it is said on the bench. */
  words: string;
  /** What opens a set: the one that is shot into without it. */
  after?: string;
}

/** An entry that waits in this browser until the server has it. */
export interface Entry extends Meant {
  n: number;
  id: string;
  bench: string;
  method: string;
  path: string;
  body: string;
  at: string;
  /** Why the server refused it; null while it waits. */
  refused: string | null;
  /** True where it was only asked whether it is so. */
  asked: boolean;
}

interface Kept extends DBSchema {
  entries: { key: number; value: Entry; indexes: { bench: string } };
}

/** It was not sent, and waits in the browser. */
export class Queued extends Error {
  constructor() {
    super('Kept in this browser until the server is back.');
  }
}

let file: Promise<IDBPDatabase<Kept>> | null = null;
let entries: readonly Entry[] = [];
let sending: Promise<void> | null = null;
let again = false;
const meant = new Map<string, Meant>();
const readers = new Set<() => void>();
const hearers = new Set<() => void>();

const opened = () =>
  (file ??= openDB<Kept>('merganser', 1, {
    upgrade: (db) =>
      db.createObjectStore('entries', { keyPath: 'n', autoIncrement: true }).createIndex('bench', 'bench'),
  }));

/** Entries are read anew in every window of this bench when one of them changed them. */
const windows = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('merganser-entries');

async function read(): Promise<void> {
  entries = await (await opened()).getAllFromIndex('entries', 'bench', bench);
  readers.forEach((reader) => reader());
}

async function changed(): Promise<void> {
  await read();
  windows?.postMessage('changed');
}

/** True where this browser can keep entries. */
export const canQueue = (): boolean => typeof indexedDB !== 'undefined';

/** Reads what waits from an earlier visit, and sends it. */
export async function openOutbox(): Promise<void> {
  if (!canQueue()) return;
  windows?.addEventListener('message', () => void read());
  whenFound(() => void flush());
  await read();
  await flush();
}

export const waiting = (): readonly Entry[] => entries;

/** What waits of what belongs to one thing. */
export const waitingOf = (scope: string): readonly Entry[] => entries.filter((entry) => entry.scope === scope);

export function onEntries(reader: () => void): () => void {
  readers.add(reader);
  return () => readers.delete(reader);
}

/** Called when something that waited reached the server. */
export function onSent(hearer: () => void): () => void {
  hearers.add(hearer);
  return () => hearers.delete(hearer);
}

/** The act with this id may wait for a lost server. */
export const mayWait = (id: string, act: Meant): void => void meant.set(id, act);

/**
 * Sends a request. One that may wait is kept when no server answers, and at once when others wait before it: what was
 * entered first arrives first.
 * @throws Queued
 */
export async function send(request: Request): Promise<Response> {
  const body = request.method === 'GET' || meant.size === 0 ? '' : await request.clone().text();
  const id = idOf(body);
  const act = id === null ? undefined : meant.get(id);
  if (id === null || !act) return globalThis.fetch(request);
  const behind = entries.some((entry) => entry.scope === act.scope);
  if (!behind) {
    try {
      const response = await globalThis.fetch(request);
      meant.delete(id);
      return response;
    } catch {
      connectionLost();
    }
  }
  // What could not be kept is not said to wait: whoever entered it still has it.
  if (!(await keep(request, id, body, act))) throw new TypeError('This browser keeps nothing.');
  if (behind) void flush();
  throw new Queued();
}

function idOf(body: string): string | null {
  try {
    return (JSON.parse(body) as { id?: string }).id ?? null;
  } catch {
    return null;
  }
}

/** Keeps an entry; false where this browser keeps nothing. */
async function keep(request: Request, id: string, body: string, act: Meant): Promise<boolean> {
  const { pathname, search } = new URL(request.url);
  const entry: Omit<Entry, 'n'> = {
    ...act,
    id,
    bench,
    method: request.method,
    path: pathname + search,
    body,
    at: new Date().toISOString(),
    refused: null,
    asked: false,
  };
  try {
    const db = await opened();
    if (!entries.some((kept) => kept.id === id || isSame(kept, entry))) await db.add('entries', entry as Entry);
  } catch {
    return false;
  }
  meant.delete(id);
  await changed();
  return true;
}

/** True for what waits already under another id: who accepts twice means it once. */
const isSame = (kept: Entry, entry: Omit<Entry, 'n'>): boolean =>
  entry.kind === 'accept' &&
  kept.kind === 'accept' &&
  kept.path === entry.path &&
  kept.refused === null &&
  kept.words === entry.words &&
  kept === entries.filter((other) => other.path === entry.path).at(-1);

/** True for what begins another set: what is entered then hangs on it. */
const opens = ({ kind }: Entry): boolean => kind === 'move' || kind === 'set' || kind === 'paper';

/** The set that an entry opens: a move does so under the id that follows from its own. */
export const openedBy = ({ id, kind }: Entry): string => (kind === 'move' ? `${id}-set` : id);

/** True when an entry hangs on an earlier one that was refused. */
const hangsOn = (entry: Entry, refused: Entry): boolean =>
  refused.refused !== null &&
  refused.n < entry.n &&
  refused.scope === entry.scope &&
  (opens(refused) || entry.kind === 'accept');

/** What waits because an entry before it was refused. */
export const isHeld = (entry: Entry): boolean => entries.some((other) => hangsOn(entry, other));

/** Sends what waits, in order; what is refused is set aside, what hangs on it waits, the rest goes on. */
export function flush(): Promise<void> {
  again = sending !== null;
  return (sending ??= inTurn().finally(() => {
    sending = null;
    // Something was entered as the last of it went out.
    if (again) void flush();
  }));
}

async function inTurn(): Promise<void> {
  if (!canQueue()) return;
  // One window sends; the others would send the same again, under the same ids.
  if (navigator.locks) await navigator.locks.request(`merganser-sends-${bench}`, sendAll);
  else await sendAll();
}

async function sendAll(): Promise<void> {
  await read();
  let sent = false;
  for (let next = ready(); next; next = ready()) {
    let response: Response;
    try {
      response = await globalThis.fetch(
        new Request(new URL(next.path, window.location.origin), {
          method: next.method,
          body: next.body || null,
          headers: { 'Content-Type': 'application/json', ...benchHeader },
        }),
      );
      sameBench(response);
    } catch (error) {
      if (!(error instanceof OtherBench)) connectionLost();
      break;
    }
    connectionFound();
    const db = await opened();
    if (response.ok) await db.delete('entries', next.n);
    else await db.put('entries', { ...next, ...(await refusalOf(response)) });
    sent = true;
    await changed();
  }
  if (sent) hearers.forEach((hearer) => hearer());
}

const ready = (): Entry | undefined => entries.find((entry) => entry.refused === null && !isHeld(entry));

/** Codes with which the server asks whether a reading is so. */
const ASKS = ['suspicious', 'far'];

async function refusalOf(response: Response): Promise<Pick<Entry, 'refused' | 'asked'>> {
  try {
    const said = (await response.json()) as { title?: string; code?: string; errors?: Record<string, string[]> };
    const refused = Object.values(said.errors ?? {})[0]?.[0] ?? said.title ?? 'Something went wrong.';
    return { refused, asked: ASKS.includes(said.code ?? '') };
  } catch {
    return { refused: 'Something went wrong.', asked: false };
  }
}

/**
 * An entry is given up: it is not sent. What was shot into the set that it opens goes where it would have gone. False
 * when it does not wait any more.
 */
export async function giveUp(id: string): Promise<boolean> {
  const entry = entries.find((kept) => kept.id === id);
  if (!entry) return false;
  const db = await opened();
  for (const moved of without(entry)) await db.put('entries', moved);
  await db.delete('entries', entry.n);
  await changed();
  void flush();
  return true;
}

/** What waits after an entry that is given up, as far as it changes with that. */
function without(gone: Entry): Entry[] {
  if (gone.after === undefined) return [];
  const set = openedBy(gone);
  const into = `/api/sets/${set}/`;
  let instead = gone.after;
  let shot = false;
  const changed: Entry[] = [];
  for (const entry of entries.filter((kept) => kept.n > gone.n)) {
    if (entry.path.startsWith(into)) {
      shot = true;
      // The number of its set is another one now.
      const words = entry.words.replace(/^Set \d+, /, '');
      changed.push({ ...entry, words, path: entry.path.replace(into, `/api/sets/${instead}/`) });
    } else if (entry.after === set) {
      changed.push({ ...entry, after: instead });
      // Before anything was shot the next one opens what the one that is gone would have opened.
      if (!shot && instead === gone.after) instead = openedBy(entry);
    }
  }
  return changed;
}

/** A refused entry is sent once more as it is; what was asked about it is answered with yes. */
export async function sendAgain(entry: Entry): Promise<void> {
  const body = entry.asked ? JSON.stringify({ ...JSON.parse(entry.body), confirmed: true }) : entry.body;
  await (await opened()).put('entries', { ...entry, body, refused: null, asked: false });
  await changed();
  void flush();
}
