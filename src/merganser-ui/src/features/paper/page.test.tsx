import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { answering, refusing, show } from '../../testing/show';
import PaperPage from './PaperPage';

beforeEach(() => localStorage.clear());
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const adjuster = {
  kind: 'restHeight',
  name: 'Rest up/down',
  axis: 'height',
  stepUnit: 'click',
  position: 0,
  lower: -60,
  upper: 60,
  needsPress: false,
  plus: 'Rest 1 click down',
  minus: 'Rest 1 click up',
  inchesPerStep: null,
  way: 'agreed' as const,
  seats: null,
};
const bow = {
  id: 'b',
  bow: { name: 'Own bow', kind: 'compound', hand: 'right' },
  adjusters: [adjuster],
  moves: [],
  units: null,
  line: 'compound',
};
const arrow = (id: string, name: string) => ({
  id,
  draft: { name },
  kept: { id: `${id}1`, number: 1, typed: { name } },
});
const shot = (number: number, x: number) => ({
  id: `s${number}`,
  number,
  point: { x: 0, y: 0 },
  tail: { x, y: 0 },
  side: 'shootingSide',
  tear: { x, y: 0 },
  voidReason: null,
  doubtful: false,
  arrowNumber: null,
  words: null,
  shotAt: '2026-11-23T18:00:00Z',
});
const set = (number: number, part: object = {}) => ({
  id: `set${number}`,
  number,
  distanceTyped: '3',
  distance: 3,
  fletched: false,
  purpose: 'session',
  arrowName: 'Light',
  startedAt: '2026-11-23T18:00:00Z',
  shots: [shot(1, 0.5)],
  headline: 'Tail right 0.50 in.',
  mean: {
    mean: { x: 0.5, y: 0 },
    radius: 0.2,
    spread: 0.1,
    count: 1,
    spreadAssumed: true,
    words: 'Tail right 0.50 in.',
  },
  figures: [],
  movesBefore: [],
  movesNotShown: 0,
  notesAfter: [],
  notesNotShown: 0,
  wayBack: [],
  ...part,
});
const stage = (distance: number, inWork: boolean) => ({
  words: `${distance} yd bare`,
  distance,
  fletched: false,
  planned: true,
  inWork,
  shots: 1,
  reading: null,
  chance: 0.5,
});
const next = (action: string, button: string, part: object = {}) => ({
  sentence: `The next sentence: ${action}.`,
  reason: 'The reason.',
  action,
  button,
  alternative: 'I accept this',
  alternativeAction: 'accept',
  ...part,
});
const paper = (part: object = {}) => ({
  id: 'p',
  bowId: 'b',
  arrowVersionId: 'a1',
  arrowName: 'Light',
  arrowVersionNumber: 1,
  vaneCount: 3,
  tolerance: 0.25,
  startedAt: '2026-11-23T18:00:00Z',
  acceptedAt: null,
  plan: {
    kind: 'tune',
    school: 'centreFirst',
    stages: [stage(3, true), stage(6, false)],
    nextStage: null,
    arrowNumbers: [],
  },
  sets: [set(1)],
  advice: {
    kind: 'shootMore',
    sentence: 'Shoot one more.',
    reason: 'It is close.',
    move: null,
    disputed: null,
    runnerUp: null,
    evidence: [],
    ghosts: [],
    chance: 0.4,
    enough: 0.97,
    chanceAfter: null,
  },
  readings: [],
  ladder: { wanted: false, rungs: [], next: null },
  lastMoves: [],
  formSchools: [],
  trial: null,
  spineCheck: null,
  next: next('mark', 'Mark a shot'),
  version: 1,
  ...part,
});

const choices = {
  stages: [{ code: 'three', words: '3 yd', stages: [{ distance: 3, fletched: false }] }],
  sizes: [],
  beforeYouShoot: [],
};

function open(papers: unknown[], more: Record<string, unknown> = {}, path = '/bows/b/paper') {
  const asked = answering({
    '/api/bows/b/papers/newest': { paper: papers[0] ?? null },
    '/api/bows/b/arrows': [arrow('a', 'Light'), arrow('c', 'Heavy')],
    '/api/bows/b/dozens': { dozens: [], earlier: null },
    '/api/bows/b': bow,
    '/api/bows/b/paper-choices': choices,
    '/api/rack': { bows: [], next: next('', '') },
    ...more,
  });
  show(
    <Routes>
      <Route path="/bows/:bowId/paper" element={<PaperPage />} />
      <Route path="/" element={<h1>The rack</h1>} />
    </Routes>,
    path,
  );
  return asked;
}
const posted = (asked: ReturnType<typeof open>, end: string) =>
  asked.find((a) => a.method === 'POST' && a.path.endsWith(end))?.body;

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
