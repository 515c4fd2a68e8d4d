import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { flightPaths, rangeFrame, struckPaths, tapeFrame } from '../../drawing/range';
import { answering, show } from '../../testing/show';
import { sent } from '../../testing/fixtures';
import FlightPage from './FlightPage';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const struck = [
  { yards: 10, above: 0.4, below: -0.2, ring: 1 },
  { yards: 40, above: 2, below: -2.2, ring: 4 },
];
const path = [
  { yards: 0, height: -4.5, low: null, high: null },
  { yards: 17, height: 2.7, low: 2.6, high: 2.8 },
  { yards: 60, height: -60, low: -64, high: -56 },
];

describe('the drawing of a range', () => {
  const box = { left: 80, right: 1200, top: 30, bottom: 300 };
  const frame = rangeFrame(box, 60, path, struck, 4);

  it('keeps what is hit between its path and its ruler', () => {
    const farthest = Math.max(...struck.map((s) => Math.max(s.above, -s.below) + s.ring));
    expect(frame.line + farthest * frame.px).toBeLessThan(frame.ruler);
    expect(frame.sight).toBeLessThan(frame.line);
    expect(frame.x(0)).toBe(80);
    expect(frame.x(60)).toBe(1200);
  });

  it('says how many times the height is drawn', () => {
    const yard = frame.x(1) - frame.x(0);
    expect(frame.times).toBe(Math.round(frame.tall / (yard / 36)));
  });

  it('lifts the pen where the path leaves it, and has a band only where the speed is not measured', () => {
    const drawn = flightPaths(frame, path, frame.line);
    expect(drawn.middle.match(/L/g)).toHaveLength(1);
    expect(flightPaths(frame, [path[0]!], frame.line).band).toBe('');
  });

  it('draws the outer edges of both rings', () => {
    const edges = struckPaths(frame, struck);
    expect(edges.top).toContain(`${(frame.line - 6 * frame.px).toFixed(1).replace(/\.0$/, '')}`);
  });

  it('stretches a tape from its first mark to its last', () => {
    const { at } = tapeFrame([{ inches: 0 }, { inches: 0.2 }, { inches: 0.8 }], 400);
    expect([at(0), at(0.2), at(0.8)]).toEqual([0, 100, 400]);
    // A scale that counts the other way is drawn the same.
    expect(tapeFrame([{ inches: 0 }, { inches: -0.8 }], 400).at(-0.4)).toBe(200);
  });
});

const open = (search: string, answers: Record<string, unknown> = {}) => {
  const asked = answering({ '/flight': sent.flight, '/bows/': sent.bow, ...answers });
  show(
    <Routes>
      <Route path="/bows/:bowId/groups" element={<FlightPage />} />
    </Routes>,
    `/bows/b/groups?way=range${search}`,
  );
  return asked;
};

describe('the range', () => {
  it('says how far, and sends what is said with its unit', async () => {
    const asked = open('');
    expect(await screen.findByText(sent.flight.honest!.title)).toBeTruthy();
    fireEvent.click(screen.getByLabelText('Circle to keep in, in: one more'));
    await waitFor(() => {
      const said = asked.find((a) => a.method === 'POST');
      expect(said?.body).toMatchObject({ circle: '9 in', error: 'usual' });
    });
  });

  it('says that no arrow is kept, and where to build one', async () => {
    open('', { '/flight': { ...sent.flight, arrows: [], arrowId: null } });
    expect(await screen.findByText('No arrow is kept yet')).toBeTruthy();
  });

  it('keeps a mark that was refused as it was typed', async () => {
    open('&show=marks', {
      '/proven': new Response(
        JSON.stringify({ title: 'near is no number', code: 'fields', errors: { distance: ['“near” is no number.'] } }),
        { status: 400 },
      ),
    });
    const distance = await screen.findByLabelText('Distance');
    fireEvent.change(distance, { target: { value: 'near' } });
    const value = screen.getByLabelText('Place of the pin on its bar');
    fireEvent.change(value, { target: { value: '1.2' } });
    fireEvent.click(screen.getByText('Keep it'));
    expect(await screen.findByText('“near” is no number.')).toBeTruthy();
    expect((distance as HTMLInputElement).value).toBe('near');
    expect((value as HTMLInputElement).value).toBe('1.2');
  });

  it('asks about a mark that the others contradict', async () => {
    const [first, ...rest] = sent.flight.proven;
    const proven = [{ ...first!, doubted: true, words: 'Your mark at 20 yd lies elsewhere: shoot it again.' }, ...rest];
    open('&show=marks', { '/flight': { ...sent.flight, proven } });
    expect(await screen.findByText(/lies elsewhere: shoot it again/)).toBeTruthy();
  });
});
