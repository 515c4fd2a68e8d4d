import { cleanup, screen, waitFor } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import { answering, show } from '../testing/show';
import { page } from './page';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const Sheet = ({ of }: { of: string }) => <h1>The sheet of {of}</h1>;

it('draws a page at once whose files are here, and another when they come', async () => {
  const Near = page(() => Promise.resolve({ default: Sheet }));
  await Near.fetched();
  show(<Near of="the left limb" />);
  expect(screen.getByRole('heading').textContent).toBe('The sheet of the left limb');

  let come: (files: { default: typeof Sheet }) => void = () => undefined;
  const Far = page<{ of: string }>(() => new Promise((resolve) => (come = resolve)));
  show(<Far of="the right limb" />);
  expect(screen.queryByText('The sheet of the right limb')).toBeNull();
  come({ default: Sheet });
  expect(await screen.findByText('The sheet of the right limb')).toBeTruthy();
});

it('says so where the files of a page cannot be had, with a way on', async () => {
  answering({ '/rack': { bows: [], archived: [], unreadable: [] } });
  const Gone = page<object>(() => Promise.reject(new TypeError('Failed to fetch dynamically imported module')));
  show(<Gone />);
  await waitFor(() => expect(screen.getByRole('heading').textContent).toBe('This page could not be loaded.'));
  expect(screen.getByRole('button', { name: /^Load it anew/ })).toBeTruthy();
});
