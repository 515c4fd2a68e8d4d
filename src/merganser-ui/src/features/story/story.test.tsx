import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { stripFrame } from '../../drawing/story';
import { tallyPath } from '../../drawing/tally';
import { sent } from '../../testing/fixtures';
import { answering, show } from '../../testing/show';
import StoryPage from './StoryPage';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const open = (path = '/bows/b/story', more: Record<string, unknown> = {}) => {
  const asked = answering({
    '/api/bows/b/story/answers': sent.storyAnswers,
    '/api/bows/b/story/notes': sent.story,
    '/api/bows/b/story/back': sent.storyAnswers,
    '/api/bows/b/story': sent.story,
    '/api/rack': { bows: [], archived: [], unreadable: [] },
    '/api/archers': [],
    ...more,
  });
  show(
    <Routes>
      <Route path="/bows/:bowId/story" element={<StoryPage />} />
    </Routes>,
    path,
  );
  return asked;
};

describe('the story', () => {
  it('says what changed, and shows what is the same only when asked', async () => {
    open();
    expect(await screen.findByRole('heading', { name: sent.storyAnswers.two.verdict })).toBeTruthy();
    expect(screen.queryByRole('rowheader', { name: 'Draw weight, measured' })).toBeNull();
    expect(screen.queryByRole('rowheader', { name: /^Draw weight/ })).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: /values are the same/ }));
    expect(screen.getByRole('rowheader', { name: /^Draw weight/ })).toBeTruthy();
  });

  it('writes a day once, and opens a thing over the answers', async () => {
    open();
    const rows = await screen.findAllByRole('button', { name: /^22 Nov/ });
    expect(rows.length).toBeGreaterThan(1);
    expect(rows.filter((row) => row.querySelector('b')!.textContent === '22 Nov').length).toBe(rows.length);
    expect(document.querySelectorAll('[data-testid=story] b > span.visually-hidden').length).toBeGreaterThan(3);
    fireEvent.click(rows[1]!);
    expect(await screen.findByText('After it')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Back to what changed' }));
    expect(await screen.findByTestId('changed')).toBeTruthy();
  });

  it('tells some signs alone: a press one, with Shift another as well', async () => {
    const asked = open();
    const last = () => asked.findLast((a) => a.path.includes('/story?'))?.path;
    fireEvent.click(await screen.findByRole('button', { name: /Moves/ }));
    await waitFor(() => expect(last()).toContain('signs=moves'));
    fireEvent.click(screen.getByRole('button', { name: /Speed/ }), { shiftKey: true });
    await waitFor(() => expect(decodeURIComponent(last()!)).toContain('signs=moves,speed'));
    fireEvent.click(screen.getByRole('button', { name: /All/ }));
    expect(screen.getByRole('button', { name: /All/ }).getAttribute('aria-pressed')).toBe('true');
  });

  it('steps the first day back by [ and the second by {', async () => {
    const asked = open();
    await screen.findByTestId('changed');
    const dates = () => decodeURIComponent(asked.findLast((a) => a.path.includes('answers?'))?.path ?? '');
    fireEvent.keyDown(document.body, { key: '[' });
    await waitFor(() => expect(dates()).toContain('then=2026-07-20'));
    fireEvent.keyDown(document.body, { key: '{' });
    await waitFor(() => expect(dates()).toContain('now=2026-11-22'));
  });

  it('logs the way back in one act, from where each stands', async () => {
    const asked = open('/bows/b/story?show=back');
    fireEvent.click(await screen.findByRole('button', { name: 'I made these moves' }));
    await waitFor(() => expect(asked.some((a) => a.method === 'POST')).toBe(true));
    const { body } = asked.find((a) => a.method === 'POST')!;
    expect((body as { moves: unknown[] }).moves).toEqual(
      sent.storyAnswers.two.wayBack.map(({ kind, from, to }) => ({ adjuster: kind, from, to })),
    );
  });

  it('keeps a note that was refused in its field', async () => {
    open('/bows/b/story?show=note', {
      '/api/bows/b/story/notes': () => new Response(JSON.stringify({ title: 'Too long.', code: 'x' }), { status: 400 }),
    });
    const field = await screen.findByLabelText<HTMLInputElement>('What happened');
    fireEvent.change(field, { target: { value: 'Peep slipped' } });
    fireEvent.submit(screen.getByTestId('note'));
    expect(await screen.findByRole('alert')).toBeTruthy();
    expect(field.value).toBe('Peep slipped');
  });
});

describe('the strip of tears', () => {
  const box = { left: 60, right: 600, top: 30, bottom: 120 };
  const tear = (at: string, length: number) => ({ at, length, low: length - 0.1, high: length + 0.1 });

  it('holds every tear and both days, the smallest at the foot', () => {
    const tears = [tear('2026-04-17T16:00:00Z', 0.6), tear('2026-11-22T16:00:00Z', 1.2)];
    const { x, y, ticks } = stripFrame(tears, ['2026-11-23T18:00:00Z'], box);
    expect(x(tears[0]!.at)).toBe(box.left);
    expect(x('2026-11-23T18:00:00Z')).toBe(box.right);
    expect(y(0)).toBe(box.bottom);
    expect(y(1.3)).toBeGreaterThan(box.top);
    expect(ticks).toContain(1);
  });

  it('has a place for a single evening', () => {
    const { x } = stripFrame([tear('2026-11-22T16:00:00Z', 0.2)], [], box);
    expect(x('2026-11-22T16:00:00Z')).toBe((box.left + box.right) / 2);
  });
});

describe('tally marks', () => {
  it('crosses four by the fifth', () => {
    const { path, width } = tallyPath(7, 26);
    expect(path.match(/M/g)).toHaveLength(7);
    expect(path.match(/L/g)).toHaveLength(1);
    expect(tallyPath(11, 26).width).toBeGreaterThan(width);
    expect(tallyPath(0, 26).path).toBe('');
  });
});
