import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { only, sent } from '../../testing/fixtures';
import { answering, refusing, show } from '../../testing/show';
import { Caliper } from './Caliper';
import { HistoryPane } from './HistoryPane';
import { SightsPane } from './SightsPane';
import { StringPane } from './StringPane';
import type { Setup, SetupWork } from './useSetup';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const work = () =>
  only<SetupWork>({
    busy: false,
    problem: null,
    faults: {},
    shoot: vi.fn().mockResolvedValue(true),
    plan: vi.fn().mockResolvedValue(true),
    withdraw: vi.fn().mockResolvedValue(true),
    undoMove: vi.fn().mockResolvedValue(true),
    change: vi.fn().mockResolvedValue(true),
    markGood: vi.fn().mockResolvedValue(true),
  });

const setup = (part: Partial<Setup> = {}): Setup => ({
  ...sent.setup,
  bowId: 'b',
  checks: [],
  due: [],
  string: {
    shots: 87,
    settling: 5,
    settlingLeft: 0,
    plan: { school: 'breakIn', checksAt: [100, 300], settlingShots: 5 },
    entries: [
      {
        id: 'e1',
        count: 78,
        settling: false,
        firedAt: '2026-11-23T18:00:00Z',
      },
    ],
  },
  choices: [{ change: 'newLoop', name: 'New D-loop', follows: 'Looked at again: peep, paper.' }],
  changes: { changes: [], earlier: null },
  goodStates: [],
  ...part,
});

describe('the string', () => {
  it('counts what was read and what only settled it', () => {
    show(<StringPane compound setup={setup()} work={work()} />);
    expect(screen.getByText('87')).toBeTruthy();
    expect(screen.getByText(/5 more that settled it/)).toBeTruthy();
    expect(screen.getByRole('img', { name: /87 shots on the string; checks at 100 and 300/ })).toBeTruthy();
  });

  it('counts by ends, or as typed', async () => {
    const acts = work();
    show(<StringPane compound setup={setup()} work={acts} />);
    await userEvent.click(screen.getByText('+12'));
    expect(acts.shoot).toHaveBeenCalledWith(12);
    await userEvent.type(screen.getByLabelText('Or so many'), '45{Enter}');
    expect(acts.shoot).toHaveBeenCalledWith(45);
  });

  it('says what is due, and what settles', () => {
    const due = [
      { what: 'String check at 100 shots', checks: [], shotsLeft: -4, on: null, now: true, reminderId: null },
    ];
    const string = { ...setup().string, settlingLeft: 3 };
    show(<StringPane compound setup={setup({ due, string })} work={work()} />);
    expect(screen.getByText('Due.')).toBeTruthy();
    expect(screen.getByText(/next 3 shots settle/)).toBeTruthy();
  });

  it('takes the other school with own numbers', async () => {
    const acts = work();
    show(<StringPane compound setup={setup()} work={acts} />);
    await userEvent.clear(screen.getByLabelText('Checks at so many shots'));
    await userEvent.type(screen.getByLabelText('Checks at so many shots'), '80, 250');
    await userEvent.click(screen.getByText('Pre-stretched'));
    expect(acts.plan).toHaveBeenCalledWith({ school: 'preStretched', checksAt: [80, 250], settlingShots: 5 });
  });

  it('takes back an entry that was wrong', async () => {
    const acts = work();
    show(<StringPane compound setup={setup()} work={acts} />);
    await userEvent.click(screen.getByText('Entered wrongly'));
    expect(acts.withdraw).toHaveBeenCalledWith('e1');
  });
});

