import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { refusing } from '../../testing/show';
import { next, open, paper, posted, set, shot } from './pageFixtures';

beforeEach(() => localStorage.clear());
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe('the paper', () => {
  it('is planned and begun with its stages', async () => {
    const asked = open([], { '/api/papers': paper() });
    await userEvent.click(await screen.findByText('Begin this paper'));
    await waitFor(() => expect(posted(asked, '/api/papers')).toBeTruthy());
    expect(posted(asked, '/api/papers')).toMatchObject({
      arrowVersionId: 'a1',
      stages: [{ distance: '3', fletched: false }],
      shotsPerDecision: 2,
      kind: 'tune',
    });
    expect((await screen.findByTestId('words')).textContent).toBe('Tail right 0.50 in.');
  });

  it('leads nowhere while it is opened, and asks again where it cannot be read', async () => {
    let refuse: (answer: Response) => void = () => undefined;
    open([], { '/api/bows/b/arrows': () => new Promise<Response>((done) => (refuse = done)) });
    expect(await screen.findByText('Opening the paper …')).toBeTruthy();
    expect(screen.getByTestId('go').getAttribute('aria-disabled')).toBe('true');
    refuse(refusing({}, 'No.', 500));
    expect(await screen.findByText('The paper could not be read.')).toBeTruthy();
    expect(screen.getByText('No.')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'To the rack' })).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: /Try again/ }));
    refuse(new Response('[]', { headers: { 'Content-Type': 'application/json' } }));
    expect(await screen.findByText('No arrow is kept yet')).toBeTruthy();
  });

  it('opens an earlier paper as it was, to look at and not to work on', async () => {
    const before = paper({
      id: 'old',
      startedAt: '2026-09-12T10:00:00Z',
      arrowName: 'Light',
      sets: [set(1), set(2)],
      advice: { ...paper().advice, ghosts: [{ right: 0.1, up: 0, ellipse: null }] },
    });
    const line = {
      id: 'old',
      startedAt: '2026-09-12T10:00:00Z',
      acceptedAt: null,
      kind: 'tune',
      arrowName: 'Light',
      arrowVersion: 1,
      sets: 2,
      shots: 1,
    };
    open([paper()], { '/api/papers/old': before, '/api/bows/b/papers': { papers: [line], earlier: null } });
    await userEvent.click(await screen.findByText('Earlier'));
    await userEvent.click(await screen.findByText('2 sets, 1 shot'));
    expect(await screen.findByText(/This is the paper of 12 Sept 2026, with Light/)).toBeTruthy();
    await userEvent.click(screen.getByText(/^Shots, /));
    expect(screen.getByTestId('shots')).toBeTruthy();
    expect(screen.queryByText('Void')).toBeNull();
    expect(screen.queryByText('I accept this')).toBeNull();
    await userEvent.click(screen.getByTestId('go'));
    expect((await screen.findAllByText('I accept this')).length).toBeGreaterThan(0);
  });

  it('says so when an earlier paper is not on record', async () => {
    open(
      [paper()],
      { '/api/papers/gone': () => refusing({}, 'There is no such paper.', 404) },
      '/bows/b/paper?paper=gone',
    );
    expect(await screen.findByText('This paper is not on record.')).toBeTruthy();
  });

  it('keeps a plan that is refused, with the fault beside its field', async () => {
    open([], {
      '/api/papers': () => refusing({ distance: ['Allowed is 1 to 100 yd.'] }, 'One entry needs another look.'),
    });
    const field = await screen.findByLabelText('Distance to the paper');
    await userEvent.clear(field);
    await userEvent.type(field, 'far');
    await userEvent.click(screen.getByText('Begin this paper'));
    expect(await screen.findByText('Allowed is 1 to 100 yd.')).toBeTruthy();
    expect((field as HTMLInputElement).value).toBe('far');
  });

  it('goes on to the next stage when this one is good', async () => {
    const good = paper({
      plan: { ...paper().plan, nextStage: { distance: 6, fletched: false, words: '6 yd bare' } },
      next: next('nextStage', 'On to 6 yd bare'),
    });
    const asked = open([good], { '/api/papers/p/sets': paper({ sets: [set(1), set(2, { shots: [], mean: null })] }) });
    await userEvent.click(await screen.findByText('On to 6 yd bare'));
    await waitFor(() =>
      expect(posted(asked, '/sets')).toMatchObject({ distance: '6', fletched: false, purpose: 'session' }),
    );
    expect(await screen.findByText('Set 2')).toBeTruthy();
  });

  it('shoots a control with another arrow and the bow left alone', async () => {
    const rung = {
      code: 'controlArrow',
      title: 'A control arrow',
      how: 'how',
      tells: 'tells',
      control: true,
      noteId: null,
      outcome: null,
      note: null,
    };
    const stuck = paper({
      ladder: { wanted: true, rungs: [rung], next: 'controlArrow' },
      next: next('rung', 'Open the ladder'),
    });
    const asked = open([stuck], {
      '/api/papers/p/sets': paper({ sets: [set(1), set(2, { purpose: 'controlArrow', shots: [], mean: null })] }),
    });
    await userEvent.click(await screen.findByText('Open the ladder'));
    await userEvent.click(screen.getByText('Shoot it now'));
    await waitFor(() =>
      expect(posted(asked, '/sets')).toMatchObject({ purpose: 'controlArrow', arrowVersionId: 'c1' }),
    );
    expect(await screen.findByText(/A control: control arrow/)).toBeTruthy();
  });

  it('leaves open what was opened while an answer was awaited', async () => {
    let answer: (paper: unknown) => void = () => {};
    const awaited = new Promise<unknown>((resolve) => (answer = resolve));
    open([paper({ next: next('backToSession', 'Back to the session') })], {
      '/api/papers/p/sets': () => awaited,
    });
    await userEvent.click(await screen.findByText('Back to the session'));
    await userEvent.click(screen.getByText('Ladder'));
    answer(paper({ sets: [set(1), set(2, { shots: [], mean: null })] }));
    expect(await screen.findByText('Set 2')).toBeTruthy();
    expect(screen.getByTestId('ladder')).toBeTruthy();
  });

  it('logs the moves back to a past set one by one', async () => {
    const back = (kind: string, to: number) => ({
      kind,
      name: kind,
      from: 0,
      to,
      order: `${kind} to ${to}`,
      needsPress: false,
    });
    const past = set(1, { wayBack: [back('restHeight', 2), back('nockingPoint', 1)] });
    const asked = open([paper({ sets: [past, set(2)] })], {
      '/api/papers/p/moves': paper({ sets: [past, set(2), set(3, { shots: [], mean: null })] }),
    });
    await userEvent.click(await screen.findByText('Set 1'));
    await userEvent.click(screen.getByText('I made these moves back'));
    await waitFor(() => expect(asked.filter((a) => a.method === 'POST' && a.path.endsWith('/moves'))).toHaveLength(2));
    expect(asked.filter((a) => a.path.endsWith('/moves')).map((a) => (a.body as { to: number }).to)).toEqual([2, 1]);
  });

  it('takes the next arrow of a trial and ends it', async () => {
    const trial = paper({
      plan: { ...paper().plan, kind: 'trial' },
      trial: { rows: [], ranges: [], cause: 'Not enough yet.', because: '' },
    });
    const asked = open([trial], {
      '/api/papers/p/sets': trial,
      '/api/papers/p/accept': paper({ acceptedAt: '2026-11-23T19:00:00Z', next: next('start', 'Back to the rack') }),
    });
    await userEvent.selectOptions(await screen.findByLabelText('Next arrow of the trial'), 'c1');
    await waitFor(() => expect(posted(asked, '/sets')).toMatchObject({ arrowVersionId: 'c1' }));
    await userEvent.click(screen.getByTestId('accept'));
    await userEvent.click(await screen.findByText('Back to the rack'));
    expect(await screen.findByText('The rack')).toBeTruthy();
  });

  it('keeps a shot typed by the point, and a mark that was begun before a reload', async () => {
    localStorage.setItem(
      'merganser-mark-p',
      JSON.stringify({ point: null, tail: null, side: 'targetSide', right: '1/2', up: '' }),
    );
    const asked = open([paper()], {
      '/api/sets/set1/shots': paper({ sets: [set(1, { shots: [shot(1, 0.5), shot(2, 0.6)] })] }),
    });
    await userEvent.click(await screen.findByText('by the point'));
    expect((screen.getByLabelText('Point right of the tail (left: −)') as HTMLInputElement).value).toBe('1/2');
    await userEvent.click(screen.getByText('Keep this shot'));
    await waitFor(() =>
      expect(posted(asked, '/shots')).toMatchObject({
        typed: { right: '1/2', up: '', by: 'point' },
        side: 'targetSide',
        words: null,
      }),
    );
    await waitFor(() => expect(localStorage.getItem('merganser-mark-p')).toBeNull());
    expect(screen.getByTestId('undo')).toBeTruthy();
  });

  it('says what is missing when no arrow is kept', async () => {
    open([], { '/api/bows/b/arrows': [] });
    expect(await screen.findByText('No arrow is kept yet')).toBeTruthy();
    expect(screen.getByText('To the arrow')).toBeTruthy();
  });
});
