import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { answering, refusing, show } from '../../testing/show';
import { CrawlsPane } from './CrawlsPane';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const mark = (yards: number, crawl: number, state = 'stands', words = 'stands') => ({
  distance: `${yards}`,
  yards,
  typed: `${crawl}`,
  crawl,
  state,
  words,
  nockingPoint: 'at its mark',
  note: '',
  shotAt: '2026-11-20T10:00:00Z',
});
const two = { marks: [mark(20, 1.25), mark(30, 0.44)], nockingPoint: 'at its mark', asked: null };

const pane = () =>
  show(
    <main>
      <CrawlsPane bowId="b" />
    </main>,
  );

/** What was kept: each distance with its crawl. */
const kept = (asked: { method: string; body: unknown }[]) =>
  asked
    .filter((a) => a.method === 'POST')
    .map((a) => a.body as { distance: string; crawl: string })
    .map((mark) => [mark.distance, mark.crawl]);

describe('the crawls', () => {
  it('begin with the nearest mark', async () => {
    answering({ '/crawls': { ...two, marks: [] } });
    pane();
    expect(await screen.findByText(/Shoot the nearest distance first/)).toBeTruthy();
    expect(screen.queryByLabelText('A distance between')).toBeNull();
  });

  it('are typed from field to field, kept with Enter, and the next one begins empty', async () => {
    const asked = answering({ '/crawls': two });
    pane();
    await screen.findByText('1.25 in');
    await userEvent.type(screen.getByLabelText('Distance'), '25{Enter}');
    expect(document.activeElement).toBe(screen.getByRole('textbox', { name: /Crawl below the nock/ }));
    await userEvent.keyboard('7/8{Enter}');
    await waitFor(() => expect(kept(asked)).toEqual([['25', '7/8']]));
    await waitFor(() => expect(document.activeElement).toBe(screen.getByLabelText('Distance')));
    expect((screen.getByLabelText('Distance') as HTMLInputElement).value).toBe('');
  });

  it('keep what was typed when it is refused, with the fault beside its field', async () => {
    answering({ '/crawls': (body: unknown) => (body ? refusing({ crawl: ['Allowed is 0 to 4 in.'] }) : two) });
    pane();
    await screen.findByText('1.25 in');
    await userEvent.type(screen.getByLabelText('Distance'), '25{Enter}');
    await userEvent.keyboard('9{Enter}');
    expect(await screen.findByText('Allowed is 0 to 4 in.')).toBeTruthy();
    expect((screen.getByLabelText('Distance') as HTMLInputElement).value).toBe('25');
  });

  it('say which mark is not to be trusted, and give one up and back', async () => {
    const moved = mark(
      10,
      2,
      'nockingPointMoved',
      'The nocking point was moved 1/8 in up since: shoot this mark again.',
    );
    const asked = answering({ '/crawls': { ...two, marks: [moved, ...two.marks] } });
    pane();
    expect(await screen.findByText(/shoot this mark again/)).toBeTruthy();
    await userEvent.click(screen.getByLabelText('Give it up: 20'));
    await userEvent.click(await screen.findByText('Put it back'));
    await waitFor(() =>
      expect(kept(asked)).toEqual([
        ['20', ''],
        ['20', '1.25'],
      ]),
    );
  });

  it('stay where they are while a distance between is typed that cannot be yet', async () => {
    answering({ 'distance=2': () => refusing({ distance: ['Allowed is 5 to 100 yd.'] }), '/crawls': two });
    pane();
    const between = await screen.findByLabelText('A distance between');
    await userEvent.type(between, '2');
    expect(await screen.findByText('Allowed is 5 to 100 yd.')).toBeTruthy();
    expect(document.activeElement).toBe(between);
    expect(screen.getByText('1.25 in')).toBeTruthy();
  });
});