describe('the history', () => {
  const move = (ordinal: number, part: Partial<Schemas['MoveView']> = {}): Schemas['MoveView'] => ({
    ...sent.bow.moves.moves[0]!,
    id: `m${ordinal}`,
    adjuster: 'restHeight',
    name: 'Rest up/down',
    from: 0,
    to: ordinal,
    words: `Rest ${ordinal} clicks up`,
    correction: false,
    corrects: null,
    note: '',
    paperId: null,
    afterSetId: null,
    happenedAt: '2026-11-23T18:00:00Z',
    recordedAt: '2026-11-23T18:00:00Z',
    ordinal,
    ...part,
  });
  const bow = (moves: Schemas['MoveView'][]) => only<Schemas['BowView']>({ id: 'b', moves: { moves, earlier: null } });

  it('always asks how a move is taken back, and only for the latest of an adjuster', async () => {
    answering({ '/arrows': [] });
    const acts = work();
    show(<HistoryPane bow={bow([move(1), move(2)])} setup={setup()} work={acts} />);
    const undo = screen.getAllByText('Undo …');
    expect(undo).toHaveLength(1);
    await userEvent.click(undo[0]!);
    await userEvent.click(screen.getByText('I turned it back on the bow'));
    expect(acts.undoMove).toHaveBeenCalledWith('m2', false);
  });

  it('corrects an entry without turning anything', async () => {
    answering({ '/arrows': [] });
    const acts = work();
    show(<HistoryPane bow={bow([move(1)])} setup={setup()} work={acts} />);
    await userEvent.click(screen.getByText('Undo …'));
    await userEvent.click(screen.getByText('It was logged wrongly'));
    expect(acts.undoMove).toHaveBeenCalledWith('m1', true);
  });

  it('shows what leads back to where it shot well', async () => {
    answering({ '/arrows': [] });
    const goodStates = [
      {
        id: 'g',
        words: 'as it shot Island 340 well',
        arrowVersionId: null,
        note: '',
        markedAt: '2026-11-23T18:00:00Z',
        positions: {},
        wayBack: [
          {
            kind: 'yokePair',
            name: 'Yoke pair',
            from: 1,
            to: 0,
            order: 'Right yoke leg 1 half twist shorter',
            needsPress: true,
          },
        ],
      },
    ] as Setup['goodStates'];
    const acts = work();
    show(<HistoryPane bow={bow([])} setup={setup({ goodStates })} work={acts} />);
    expect(screen.getByText('Right yoke leg 1 half twist shorter')).toBeTruthy();
    expect(screen.getByText('(press)')).toBeTruthy();
    await userEvent.click(screen.getByText('It shoots well as it stands'));
    expect(acts.markGood).toHaveBeenCalledWith(null, '');
  });

  it('enters what is new on the bow, and says what follows', async () => {
    answering({ '/arrows': [] });
    const acts = work();
    show(<HistoryPane bow={bow([])} setup={setup()} work={acts} />);
    expect(screen.getByText('Looked at again: peep, paper.')).toBeTruthy();
    await userEvent.type(screen.getByLabelText('Note on the change'), 'frayed');
    await userEvent.click(screen.getByText('New D-loop'));
    expect(acts.change).toHaveBeenCalledWith('newLoop', 'frayed');
  });
});

describe('the caliper', () => {
  it('says how far the rest moves', async () => {
    const asked = answering({ '/api/bows/b1/caliper': { restMovesIn: 0.109, words: 'The rest moves 0.109 in in.' } });
    show(<Caliper bowId="b1" onMoved={vi.fn()} />);
    await userEvent.click(screen.getByText(/Or by caliper/));
    await userEvent.type(screen.getByLabelText('In front'), '7/8');
    await userEvent.click(screen.getByText('What does that ask?'));
    expect(await screen.findByText('The rest moves 0.109 in in.')).toBeTruthy();
    expect(asked[0]!.body).toMatchObject({ front: '7/8' });
  });

  it('keeps what was typed beside a fault', async () => {
    answering({ '/api/bows/b1/caliper': () => refusing({ rear: ['Nothing is entered here yet.'] }) });
    show(<Caliper bowId="b1" onMoved={vi.fn()} />);
    await userEvent.click(screen.getByText(/Or by caliper/));
    await userEvent.type(screen.getByLabelText('In front'), 'wide');
    await userEvent.click(screen.getByText('What does that ask?'));
    expect(await screen.findByText('Nothing is entered here yet.')).toBeTruthy();
    expect((screen.getByLabelText('In front') as HTMLInputElement).value).toBe('wide');
  });
});

describe('the sight axes', () => {
  const table = {
    speed: 270,
    degrees: 1,
    zeroYards: 20,
    slope: 30,
    rows: [
      { yards: 20, cant: 0.1664, cantAfterZero: 0, thirdAxisUphill: 0.083 },
      { yards: 60, cant: 1.4974, cantAfterZero: 0.9982, thirdAxisUphill: 0.75 },
    ],
  };

  it('show what a degree costs, as the server computed it', async () => {
    const asked = answering({ '/cants': table });
    show(<SightsPane bowId="b" />);
    expect(await screen.findByText('1.50 in')).toBeTruthy();
    expect(screen.getByText('at 270 ft/s')).toBeTruthy();
    await userEvent.clear(screen.getByLabelText('Degrees off'));
    await userEvent.type(screen.getByLabelText('Degrees off'), '2');
    await waitFor(() => expect(asked.some((a) => a.path.includes('degrees=2'))).toBe(true));
  });

  it('name a field that is out of range', async () => {
    answering({ '/cants': () => refusing({ slope: ['Allowed is 0 to 60 degrees: steeper is no shot.'] }) });
    show(<SightsPane bowId="b" />);
    expect(await screen.findByText(/steeper is no shot/)).toBeTruthy();
  });

  it('keep the table that could be read last while an entry cannot', async () => {
    let bad = false;
    answering({ '/cants': () => (bad ? refusing({ slope: ['Allowed is 0 to 60 degrees.'] }) : table) });
    show(<SightsPane bowId="b" />);
    await screen.findByText('1.50 in');
    bad = true;
    await userEvent.type(screen.getByLabelText(/^Slope of the shot/), '9');
    expect(await screen.findByText(/Allowed is 0 to 60/)).toBeTruthy();
    expect(screen.getByText('1.50 in')).toBeTruthy();
    expect(screen.getByText(/could be read last/)).toBeTruthy();
  });
});
