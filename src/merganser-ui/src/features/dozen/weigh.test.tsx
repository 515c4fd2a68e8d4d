import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { afterEach, expect, it, vi } from 'vitest';
import { sent } from '../../testing/fixtures';
import { answering, show } from '../../testing/show';
import DozenPage from './DozenPage';
import { toWeigh } from './useDozen';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

class NoInstrument {
  addEventListener = () => undefined;
  close = () => undefined;
}

it('keeps what is typed while another class is chosen', async () => {
  vi.stubGlobal('EventSource', NoInstrument);
  const dozen = { ...sent.dozen, id: 'd' };
  const asked = answering({
    '/arrows': [],
    '/dozens/d': dozen,
    '/dozens': { dozens: [{ id: 'd', name: 'Island dozen', arrows: 12, arrowName: 'Island 340', arrowVersion: 1 }] },
  });
  show(
    <Routes>
      <Route path="/bows/:bowId/dozen" element={<DozenPage />} />
    </Routes>,
    '/bows/b/dozen?way=weigh&class=Point',
  );
  const field = await screen.findByLabelText(/Or type it/);
  await userEvent.type(field, '9');
  await userEvent.click(screen.getByText('Nock').closest('button')!);
  await waitFor(() => expect(screen.getByRole('heading', { level: 1 }).textContent).toMatch(/^Nock/));
  expect((screen.getByLabelText(/Or type it/) as HTMLInputElement).value).toBe('9');
  await userEvent.keyboard('.1{Enter}');
  await waitFor(() =>
    expect(asked.find((a) => a.path.endsWith('/entries'))?.body).toMatchObject({ class: 'Nock', value: '9.1' }),
  );
});

it('draws the tray empty until the dozen is there', async () => {
  vi.stubGlobal('EventSource', NoInstrument);
  answering({ '/arrows': [], '/dozens': () => new Promise(() => undefined) });
  show(
    <Routes>
      <Route path="/bows/:bowId/dozen" element={<DozenPage />} />
    </Routes>,
    '/bows/b/dozen',
  );
  expect(await screen.findByTestId('drawn-dozen')).toBeTruthy();
  expect(screen.getByText('Opening the dozen …')).toBeTruthy();
});

it('weighs the spares of what is in hand, and then what is lacking', () => {
  const pieces = sent.dozen.classes.flatMap((c) => c.pieces);
  const weighed = (name: string, count: number) => ({
    name,
    wanted: 4,
    missing: Math.max(0, 3 - count),
    pieces: pieces.slice(0, count),
  });
  expect(toWeigh([weighed('Shaft', 3), weighed('Point', 0)])?.name).toBe('Shaft');
  expect(toWeigh([weighed('Shaft', 4), weighed('Point', 0)])?.name).toBe('Point');
  // No spare shaft was at hand: the points were gone on with.
  expect(toWeigh([weighed('Shaft', 3), weighed('Point', 1)])?.name).toBe('Point');
  expect(toWeigh([weighed('Shaft', 4), weighed('Point', 4)])).toBeUndefined();
});
