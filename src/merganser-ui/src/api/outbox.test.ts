import 'fake-indexeddb/auto';
import { waitFor } from '@testing-library/react';
import { afterAll, afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { answer, api, Refusal } from './client';
import { connectionFound } from './connection';
import { flush, giveUp, isHeld, mayWait, Queued, sendAgain, waiting, type EntryKind } from './outbox';

/** A server that can be away, that refuses some, and what it was sent, in order. */
function server() {
  const state = { away: false, refuses: [] as string[], got: [] as string[] };
  vi.stubGlobal('fetch', async (request: Request) => {
    if (state.away) throw new TypeError('Failed to fetch');
    if (request.method === 'GET') return new Response('{}');
    const { id } = (await request.json()) as { id: string };
    if (state.refuses.includes(id))
      return new Response(JSON.stringify({ title: 'It stands at 3 now.', code: 'moved' }), { status: 409 });
    state.got.push(id);
    return new Response('{}');
  });
  return state;
}

/** Enters something; what is said of it. */
async function enter(id: string, kind: EntryKind = 'shot', scope = 'paper', said = `${kind} ${id}`): Promise<string> {
  mayWait(id, { scope, kind, words: said });
  const call = api.POST('/api/bows/{id}/shots', { params: { path: { id: scope } }, body: { id, count: 1 } });
  try {
    await answer(call);
    return 'sent';
  } catch (error) {
    return error instanceof Queued ? 'waits' : error instanceof Refusal ? 'refused' : 'lost';
  }
}

const words = () => waiting().map((entry) => entry.words);

beforeEach(() => connectionFound());

// Other tests go on without a place to keep entries in.
afterAll(() => Reflect.deleteProperty(globalThis, 'indexedDB'));

afterEach(async () => {
  for (const { id } of [...waiting()]) await giveUp(id);
  await flush();
  vi.unstubAllGlobals();
});

describe('what is entered while the server is away', () => {
  it('waits in order and is sent so, with the ids that it was entered with', async () => {
    const bench = server();
    expect(await enter('a')).toBe('sent');
    bench.away = true;
    expect(await enter('b')).toBe('waits');
    expect(await enter('c', 'move')).toBe('waits');
    bench.away = false;
    // What is entered before the others went out goes behind them.
    const late = enter('d');
    expect(await late).toBe('waits');
    await waitFor(() => expect(waiting()).toEqual([]));
    expect(bench.got).toEqual(['a', 'b', 'c', 'd']);
  });

  it('is kept once, however often it is sent, and survives another loss in the middle', async () => {
    const bench = server();
    bench.away = true;
    await enter('a');
    await enter('a');
    await enter('b');
    expect(words()).toEqual(['shot a', 'shot b']);
    await flush();
    expect(words()).toEqual(['shot a', 'shot b']);
    bench.away = false;
    await flush();
    expect(bench.got).toEqual(['a', 'b']);
  });

  it('goes into the set before where the move between is given up, or into that of the next move', async () => {
    const bench = server();
    bench.away = true;
    const shoot = async (id: string, setId: string) => {
      mayWait(id, { scope: 'bow', kind: 'shot', words: `Set 3, ${id}` });
      const body = { id, typed: null, point: { x: 0, y: 0 }, tail: null, side: 'shootingSide', words: null } as never;
      await answer(api.POST('/api/sets/{id}/shots', { params: { path: { id: setId } }, body })).catch(() => null);
    };
    const open = async (id: string, after: string) => {
      mayWait(id, { scope: 'bow', kind: 'move', words: id, after });
      await answer(api.POST('/api/papers/{id}/moves', { params: { path: { id: 'p' } }, body: { id } as never })).catch(
        () => null,
      );
    };
    const waits = () => waiting().map((e) => `${e.words} ${/sets\/([^/]*)/.exec(e.path)?.[1] ?? e.after}`);
    await open('m', 'two');
    await open('n', 'm-set');
    await shoot('a', 'm-set');
    await open('o', 'm-set');
    await shoot('b', 'o-set');
    expect(waits()).toEqual(['m two', 'n m-set', 'Set 3, a m-set', 'o m-set', 'Set 3, b o-set']);
    expect(await giveUp('m')).toBe(true);
    // Nothing was shot between the two: the second opens what the first would have.
    expect(waits()).toEqual(['n two', 'a n-set', 'o n-set', 'Set 3, b o-set']);
    expect(await giveUp('n')).toBe(true);
    expect(waits()).toEqual(['a two', 'o two', 'Set 3, b o-set']);
    expect(await giveUp('n')).toBe(false);
  });

  it('is accepted once, however often that is pressed, and opened again after it', async () => {
    const bench = server();
    bench.away = true;
    await enter('a', 'accept', 'paper', 'Accepted');
    expect(await enter('b', 'accept', 'paper', 'Accepted')).toBe('waits');
    await enter('c', 'accept', 'paper', 'Opened again');
    await enter('d', 'accept', 'paper', 'Accepted');
    expect(words()).toEqual(['Accepted', 'Opened again', 'Accepted']);
    bench.away = false;
    await flush();
    expect(bench.got).toEqual(['a', 'c', 'd']);
  });

  it('is set aside when it is refused: what hangs on it waits, the rest goes on', async () => {
    const bench = server();
    bench.away = true;
    await enter('shot 1');
    await enter('move 1', 'move');
    await enter('shot 2');
    await enter('accept', 'accept');
    await enter('elsewhere', 'shot', 'another bow');
    bench.away = false;
    bench.refuses = ['move 1'];
    await flush();
    expect(bench.got).toEqual(['shot 1', 'elsewhere']);
    const [move, shot, accept] = waiting();
    expect(move).toMatchObject({ words: 'move move 1', refused: 'It stands at 3 now.' });
    expect([isHeld(move!), isHeld(shot!), isHeld(accept!)]).toEqual([false, true, true]);

    bench.refuses = [];
    await sendAgain(move!);
    await waitFor(() => expect(waiting()).toEqual([]));
    expect(bench.got.slice(2)).toEqual(['move 1', 'shot 2', 'accept']);
  });

  it('is not said to wait where it could not be kept, also behind others', async () => {
    const bench = server();
    bench.away = true;
    expect(await enter('a')).toBe('waits');
    const full = vi.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(() => {
      throw new DOMException('The disk is full.', 'QuotaExceededError');
    });
    expect(await enter('b')).toBe('lost');
    full.mockRestore();
    expect(await enter('b')).toBe('waits');
    expect(words()).toEqual(['shot a', 'shot b']);
  });

  it('goes on without a refused shot, but accepts nothing until that is settled', async () => {
    const bench = server();
    bench.away = true;
    await enter('shot 1');
    await enter('shot 2');
    await enter('accept', 'accept');
    bench.away = false;
    bench.refuses = ['shot 1'];
    await flush();
    expect(bench.got).toEqual(['shot 2']);
    await giveUp('shot 1');
    await waitFor(() => expect(bench.got).toEqual(['shot 2', 'accept']));
  });
});
