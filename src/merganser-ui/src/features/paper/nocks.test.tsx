import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { sent } from '../../testing/fixtures';
import { answering, refusing, show } from '../../testing/show';
import { NocksPage } from './NocksPage';
import { level } from './paperTypes';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const choices = sent.paperChoices;

describe('nock tuning', () => {
  const reading = (state: string, part: object = {}) => ({ state, best: 0, next: null, words: state, ...part });
  const nocks = (part: object = {}) => ({
    dozenId: 'd',
    name: 'Osk eight',
    tolerance: 0.25,
    distance: 3,
    toleranceText: '0.25 in',
    distances: [{ distance: 3, words: '3 yd' }],
    arrows: [
      { number: 1, bare: reading('good'), fletched: reading('untried'), shots: [], mark: null, retired: false },
      {
        number: 2,
        bare: reading('turnOn', { next: 1 }),
        fletched: reading('untried'),
        shots: [
          { id: 's', turn: 0, turned: 'as it came', fletched: false, distance: 3, tear: { x: 0.6, y: 0, length: 0.6 } },
        ],
        mark: null,
        retired: false,
      },
    ],
    bareTurns: 4,
    vaneTurns: 3,
    good: 1,
    practice: 0,
    next: {
      number: 2,
      fletched: false,
      turn: 1,
      sentence: 'Arrow 2: turn the nock to step 1 of 4, shoot.',
      reason: 'best 0.60 in',
    },
    ...part,
  });
  const dozens = { dozens: [{ id: 'd', name: 'Osk eight' }], earlier: null };

  it('stands at the arrow that is next, keeps a clean hole for it, and takes a shot back', async () => {
    const asked = answering({ '/dozens/d/nocks/s': nocks(), '/dozens/d/nocks': nocks(), '/dozens': dozens });
    show(<NocksPage bowId="b" choices={choices} />);
    expect(await screen.findByText('Bare, step 1 of 4')).toBeTruthy();
    expect(screen.getByText('Keep this shot').closest('button')!.getAttribute('aria-disabled')).toBe('true');
    await userEvent.click(screen.getByText('One clean hole'));
    await userEvent.click(screen.getByText('Keep this shot'));
    await waitFor(() => expect(asked.some((a) => a.method === 'POST')).toBe(true));
    expect(asked.find((a) => a.method === 'POST')!.body).toMatchObject({
      number: 2,
      turn: 1,
      fletched: false,
      words: level,
      distance: '3',
    });
    await userEvent.click(screen.getByText('Take back'));
    await waitFor(() => expect(asked.some((a) => a.method === 'DELETE')).toBe(true));
  });

  it('takes another arrow, another step and another distance', async () => {
    const asked = answering({ '/dozens/d/nocks': nocks(), '/dozens': dozens });
    show(<NocksPage bowId="b" choices={choices} />);
    await userEvent.click((await screen.findAllByText('1'))[0]!);
    expect(screen.getByText('With vanes, as it came')).toBeTruthy();
    await userEvent.click(screen.getByText('step 2'));
    expect(screen.getByText('With vanes, step 2 of 3')).toBeTruthy();
    await userEvent.click(screen.getByText('15 yd'));
    await waitFor(() => expect(asked.some((a) => a.path.endsWith('distance=15'))).toBe(true));
  });

  it('keeps what was typed when it is refused', async () => {
    answering({
      '/dozens/d/nocks': (body: unknown) =>
        body ? refusing({ right: ['That is no number.'] }, 'One entry needs another look.') : nocks(),
      '/dozens': dozens,
    });
    show(<NocksPage bowId="b" choices={choices} />);
    const field = await screen.findByLabelText('Tail right of the point (left: −)');
    await userEvent.type(field, 'a lot');
    await userEvent.click(screen.getByText('Keep this shot'));
    expect(await screen.findByText('That is no number.')).toBeTruthy();
    expect((field as HTMLInputElement).value).toBe('a lot');
  });

  it('asks for a dozen first', async () => {
    answering({ '/dozens': { dozens: [], earlier: null } });
    show(<NocksPage bowId="b" choices={choices} />);
    expect(await screen.findByText('No dozen yet')).toBeTruthy();
  });
});
