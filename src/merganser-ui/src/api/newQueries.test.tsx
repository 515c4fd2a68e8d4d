import { cleanup, render, screen, waitFor } from '@testing-library/react';
import { QueryClientProvider, useQuery, useQueryClient } from '@tanstack/react-query';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import { answer, api } from './client';
import { askAgain } from './connection';
import { newQueries } from './newQueries';
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
  await userEvent.click(screen.getByText('make'));
  await waitFor(() => expect(said()).toBe('one'));
  answers[1]!('none');
  await waitFor(() => expect(answers).toHaveLength(3));
  expect(said()).toBe('one');
  answers[2]!('one, read anew');
  await waitFor(() => expect(said()).toBe('one, read anew'));
});
