import { cleanup, render, renderHook, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { only, sent } from '../../testing/fixtures';
import { HeadsPane } from './HeadsPane';
import { LiveReading } from '../../instruments/LiveReading';
import { MatchPane } from './MatchPane';
import { QuiverPane } from './QuiverPane';
import { TrayPane } from './TrayPane';
import type { Dozen, DozenWork } from './useDozen';
import { useEntryUndo } from './useEntryUndo';
import type { InstrumentEvent } from '../../instruments/useInstrument';
import { blank } from './WeighPane';

afterEach(cleanup);

const reading = (part: Partial<InstrumentEvent>): InstrumentEvent => ({
  state: 'reading',
  value: 252.3,
  unit: 'gr',
  stable: true,
  take: null,
  pan: null,
  why: null,
  simulated: true,
  travel: null,
  ...part,
});

const arrow = (number: number, part: Partial<Dozen['tray'][number]> = {}): Dozen['tray'][number] => ({
  number,
  pieces: { Shaft: [number], Point: [5 - number] },
  total: 350 + number / 10,
  deviation: number / 10 - 0.2,
  deviations: { Shaft: 0.3, Point: -0.2 },
  frontOfCenter: 12.7,
  state: 'parts',
  built: null,
  glueAndWrap: null,
  balance: null,
  builtFrontOfCenter: null,
  nockMark: null,
  paper: null,
  retired: false,
  note: null,
  retiredWhy: null,
  tickIds: {},
  stays: false,
  locked: false,
  practice: null,
  repaired: null,
  retiredSince: null,
  ...part,
});

const unweighed = (name: string): Dozen['classes'][number] => ({
  name,
  perArrow: 1,
  needed: 3,
  wanted: 3,
  pieces: [],
  lightest: null,
  heaviest: null,
  middle: null,
  missing: 3,
});

const dozen = (part: Partial<Dozen> = {}): Dozen => ({
  ...sent.dozen,
  id: 'd',
  name: 'Island dozen',
  plan: { name: 'Island dozen', arrows: 3, classes: ['Shaft', 'Point'], spare: 0, vanesInSets: false },
  classes: [unweighed('Shaft'), unweighed('Point')],
  shafts: [
    {
      number: 1,
      runOut: null,
      grade: 'poor',
      crookedness: 0.01,
      spine: null,
      indexMark: null,
      damaged: false,
      destroyed: false,
      glued: false,
      finding: null,
    },
    {
      number: 2,
      runOut: 0.0005,
      grade: null,
      crookedness: 0.0005,
      spine: null,
      indexMark: 'blue',
      damaged: false,
      destroyed: false,
      glued: false,
      finding: null,
    },
  ],
  match: null,
  tray: [arrow(1), arrow(2), arrow(3)],
  heads: { pieces: [], heads: [], spread: null, bestSpread: null, words: 'Weigh the heads.', practice: null },
  steps: [
    { code: 'cut', words: 'Cut', caution: 'Eye protection.', state: 'cut' },
    { code: 'square', words: 'Square both ends', caution: '', state: 'cut' },
  ],
  ...part,
});

const work = () =>
  only<DozenWork>({
    busy: false,
    problem: null,
    faults: {},
    enter: vi.fn().mockResolvedValue({}),
    match: vi.fn(),
    cancel: vi.fn(),
  });

describe('a live reading', () => {
  it('is marked as simulated and says when it stands still', () => {
    render(<LiveReading last={reading({})} trouble={null} unit="gr" />);
    expect(screen.getByText('simulated')).toBeTruthy();
    expect(screen.getByText('252.3')).toBeTruthy();
    expect(screen.getByText('stable')).toBeTruthy();
  });

  it('of a real device is not marked', () => {
    render(<LiveReading last={reading({ simulated: false, stable: false })} trouble={null} unit="gr" />);
    expect(screen.queryByText('simulated')).toBeNull();
    expect(screen.getByText('moving')).toBeTruthy();
  });

  it('waits for an empty pan after a piece was taken', () => {
    render(<LiveReading last={reading({ pan: 'taken' })} trouble={null} unit="gr" />);
    expect(screen.getByText('taken: lift the piece off')).toBeTruthy();
  });

  it('that has not come yet is words, in its own unit', () => {
    const { container } = render(<LiveReading last={null} trouble={null} unit="ft/s" />);
    expect(screen.getByText('no reading yet')).toBeTruthy();
    expect(container.textContent).not.toMatch(/gr|…/);
  });

  it('that is lost is struck through and typing stays open', () => {
    const { container } = render(<LiveReading last={reading({})} trouble="no reading for 4 s" unit="gr" />);
    expect(container.querySelector('s')?.textContent).toBe('252.3');
    expect(screen.getByText(/no reading for 4 s; the field below is open/)).toBeTruthy();
  });
});

describe('matching', () => {
  it('sends what was chosen', async () => {
    const acts = work();
    render(<MatchPane dozen={dozen()} work={acts} />);
    await userEvent.click(screen.getByLabelText('Shafts measured alike go together'));
    await userEvent.type(screen.getByLabelText('Shafts with their insert glued in'), '3, 5');
    await userEvent.click(screen.getByTestId('match'));
    expect(acts.match).toHaveBeenCalledWith('d', {
      spineSets: true,
      straightest: false,
      leaveOut: 0,
      gluedShafts: [3, 5],
    });
  });

  it('shows what was found beside chance, and what it buys', () => {
    const worth = (speed: number) => ({
      spreadGrains: 1,
      speedSpread: speed,
      heights: [{ yards: 60, inches: speed / 2 }],
    });
    const match = {
      spread: 0.2,
      bound: 0.1,
      proven: false,
      binds: 'Shaft',
      byChance: 2.6,
      oppositeOrder: 1.1,
      bought: worth(0.1),
      chance: worth(0.8),
      frontOfCenterSpread: 0.05,
      words: 'Within 0.1 gr of what is possible.',
      stale: 'Shaft 5 is bent: match the rest again.',
    };
    render(<MatchPane dozen={dozen({ match })} work={work()} />);
    expect(screen.getByText('0.2 gr apart')).toBeTruthy();
    expect(screen.getByText('2.6 gr')).toBeTruthy();
    expect(screen.getByText(/Shaft 5 is bent: match the rest again\./)).toBeTruthy();
    expect(screen.getByText(/0.10 ft\/s apart in place of 0.80 ft\/s/)).toBeTruthy();
  });
});

describe('the build list', () => {
  it('names the pieces of each arrow and ticks a step', async () => {
    const acts = work();
    render(<TrayPane dozen={dozen()} work={acts} />);
    expect(screen.getByText('Arrow 3')).toBeTruthy();
    expect(screen.getByText('Eye protection.')).toBeTruthy();
    await userEvent.click(screen.getAllByRole('checkbox')[0]!);
    expect(acts.enter).toHaveBeenCalledWith('d', expect.objectContaining({ kind: 'tick', number: 1, word: 'cut' }));
  });

  it('locks an arrow by hand, and says which ones a match leaves as they are', async () => {
    const acts = work();
    const [first, second, ...more] = dozen().tray;
    const tray = [{ ...first!, stays: true }, { ...second!, stays: true, locked: true }, ...more];
    const { unmount } = render(<TrayPane dozen={dozen({ tray })} work={acts} />);
    const stays = () => screen.getByLabelText<HTMLInputElement>(/Stays as it is when the rest is matched again/);
    expect([stays().checked, stays().disabled]).toEqual([true, true]);
    await userEvent.click(screen.getByText('Arrow 3'));
    await userEvent.click(stays());
    const locked = { kind: 'made', word: 'locked', note: 'yes' };
    expect(acts.enter).toHaveBeenLastCalledWith('d', expect.objectContaining({ ...locked, number: 3 }));
    await userEvent.click(screen.getByText('Arrow 2'));
    await userEvent.click(stays());
    expect(acts.enter).toHaveBeenLastCalledWith('d', expect.objectContaining({ ...locked, note: '', number: 2 }));
    unmount();
    render(<MatchPane dozen={dozen({ tray })} work={acts} />);
    expect(screen.getByTestId('stay').textContent).toContain('Arrows 1, 2 are begun or locked');
    expect(screen.getByText('Match the rest again')).toBeTruthy();
  });

  it('keeps a built weight by Enter', async () => {
    const acts = work();
    render(<TrayPane dozen={dozen()} work={acts} />);
    await userEvent.type(screen.getByLabelText('Built weight'), '412.3{Enter}');
    expect(acts.enter).toHaveBeenCalledWith(
      'd',
      expect.objectContaining({ kind: 'made', word: 'built', value: '412.3' }),
    );
  });

  it('waits for a match', () => {
    render(<TrayPane dozen={dozen({ tray: [] })} work={work()} />);
    expect(screen.getByText(/Match the pieces first/)).toBeTruthy();
  });
});

describe('what was entered of an arrow', () => {
  it('is taken back by one undo that names it, a piece where it is weighed', async () => {
    const after = dozen({ lastEntryId: 'last', tray: [arrow(1, { tickIds: { cut: 'tick1' } })] });
    const acts = { enter: vi.fn(() => Promise.resolve(after)), withdraw: vi.fn(() => Promise.resolve(after)) };
    const undo = { offer: vi.fn(), done: vi.fn(), forget: vi.fn() };
    const { result } = renderHook(() => useEntryUndo(acts, undo));
    await result.current('d', { ...blank, kind: 'tick', number: 1, word: 'cut' });
    const [what, run] = undo.offer.mock.lastCall as [string, () => void];
    expect(what).toBe(`“${after.steps[0]!.words}” of arrow 1`);
    run();
    expect(acts.withdraw).toHaveBeenLastCalledWith('d', 'tick1');
    await waitFor(() => expect(undo.done).toHaveBeenCalledWith(what));
    await result.current('d', { ...blank, kind: 'made', number: 1, word: 'built', value: '400' });
    expect(undo.offer.mock.lastCall![0]).toBe('the built weight of arrow 1');
    await result.current('d', { ...blank, kind: 'piece', value: '250' });
    expect(undo.forget).toHaveBeenCalledOnce();
  });
});

describe('the quiver', () => {
  it('puts the best spinners first and leaves retired arrows out', () => {
    render(<QuiverPane dozen={dozen({ tray: [arrow(1), arrow(2), arrow(3, { retired: true })] })} />);
    const rows = screen.getAllByRole('rowheader').map((cell) => cell.textContent);
    expect(rows).toEqual(['Arrow 2, quiver', 'Arrow 1, quiver']);
  });
});

describe('heads', () => {
  it('stand on their arrows with the practice head named', async () => {
    const heads = {
      pieces: [{ entryId: 'h', number: 1, grains: 100.2, source: 'typed', odd: false, fromMiddle: 0 }],
      heads: [{ arrow: 2, head: 1, total: 450.4 }],
      spread: 0.4,
      bestSpread: 0.4,
      words: 'Lightest arrow with heaviest head.',
      practice: 4,
    };
    const acts = work();
    render(<HeadsPane dozen={dozen({ heads })} work={acts} />);
    expect(screen.getByText('450.4 gr')).toBeTruthy();
    expect(screen.getByText('Head 4 is the practice head.')).toBeTruthy();
    await userEvent.type(screen.getByLabelText('Head 2, weight'), '101{Enter}');
    expect(acts.enter).toHaveBeenCalledWith('d', expect.objectContaining({ class: 'Head', value: '101' }));
  });
});
