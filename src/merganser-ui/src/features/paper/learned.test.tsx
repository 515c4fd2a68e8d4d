import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { answering, refusing, show } from '../../testing/show';
import { LearnedPanel } from './LearnedPanel';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe('the learned response', () => {
  const view = (part: object = {}) => ({
    bowId: 'b',
    stage: '3 yd, bare',
    arrowName: 'Island',
    shots: 8,
    spread: 0.12,
    usualSpread: 0.18,
    ownSpread: false,
    rows: [
      {
        kind: 'yokePair',
        name: 'Yoke pair',
        stepUnit: 'half twist',
        plusWords: 'Left yoke leg 1 half twist shorter',
        nominal: 0.4,
        before: { gain: 0.4, sd: 0.2 },
        now: { gain: 0.31, sd: 0.05 },
        plusChance: 1,
        open: false,
        settings: 2,
        words: '2 positions shot',
      },
      {
        kind: 'restSideways',
        name: 'Rest in/out',
        stepUnit: 'click',
        plusWords: 'Rest 1 click right (in)',
        nominal: 0.03,
        before: { gain: 0.03, sd: 0.015 },
        now: { gain: 0.03, sd: 0.015 },
        plusChance: 0.5,
        open: true,
        settings: 1,
        words: 'not moved yet',
      },
    ],
    others: [{ words: '6 yd, bare', arrowName: 'Island', shots: 5, spread: 0.1, taught: [] }],
    proposals: [],
    resets: [],
    ...part,
  });

  it('shows each gain before and now; an open way has no sign', async () => {
    answering({ '/response': view() });
    show(<LearnedPanel bowId="b" onForgot={vi.fn()} />);
    expect(await screen.findByText('+0.310 in ± 0.050 in')).toBeTruthy();
    expect(screen.getByText('either way')).toBeTruthy();
    expect(screen.getByText(/Nothing was moved there/)).toBeTruthy();
  });

  it('is forgotten when a new string is proposed, and that is taken back', async () => {
    const proposal = { change: 'newRest', kinds: ['restSideways'], words: 'New rest: its clicks answer anew?' };
    const reset = { id: 'r', words: 'Rest in/out', reason: 'newRest', resetAt: '2026-11-23T18:00:00Z' };
    const asked = answering({
      '/response/resets': view({ resets: [reset] }),
      '/response/resets/r': view(),
      '/response': view({ proposals: [proposal] }),
    });
    const onForgot = vi.fn();
    show(<LearnedPanel bowId="b" onForgot={onForgot} />);
    await userEvent.click(await screen.findByText('Forget it'));
    expect(await screen.findByText(/Forgotten on 23\/11\/2026: Rest in\/out/)).toBeTruthy();
    expect(asked.find((a) => a.method === 'POST')!.body).toMatchObject({ kinds: ['restSideways'], reason: 'newRest' });
    await userEvent.click(screen.getByText('Take it back'));
    await waitFor(() => expect(screen.queryByText(/Forgotten on/)).toBeNull());
    expect(onForgot).toHaveBeenCalledTimes(2);
  });

  it('says when it cannot be forgotten', async () => {
    answering({ '/response/resets': () => refusing({}, 'A reason of 1 to 120 characters.'), '/response': view() });
    show(<LearnedPanel bowId="b" onForgot={vi.fn()} />);
    await userEvent.click(await screen.findByText(/Forget everything/));
    expect(await screen.findByText('A reason of 1 to 120 characters.')).toBeTruthy();
  });
});
