import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, expect, it, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { connectionFound } from '../../api/connection';
import { only } from '../../testing/fixtures';
import { answering } from '../../testing/show';
import type { Draft } from './parts';
import { useArrowWork } from './useArrowWork';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  localStorage.clear();
});

const draft = only<Draft>({ name: 'Own', cutLength: '28' });
const row = only<Schemas['ArrowRow']>({ id: 'a', version: 1, draft, kept: null });
const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
const wrapper = ({ children }: { children: ReactNode }) => (
  <QueryClientProvider client={queries}>{children}</QueryClientProvider>
);

it('asks for the figures of a change at once, and shows those before it meanwhile', async () => {
  connectionFound();
  const asked = answering({
    '/figures': (body: unknown) => ({ of: (body as { draft: Draft }).draft.cutLength }),
    '/draft': { ...row, version: 2 },
  });
  const { result } = renderHook(() => useArrowWork('b', row), { wrapper });
  const shown = () => (result.current.figures.data as unknown as { of: string } | undefined)?.of;
  await waitFor(() => expect(shown()).toBe('28'));

  act(() => result.current.change({ ...draft, cutLength: '28.5' }));
  expect(result.current.draft.cutLength).toBe('28.5');
  expect(shown()).toBe('28');
  await waitFor(() => expect(asked.filter((a) => a.path.includes('/figures'))).toHaveLength(2));
  await waitFor(() => expect(shown()).toBe('28.5'));
});

it('takes the keys of one entry back together, and entries one by one', () => {
  const now = vi.spyOn(Date, 'now');
  const at = (ms: number) => now.mockReturnValue(1_000_000 + ms);
  answering({ '/figures': {}, '/draft': { ...row, version: 2 } });
  const { result } = renderHook(() => useArrowWork('b', row), { wrapper });
  const type = (ms: number, more: Partial<Draft>) => {
    at(ms);
    act(() => result.current.change({ ...result.current.draft, ...more }));
  };
  type(0, { cutLength: '2' });
  type(200, { cutLength: '29' });
  type(400, { cutLength: '29.5' });
  type(600, { name: 'Owner' });
  type(700, { name: 'Owners' });
  type(2000, { name: 'Owners 2' });
  const back = () => {
    act(() => result.current.undo());
    return [result.current.draft.name, result.current.draft.cutLength];
  };
  expect(back()).toEqual(['Owners', '29.5']);
  expect(back()).toEqual(['Own', '29.5']);
  expect(back()).toEqual(['Own', '28']);
  expect(result.current.canUndo).toBe(false);
  now.mockRestore();
});
