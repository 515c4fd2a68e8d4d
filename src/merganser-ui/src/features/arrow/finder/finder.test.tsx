import { act, cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { discPlaces, nearestPlace, stairPath, tradeOff } from '../../../drawing/finder';
import { sent } from '../../../testing/fixtures';
import { answering, refusing, show } from '../../../testing/show';
import { FinderWay } from './FinderWay';

describe('the picture of two figures', () => {
  const box = { left: 50, right: 450, top: 20, bottom: 320 };

  it('holds every point, on round numbers', () => {
    const points = [
      { x: 251, y: 9.3 },
      { x: 303, y: 26.1 },
    ];
    const { x, y } = tradeOff(points, box);
    for (const p of points) {
      expect(x(p.x)).toBeGreaterThanOrEqual(box.left);
      expect(x(p.x)).toBeLessThanOrEqual(box.right);
      expect(y(p.y)).toBeGreaterThanOrEqual(box.top);
      expect(y(p.y)).toBeLessThanOrEqual(box.bottom);
    }
    expect(x.domain()[0]! % 5).toBe(0);
    expect(y(26.1)).toBeLessThan(y(9.3));
    // One point, or points on one line, have a picture too.
    const flat = tradeOff([{ x: 5, y: 0 }], box);
    expect(Number.isFinite(flat.x(5))).toBe(true);
    expect(Number.isFinite(flat.y(0))).toBe(true);
  });

  it('draws the edge down before it goes on: between two builds no more can be had', () => {
    expect(
      stairPath([
        { x: 1, y: 5 },
        { x: 3, y: 9 },
      ]),
    ).toBe('M1 5V9H3');
    expect(stairPath([])).toBe('');
  });

  it('lays numbers apart and inside, also where their builds lie on each other', () => {
    const dots = Array.from({ length: 6 }, () => ({ x: 60, y: 30 }));
    const places = discPlaces(dots, box);
    for (const [i, place] of places.entries()) {
      expect(place.x).toBeGreaterThan(box.left);
      expect(place.y).toBeGreaterThan(box.top);
      for (const other of places.slice(i + 1))
        expect(Math.hypot(place.x - other.x, place.y - other.y)).toBeGreaterThan(15);
    }
  });

  it('takes the nearest place to a press, and none that is far', () => {
    const places = [
      { x: 10, y: 10, at: 'a' },
      { x: 14, y: 10, at: 'b' },
    ];
    expect(nearestPlace(places, { x: 13, y: 11 }, 24)?.at).toBe('b');
    expect(nearestPlace(places, { x: 60, y: 60 }, 24)).toBeNull();
  });
});

/** The stream of a search, told by the test. */
class Stream {
  static last: Stream | null = null;
  static opened = 0;
  onmessage: ((event: { data: string }) => void) | null = null;
  onerror: (() => void) | null = null;
  closed = false;
  constructor(readonly url: string) {
    Stream.last = this;
    Stream.opened++;
  }
  close() {
    this.closed = true;
  }
  tell(view: object) {
    act(() => this.onmessage?.({ data: JSON.stringify(view) }));
  }
}

describe('the finder', () => {
  beforeEach(() => {
    Stream.last = null;
    Stream.opened = 0;
    localStorage.clear();
    vi.stubGlobal('EventSource', Stream);
  });
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });

  const begun = { id: 'search', catalogue: sent.finder.catalogue, ranges: [], empty: null };
  const open = (answers: Record<string, unknown> = {}) => {
    const opened: string[] = [];
    const asked = answering({
      '/finder': (body: unknown) => (body ? begun : sent.finder),
      '/api/arrows': { id: 'new' },
      ...answers,
    });
    show(<FinderWay bowId="b" arrowId="a" onOpened={(id) => opened.push(id)} />);
    return { asked, opened };
  };
  const told = async (view: object = sent.found) => {
    await waitFor(() => expect(Stream.last).not.toBeNull());
    Stream.last!.tell(view);
  };

  it('lists what is found with its reason, and opens the chosen one as an arrow', async () => {
    const { asked, opened } = open();
    await told();
    const second = sent.found.rows[1]!;
    expect(screen.getAllByText(second.reason).length).toBeGreaterThan(0);
    fireEvent.keyDown(window, { key: '2' });
    expect(await screen.findByText(second.put)).toBeTruthy();
    fireEvent.click(screen.getByText('Open number 2'));
    await waitFor(() => expect(opened).toEqual(['new']));
    expect(asked.find((a) => a.path === '/api/arrows')?.body).toMatchObject({ bowId: 'b', draft: second.draft });
  });

  it('begins one search for many keys, and stops the one before', async () => {
    const { asked } = open();
    await told();
    const before = Stream.last!;
    const posts = asked.filter((a) => a.method === 'POST').length;
    const weight = screen.getByLabelText('Weight to');
    for (const text of ['4', '45', '455']) fireEvent.change(weight, { target: { value: text } });
    await waitFor(() => expect(asked.filter((a) => a.method === 'POST').length).toBe(posts + 1));
    expect(before.closed).toBe(true);
    expect(asked.at(-1)?.body).toMatchObject({
      ranges: expect.arrayContaining([expect.objectContaining({ figure: 'weight', high: '455' })]),
    });
  });

  it('keeps what could not be read, beside its field', async () => {
    open({
      '/finder': (body: unknown) => (body ? refusing({ weightLow: ['“q” is not a unit for this.'] }) : sent.finder),
    });
    expect((await screen.findAllByText('“q” is not a unit for this.')).length).toBeGreaterThan(0);
    expect(screen.getByLabelText('Weight from').getAttribute('aria-invalid')).toBe('true');
    expect(Stream.opened).toBe(0);
  });

  it('says that the search was lost, and keeps what it found', async () => {
    open();
    await told({ ...sent.found, state: 'running' });
    act(() => Stream.last!.onerror?.());
    expect(await screen.findByText('The search was lost: the server does not answer.')).toBeTruthy();
    expect(screen.getAllByText(sent.found.rows[0]!.reason).length).toBeGreaterThan(0);
    fireEvent.click(screen.getByText('Search again'));
    await waitFor(() => expect(Stream.opened).toBe(2));
  });

  it('shows a catalogue that was changed since', async () => {
    open({ '/finder': (body: unknown) => (body ? { ...begun, catalogue: 'another' } : sent.finder) });
    await told();
    expect(await screen.findByText(/The catalogue was changed since/)).toBeTruthy();
  });

  it('tells what would have to give where nothing fits, and gives it', async () => {
    const { asked } = open();
    const nearest = {
      row: sent.found.rows[0]!,
      words: 'For the nearest build there would have to give: speed from 237 ft/s.',
      ranges: [{ figure: 'speed', low: '237', high: '' }],
      mostToBuy: null,
    };
    await told({ ...sent.found, rows: [], listed: 0, nearest });
    expect(screen.getByText(nearest.words)).toBeTruthy();
    fireEvent.click(screen.getByText('Widen it so far'));
    await waitFor(() => expect(asked.at(-1)?.body).toMatchObject({ ranges: nearest.ranges, mostToBuy: null }));
  });

  it('moves a handle by keys, and opens it at the end of its scale', async () => {
    open({
      '/finder': (body: unknown) =>
        body ? { ...begun, ranges: [{ figure: 'speed', low: 260, high: null }] } : sent.finder,
    });
    await told();
    const handle = screen.getByLabelText('Speed, from');
    expect(handle.getAttribute('aria-valuenow')).toBe('260');
    fireEvent.keyDown(handle, { key: 'ArrowRight' });
    expect((screen.getByLabelText('Speed from') as HTMLInputElement).value).toBe('261');
    fireEvent.keyDown(handle, { key: 'Home' });
    expect((screen.getByLabelText('Speed from') as HTMLInputElement).value).toBe('');
    expect(handle.getAttribute('aria-valuetext')).toBe('open');
  });
});
