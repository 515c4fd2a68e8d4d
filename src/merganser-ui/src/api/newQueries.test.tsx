import { cleanup, render, screen, waitFor } from '@testing-library/react';
import { QueryClientProvider, useQuery } from '@tanstack/react-query';
import { afterEach, expect, it, vi } from 'vitest';
import { answer, api } from './client';
import { askAgain } from './connection';
import { newQueries } from './newQueries';

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
