import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { configure, render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { vi } from 'vitest';
import { connectionFound } from '../api/connection';

// What is waited for may take long on a busy machine; nothing here measures speed.
configure({ asyncUtilTimeout: 10_000 });

/** For tests: the answers of the API by the end of their path, and everything that was asked. */
export function answering(answers: Record<string, unknown | ((body: unknown) => unknown)>) {
  const asked: { method: string; path: string; body: unknown }[] = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    const path = new URL(request.url).pathname + new URL(request.url).search;
    const text = request.method === 'GET' ? '' : await request.clone().text();
    const body = parsed(text);
    asked.push({ method: request.method, path, body });
    // Nothing was photographed, unless a test says so.
    const pictures = path.includes('/pictures') ? '/pictures' : '';
    const key = Object.keys(answers)
      .filter((k) => k.includes(pictures))
      .sort((a, b) => b.length - a.length)
      .find((k) => path.includes(k));
    const found = key === undefined ? (pictures ? [] : undefined) : answers[key];
    const made = await (typeof found === 'function' ? (found as (b: unknown) => unknown)(body) : found);
    if (made instanceof Response) return made;
    return made === undefined
      ? new Response(JSON.stringify({ title: 'There is no such thing.', code: 'missing' }), { status: 404 })
      : new Response(JSON.stringify(made), { status: 200, headers: { 'Content-Type': 'application/json' } });
  });
  return asked;
}

function parsed(text: string): unknown {
  try {
    return text ? JSON.parse(text) : null;
  } catch {
    return text;
  }
}

/** A refusal as the server sends it. */
export const refusing = (errors: Record<string, string[]>, title = 'That cannot be.', status = 400) =>
  new Response(JSON.stringify({ title, code: 'fields', errors }), {
    status,
    headers: { 'Content-Type': 'application/problem+json' },
  });

/** Draws it as the application would; the server is there, unless a test says that it is not. */
export function show(children: ReactNode, path = '/', reachable = true) {
  if (reachable) connectionFound();
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  return render(
    <QueryClientProvider client={queries}>
      <MemoryRouter initialEntries={[path]}>{children}</MemoryRouter>
    </QueryClientProvider>,
  );
}
