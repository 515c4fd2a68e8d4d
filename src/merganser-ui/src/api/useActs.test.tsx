import { act, cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { refusing, show } from '../testing/show';
import { answer, api } from './client';
import { askAgain } from './connection';
import { shownAtOnce, useActs } from './useActs';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

/** A server that can be away, and what reached it. */
function server(reply: (path: string, body: unknown) => unknown) {
  const state = { away: false, losesAnswers: false, got: [] as { path: string; id: string }[] };
  vi.stubGlobal('fetch', async (request: Request) => {
    const path = new URL(request.url).pathname;
    const text = request.method === 'GET' ? '' : await request.clone().text();
    if (state.away) throw new TypeError('Failed to fetch');
    if (path !== '/health') state.got.push({ path, id: (JSON.parse(text || '{}') as { id: string }).id });
    if (state.losesAnswers && path !== '/health') throw new TypeError('Failed to fetch');
    const made = reply(path, text ? JSON.parse(text) : null);
    return made instanceof Response ? made : new Response(JSON.stringify(made ?? {}), { status: 200 });
  });
  return state;
}

function Tally() {
  const acts = useActs('tally');
  const [said, setSaid] = useState('');
  const shoot = (count: number) =>
    void acts
      .act(`shots ${count}`, (id) =>
        answer(
          api.POST('/api/bows/{id}/shots', { params: { path: { id: `bow-${count}` } }, body: { id, count } }),
        ).then(() => count),
      )
      .then((done) => setSaid((all) => `${all} ${done ?? 'refused'}`));
  return (
    <>
      <button onClick={() => shoot(6)}>six</button>
      <button onClick={() => shoot(12)}>twelve</button>
      <button onClick={acts.clear}>leave it</button>
      <p data-testid="said">{said}</p>
      <p data-testid="state">{acts.unreachable ? 'away' : acts.busy ? 'busy' : (acts.problem?.message ?? 'calm')}</p>
    </>
  );
}

/** Readings that wait for each other, as from a scale. */
function OneAfterTheOther() {
  const acts = useActs('takes');
  const [said, setSaid] = useState('');
  const queue = useRef<Promise<unknown>>(Promise.resolve());
  const count = useRef(0);
  const take = () => {
    const n = (count.current += 1);
    queue.current = queue.current.then(async () => {
      const done = await acts.act(`take ${n}`, (id) =>
        answer(api.POST('/api/bows/{id}/shots', { params: { path: { id: 'bow' } }, body: { id, count: n } })),
      );
      setSaid(`${n} ${done === null ? 'left' : 'taken'}`);
    });
  };
  return (
    <>
      <button onClick={take}>take</button>
      <button onClick={acts.clear}>leave it</button>
      <p data-testid="said">{said}</p>
      <p data-testid="state">{acts.unreachable ? 'away' : 'calm'}</p>
    </>
  );
}

const said = () => screen.getByTestId('said').textContent;
const state = () => screen.getByTestId('state').textContent;

describe('an act', () => {
  it('that finds no server waits for it and goes through by itself, with the id that it had', async () => {
    const bench = server(() => ({}));
    bench.losesAnswers = true;
    show(<Tally />);
    await userEvent.click(screen.getByText('six'));
    await waitFor(() => expect(state()).toBe('away'));
    bench.losesAnswers = false;
    await act(() => askAgain());
    await waitFor(() => expect(said()).toBe(' 6'));
    expect(state()).toBe('calm');
    expect(bench.got).toHaveLength(2);
    expect(new Set(bench.got.map((g) => g.id)).size).toBe(1);
  });

  it('made meanwhile goes through after it, in order', async () => {
    const bench = server(() => ({}));
    bench.away = true;
    show(<Tally />);
    await userEvent.click(screen.getByText('six'));
    await userEvent.click(screen.getByText('twelve'));
    expect(state()).toBe('away');
    bench.away = false;
    await act(() => askAgain());
    await waitFor(() => expect(said()).toBe(' 6 12'));
    expect(bench.got.map((g) => g.path)).toEqual(['/api/bows/bow-6/shots', '/api/bows/bow-12/shots']);
  });

  it('begun while the server is known to be away says so at once', async () => {
    const bench = server(() => ({}));
    bench.away = true;
    await answer(api.GET('/api/rack')).catch(() => undefined);
    show(<Tally />, '/', false);
    await userEvent.click(screen.getByText('six'));
    await waitFor(() => expect(state()).toBe('away'));
    bench.away = false;
    await act(() => askAgain());
    await waitFor(() => expect(said()).toBe(' 6'));
  });

  it('pressed again while it waits is the same act', async () => {
    const bench = server(() => ({}));
    bench.away = true;
    show(<Tally />);
    await userEvent.click(screen.getByText('six'));
    await waitFor(() => expect(state()).toBe('away'));
    bench.away = false;
    await userEvent.click(screen.getByText('six'));
    await waitFor(() => expect(state()).toBe('calm'));
    expect(bench.got).toHaveLength(1);
  });

  it('that waits can be given up, and is not sent later', async () => {
    const bench = server(() => ({}));
    bench.away = true;
    show(<Tally />);
    await userEvent.click(screen.getByText('six'));
    await waitFor(() => expect(state()).toBe('away'));
    await userEvent.click(screen.getByText('leave it'));
    await waitFor(() => expect(state()).toBe('calm'));
    await waitFor(() => expect(said()).toBe(' refused'));
    bench.away = false;
    await act(() => askAgain());
    expect(bench.got).toHaveLength(0);
    await userEvent.click(screen.getByText('twelve'));
    await waitFor(() => expect(said()).toBe(' refused 12'));
  });

  it('whoever waits for one that is given up goes on', async () => {
    const bench = server(() => ({}));
    bench.away = true;
    show(<OneAfterTheOther />);
    await userEvent.click(screen.getByText('take'));
    await waitFor(() => expect(state()).toBe('away'));
    await userEvent.click(screen.getByText('leave it'));
    await waitFor(() => expect(said()).toBe('1 left'));
    bench.away = false;
    await act(() => askAgain());
    await userEvent.click(screen.getByText('take'));
    await waitFor(() => expect(said()).toBe('2 taken'));
    expect(bench.got).toHaveLength(1);
  });

  it('that is refused says why, and keeps its id when it is tried again', async () => {
    let good = false;
    const bench = server(() => (good ? {} : refusing({ count: ['1 to 500 shots.'] }, 'That cannot be.')));
    show(<Tally />);
    await userEvent.click(screen.getByText('six'));
    await waitFor(() => expect(state()).toBe('That cannot be.'));
    good = true;
    await userEvent.click(screen.getByText('six'));
    await waitFor(() => expect(said()).toBe(' refused 6'));
    expect(new Set(bench.got.map((g) => g.id)).size).toBe(1);
    await userEvent.click(screen.getByText('six'));
    await waitFor(() => expect(said()).toBe(' refused 6 6'));
    expect(new Set(bench.got.map((g) => g.id)).size).toBe(2);
  });
});

function Switch() {
  const acts = useActs('switch');
  const queries = useQueryClient();
  const word = useQuery({ queryKey: ['word'], queryFn: () => 'off', staleTime: Infinity });
  return (
    <>
      <p data-testid="word">{word.data}</p>
      <button
        onClick={() =>
          void acts
            .act(
              'on',
              (id) => answer(api.POST('/api/bows/{id}/shots', { params: { path: { id } }, body: { id, count: 1 } })),
              shownAtOnce<string>(['word'], () => 'on'),
            )
            .then((done) => done && queries.setQueryData(['word'], 'on, kept'))
        }
      >
        on
      </button>
    </>
  );
}

describe('what is shown at once', () => {
  it('is taken back when the server refuses it', async () => {
    let tell: (value: Response) => void = () => undefined;
    server(() => new Response('{}'));
    vi.stubGlobal('fetch', () => new Promise<Response>((resolve) => (tell = resolve)));
    show(<Switch />);
    await screen.findByText('off');
    await userEvent.click(screen.getByRole('button'));
    await waitFor(() => expect(screen.getByTestId('word').textContent).toBe('on'));
    await act(async () => tell(refusing({}, 'No.')));
    await waitFor(() => expect(screen.getByTestId('word').textContent).toBe('off'));
  });
});
