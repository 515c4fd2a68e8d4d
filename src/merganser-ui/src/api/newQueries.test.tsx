import { cleanup, render, screen, waitFor } from '@testing-library/react';
import { QueryClientProvider, useQuery, useQueryClient } from '@tanstack/react-query';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import { answer, api } from './client';
import { askAgain } from './connection';
import { newQueries, readIsOld, readingAhead } from './newQueries';
import { useActs } from './useActs';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function Archers() {
  const archers = useQuery({ queryKey: ['archers'], queryFn: () => answer(api.GET('/api/archers')), retryDelay: 1 });
  return <p data-testid="state">{archers.isError ? 'given up' : archers.isSuccess ? 'read' : 'asking'}</p>;
}

it('what was given up while the server was away is read when it answers again', async () => {
  let away = true;
  vi.stubGlobal('fetch', () =>
    away ? Promise.reject(new TypeError('Failed to fetch')) : Promise.resolve(new Response('[]', { status: 200 })),
  );
  render(
    <QueryClientProvider client={newQueries()}>
      <Archers />
    </QueryClientProvider>,
  );
  await waitFor(() => expect(screen.getByTestId('state').textContent).toBe('given up'));
  away = false;
  await askAgain();
  await waitFor(() => expect(screen.getByTestId('state').textContent).toBe('read'));
});

/** A page that shows how many copies there are, and makes one. */
function Copies({ read }: { read: () => Promise<string> }) {
  const queries = useQueryClient();
  const copies = useQuery({ queryKey: ['copies'], queryFn: read });
  const acts = useActs('copies');
  const make = async () => queries.setQueryData(['copies'], await acts.act('copy', () => Promise.resolve('one')));
  return (
    <>
      <p data-testid="copies">{copies.data}</p>
      <button onClick={() => void queries.invalidateQueries()}>read anew</button>
      <button onClick={() => void make()}>make</button>
    </>
  );
}

it('what was asked for before an act and comes after it does not say again how it was', async () => {
  const answers: ((said: string) => void)[] = [];
  const read = () => new Promise<string>((resolve) => answers.push(resolve));
  render(
    <QueryClientProvider client={newQueries()}>
      <Copies read={read} />
    </QueryClientProvider>,
  );
  const said = () => screen.getByTestId('copies').textContent;
  answers[0]!('none');
  await waitFor(() => expect(said()).toBe('none'));
  await userEvent.click(screen.getByText('read anew'));
  await waitFor(() => expect(answers).toHaveLength(2));
  await userEvent.click(screen.getByText('make'));
  await waitFor(() => expect(said()).toBe('one'));
  answers[1]!('none');
  await waitFor(() => expect(answers).toHaveLength(3));
  expect(said()).toBe('one');
  answers[2]!('one, read anew');
  await waitFor(() => expect(said()).toBe('one, read anew'));
});

it('what is shown is read anew after the frame that it stands in; what is not there yet at once', async () => {
  const frames: FrameRequestCallback[] = [];
  vi.stubGlobal('requestAnimationFrame', (then: FrameRequestCallback) => frames.push(then));
  const queries = newQueries();
  const queryKey = ['rack'];
  const read = vi.fn(() => Promise.resolve('two bows'));
  await queries.fetchQuery({ queryKey, queryFn: read });
  expect(read).toHaveBeenCalledTimes(1);
  const again = queries.fetchQuery({ queryKey, queryFn: read });
  await new Promise((resolve) => setTimeout(resolve, 30));
  expect(read).toHaveBeenCalledTimes(1);
  frames.forEach((then) => then(0));
  await again;
  expect(read).toHaveBeenCalledTimes(2);
});

it('what was read ahead is not read once more by the page that it was read for, but by the next', async () => {
  const queries = newQueries();
  const read = vi.fn(() => Promise.resolve('none'));
  const Page = () => <p>{useQuery({ queryKey: ['copies'], queryFn: read }).data}</p>;
  const open = () =>
    render(
      <QueryClientProvider client={queries}>
        <Page />
      </QueryClientProvider>,
    );
  readingAhead();
  await queries.prefetchQuery({ queryKey: ['copies'], queryFn: read });
  const first = open();
  readIsOld();
  await new Promise((resolve) => setTimeout(resolve, 50));
  expect(first.container.textContent).toBe('none');
  expect(read).toHaveBeenCalledTimes(1);
  first.unmount();
  open();
  await waitFor(() => expect(read).toHaveBeenCalledTimes(2));
});

it('what an act answered with is read once more when the hand rests, so that the browser keeps it', async () => {
  vi.useFakeTimers({ shouldAdvanceTime: true });
  vi.stubGlobal('navigator', { ...navigator, onLine: true, serviceWorker: { controller: {} } });
  const queries = newQueries();
  const queryKey = ['dozen'];
  const read = vi.fn(() => Promise.resolve('eight'));
  await queries.fetchQuery({ queryKey, queryFn: read });
  queries.setQueryData(queryKey, 'nine');
  await vi.advanceTimersByTimeAsync(400);
  queries.setQueryData(queryKey, 'ten');
  await vi.advanceTimersByTimeAsync(400);
  expect(read).toHaveBeenCalledTimes(1);
  await vi.advanceTimersByTimeAsync(1000);
  expect(read).toHaveBeenCalledTimes(2);
  vi.useRealTimers();
});

it('what was kept from before does not take the place of what is in hand', async () => {
  const kept = () => new Response('["seven"]', { status: 200, headers: { 'Merganser-Kept': 'true' } });
  vi.stubGlobal('fetch', () => Promise.resolve(kept()));
  const queries = newQueries();
  const archers = { queryKey: ['archers'], queryFn: () => answer(api.GET('/api/archers')) as Promise<unknown> };
  expect(await queries.fetchQuery(archers)).toEqual(['seven']);
  queries.setQueryData(archers.queryKey, ['eight']);
  await queries.refetchQueries({ queryKey: archers.queryKey });
  expect(queries.getQueryData(archers.queryKey)).toEqual(['eight']);
});
