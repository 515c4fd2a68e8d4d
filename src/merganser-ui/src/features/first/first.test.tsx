import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { answering, show } from '../../testing/show';
import FirstPage from './FirstPage';
import { FirstFigures } from './FirstFigures';
import { holes, holeWords, questionsFor, saidHole } from './questions';
import type { Schemas } from '../../api/client';

const reading = (part: Partial<Schemas['FirstReading']> = {}): Schemas['FirstReading'] => ({
  weight: { low: 388, middle: 413, high: 437 },
  perPound: { low: 5.8, middle: 6.3, high: 7 },
  fit: { low: 0.88, middle: 1.01, high: 1.15 },
  shares: [
    { band: 'weak', share: 0.09 },
    { band: 'borderlineWeak', share: 0.24 },
    { band: 'good', share: 0.667 },
    { band: 'stiff', share: 0.003 },
  ],
  words: 'good, more likely than not; may be weak',
  heavy: 'Above 5: heavy enough for the bow.',
  lightShare: 0,
  narrowers: [
    { what: 'as answered now', width: 0.27 },
    { what: 'draw weight measured, in a shop', width: 0.22 },
  ],
  clash: null,
  ...part,
});

let asked: ReturnType<typeof answering>;

beforeEach(() => {
  localStorage.clear();
  asked = answering({
    '/api/rack': { bows: [], archived: [], unreadable: [] },
    '/api/first/reading': (answers: unknown) =>
      (answers as Schemas['FirstAnswers']).drawWeight === '600'
        ? new Response(
            JSON.stringify({ code: 'fields', title: 'Look again.', errors: { drawWeight: ['5 to 120 lb.'] } }),
            {
              status: 400,
              headers: { 'Content-Type': 'application/json' },
            },
          )
        : {
            bow: { nominalWeight: '40 to 70', drawLength: '26 to 30.5' },
            cutLength: '25 to 31',
            point: '85 to 125',
            spine: '300 to 500',
            reading: reading(),
            sizes: [],
          },
  });
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  localStorage.clear();
});

describe('the nine holes', () => {
  it('are said by the tail, as they lie', () => {
    expect(holes.map(holeWords)).toEqual([
      'high left',
      'tail high',
      'high right',
      'tail left',
      'one hole',
      'tail right',
      'low left',
      'tail low',
      'low right',
    ]);
    expect(saidHole({ x: -1, y: 0 }, 'half')).toMatchObject({ sideways: 'half', left: true, height: null });
    expect(saidHole({ x: 1, y: -1 }, 'inch')).toMatchObject({
      sideways: 'inch',
      left: false,
      height: 'inch',
      low: true,
    });
    expect(saidHole({ x: 0, y: 0 }, 'two')).toMatchObject({ sideways: null, height: null });
  });
});

describe('what is asked', () => {
  it('is where it is printed, by the kind of bow', () => {
    const [compound, longbow] = [questionsFor('compound'), questionsFor('longbow')];
    expect(compound.map((q) => q.name)).toEqual(longbow.map((q) => q.name));
    expect(compound[1]!.usual).toContain('60 to 70');
    expect(longbow[1]!.hint).toContain('grip');
    expect(longbow[2]!.hint).toContain('arm span');
  });
});

describe('an empty bench', () => {
  it('goes from question to question, and back to one that is pressed', async () => {
    show(<FirstPage />);
    expect(screen.getByText('Fit: not yet')).toBeTruthy();
    await userEvent.click(screen.getByText('Left hand'));
    await userEvent.click(screen.getByText('60 to 70'));
    expect(screen.getByRole('group', { name: 'What draw length is printed on it?' })).toBeTruthy();
    await waitFor(() =>
      expect(asked.at(-1)!.body).toMatchObject({ hand: 'left', drawWeight: '60 to 70', drawLength: null }),
    );
    await screen.findByText(/good, more likely than not/);
    await userEvent.click(screen.getByText('Draw weight'));
    expect(screen.getByText('60 to 70', { selector: 'button' }).getAttribute('aria-pressed')).toBe('true');
  });

  it('holds a question that cannot be read open, and keeps what was typed through a reload', async () => {
    show(<FirstPage />);
    await userEvent.click(screen.getByText('Right hand'));
    await userEvent.type(screen.getByLabelText('another'), '600{Enter}');
    await screen.findByText('5 to 120 lb.');
    expect((screen.getByLabelText('another') as HTMLInputElement).value).toBe('600');
    cleanup();
    show(<FirstPage />);
    await screen.findByText('5 to 120 lb.');
    expect((screen.getByLabelText('another') as HTMLInputElement).value).toBe('600');
  });

  it('has the keys at the question that is open, from the first one on', async () => {
    show(<FirstPage />);
    const firsts = () => [...document.querySelectorAll('[data-first]')].map((e) => e.getAttribute('aria-label'));
    expect(firsts()).toEqual(['Kind of bow']);
    await userEvent.click(screen.getByText('tail left'));
    expect(firsts()).toEqual(['The hole']);
  });

  it('forgets what is usual of another kind of bow, and keeps what was typed', async () => {
    show(<FirstPage />);
    await userEvent.click(screen.getByText('Right hand'));
    await userEvent.click(screen.getByText('60 to 70'));
    await userEvent.type(screen.getByLabelText('Draw length'), '27 1/2{Enter}');
    await userEvent.click(screen.getByText('Kind and hand'));
    await userEvent.click(screen.getByText('Longbow'));
    await userEvent.click(screen.getByText('Left hand'));
    expect((screen.getByLabelText('another') as HTMLInputElement).value).toBe('');
    expect(screen.getByText('45', { selector: 'button' })).toBeTruthy();
    await userEvent.click(screen.getByText('Draw length'));
    expect((screen.getByLabelText('Draw length') as HTMLInputElement).value).toBe('27 1/2');
  });
});

describe('the first figure', () => {
  it('says its ends, its shares and what narrows it', () => {
    show(<FirstFigures reading={reading()} />);
    expect(screen.getByText('Fit 0.88 to 1.15')).toBeTruthy();
    expect(screen.getByText('under 1 %')).toBeTruthy();
    expect(screen.getByText('draw weight measured, in a shop')).toBeTruthy();
    expect(screen.getByRole('img', { name: /may be weak/ })).toBeTruthy();
  });
});
