import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { answering, refusing, show } from '../testing';
import { ChanceBar, percent } from './ChanceBar';
import { LadderPanel } from './LadderPanel';
import { LearnedPanel } from './LearnedPanel';
import { MarkingPanel } from './MarkingPanel';
import { NocksPage } from './NocksPage';
import { freshPlan, PaperPlan, type Plan } from './PaperPlan';
import { freshMarking, isMarked, level, type Choices, type Marking, type Paper, type ShotSet } from './paperTypes';
import { ReadingPanel } from './ReadingPanel';
import { SayIt } from './SayIt';
import { StageRail } from './StageRail';
import { TrialPanel } from './TrialPanel';

beforeEach(() => localStorage.clear());
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const choices = {
  stages: [
    { code: 'three', words: '3 yd', stages: [{ distance: 3, fletched: false, words: '' }] },
    {
      code: 'threeSix',
      words: '3 yd, then 6 yd',
      stages: [
        { distance: 3, fletched: false, words: '' },
        { distance: 6, fletched: false, words: '' },
      ],
    },
  ],
  sizes: [
    { code: 'half', words: 'half an inch', inches: 0.5 },
    { code: 'inch', words: 'about an inch', inches: 1 },
  ],
  beforeYouShoot: ['Paper taut.', 'Backstop and a clear range behind.'],
} as unknown as Choices;

const arrows = [
  { id: 'a', draft: { name: 'Island' }, kept: { id: 'v1', number: 2, typed: { name: 'Island' } } },
  { id: 'b', draft: { name: 'Draft' }, kept: null },
] as never[];

const advice = (part: object = {}) => ({
  kind: 'move',
  sentence: 'Rest 4 clicks up, then shoot two.',
  reason: 'All agree: tail high, rest up.',
  move: { kind: 'restHeight', from: 0, to: -4, order: 'Rest 4 clicks up', needsPress: false, after: 'Shoot again.' },
  disputed: null,
  runnerUp: 'Nocking point: would leave more.',
  evidence: [{ statement: 'Holes are alike.', because: 'Spread .1 in.', wouldOverturn: 'A changed grip' }],
  ghosts: [],
  chance: 0.004,
  enough: 0.97,
  chanceAfter: 0.62,
  ...part,
});

const set = (number: number, part: object = {}): ShotSet =>
  ({
    id: `set${number}`,
    number,
    distanceTyped: '3',
    distance: 3,
    fletched: false,
    purpose: 'session',
    arrowName: 'Island',
    shots: [],
    mean: null,
    figures: [],
    movesBefore: [],
    notesAfter: [],
    wayBack: [],
    ...part,
  }) as unknown as ShotSet;

const paper = (part: object = {}): Paper =>
  ({
    id: 'p',
    tolerance: 0.25,
    vaneCount: 3,
    sets: [set(1)],
    advice: advice(),
    next: { action: 'madeMove', sentence: '', reason: '', button: '' },
    readings: [],
    trial: null,
    spineCheck: null,
    plan: { stages: [], arrowNumbers: [] },
    ladder: { wanted: false, rungs: [], next: null },
    ...part,
  }) as unknown as Paper;

describe('the plan of a paper', () => {
  const plan = (onChange = vi.fn(), part: Partial<Plan> = {}, faults = {}) => {
    show(
      <PaperPlan
        plan={{ ...freshPlan('v1'), ...part }}
        arrows={arrows}
        dozens={[{ id: 'd', name: 'Island dozen' }] as never[]}
        choices={choices}
        faults={faults}
        onChange={onChange}
      />,
    );
    return onChange;
  };

  it('takes usual stages, and one of its own', async () => {
    const onChange = plan();
    await userEvent.selectOptions(screen.getByLabelText('Stages'), 'threeSix');
    expect(onChange.mock.lastCall![0].stages).toEqual([
      { distance: '3', fletched: false },
      { distance: '6', fletched: false },
    ]);
    await userEvent.selectOptions(screen.getByLabelText('Stages'), 'own');
    expect(onChange.mock.lastCall![0].stages).toHaveLength(1);
    await userEvent.click(screen.getByText('Fletched'));
    expect(onChange.mock.lastCall![0].stages[0].fletched).toBe(true);
  });

  it('asks for shots, school, tolerance, machine and the numbered arrows', async () => {
    const onChange = plan();
    await userEvent.click(screen.getByText('5'));
    expect(onChange).toHaveBeenCalledWith(expect.objectContaining({ shotsPerDecision: 5 }));
    await userEvent.selectOptions(screen.getByLabelText('School'), 'ladder');
    expect(onChange).toHaveBeenCalledWith(expect.objectContaining({ school: 'ladder' }));
    await userEvent.click(screen.getByText('one clean hole'));
    expect(onChange).toHaveBeenCalledWith(expect.objectContaining({ tolerance: 0.0625 }));
    await userEvent.click(screen.getByText('by a machine'));
    expect(onChange).toHaveBeenCalledWith(expect.objectContaining({ byMachine: true }));
    await userEvent.selectOptions(screen.getByLabelText('Numbered arrows of a dozen'), 'd');
    expect(onChange).toHaveBeenCalledWith(expect.objectContaining({ dozenId: 'd' }));
  });

  it('is a trial without school or shots per decision', () => {
    plan(vi.fn(), { kind: 'trial' });
    expect(screen.queryByLabelText('School')).toBeNull();
    expect(screen.getByLabelText('First arrow of the trial')).toBeTruthy();
  });

  it('keeps a fault beside the distance, and shows the set-up notes open the first time only', () => {
    plan(vi.fn(), {}, { distance: ['Allowed is 1 to 100 yd.'] });
    expect(screen.getByText('Allowed is 1 to 100 yd.')).toBeTruthy();
    expect(screen.getByText('Before you shoot').closest('details')!.open).toBe(true);
    cleanup();
    localStorage.setItem('merganser-before-you-shoot', 'seen');
    plan();
    expect(screen.getByText('Before you shoot').closest('details')!.open).toBe(false);
  });
});

describe('a shot in words', () => {
  it('names side, height and the end of the arrow', async () => {
    const onChange = vi.fn();
    show(<SayIt words={{ ...level, sideways: 'inch' }} sizes={choices.sizes} onChange={onChange} />);
    await userEvent.click(screen.getByText('tail right'));
    expect(onChange).toHaveBeenCalledWith(expect.objectContaining({ left: false, sideways: 'inch' }));
    await userEvent.selectOptions(screen.getByLabelText('In height'), 'half');
    expect(onChange).toHaveBeenCalledWith(expect.objectContaining({ height: 'half' }));
    expect(screen.getByText('tail low').closest('button')!.disabled).toBe(true);
    await userEvent.click(screen.getByText('One clean hole'));
    expect(onChange).toHaveBeenCalledWith(level);
    await userEvent.click(screen.getByText('Mark the holes instead'));
    expect(onChange).toHaveBeenCalledWith(null);
  });

  it('is enough to keep it, as two holes or a typed side are', () => {
    expect(isMarked(null)).toBe(false);
    expect(isMarked(freshMarking('shootingSide'))).toBe(false);
    expect(isMarked({ ...freshMarking('shootingSide'), words: level })).toBe(true);
    expect(isMarked({ ...freshMarking('shootingSide'), up: '0' })).toBe(true);
    expect(isMarked({ ...freshMarking('shootingSide'), point: { x: 0, y: 0 } })).toBe(false);
  });

  it('goes with the arrow’s number and is dropped when the holes are marked instead', async () => {
    const onChange = vi.fn();
    const marking: Marking = { ...freshMarking('shootingSide'), words: level };
    show(
      <MarkingPanel
        marking={marking}
        number={1}
        px={96}
        faults={{ words: ['That size is not in the list.'] }}
        sizes={choices.sizes}
        arrowNumbers={['1', '2']}
        onChange={onChange}
        onScale={vi.fn()}
        onKeep={vi.fn()}
      />,
    );
    expect(screen.getByText('That size is not in the list.')).toBeTruthy();
    await userEvent.click(within(screen.getByLabelText('Which arrow')).getByText('2'));
    expect(onChange).toHaveBeenCalledWith(expect.objectContaining({ arrowNumber: '2' }));
    await userEvent.click(screen.getByText('Mark the holes'));
    expect(onChange).toHaveBeenCalledWith(expect.objectContaining({ words: null }));
    await userEvent.click(screen.getByText('Type the place'));
    await userEvent.click(screen.getByText('by the point'));
    expect(onChange).toHaveBeenCalledWith(expect.objectContaining({ by: 'point' }));
  });
});

describe('the reading', () => {
  it('shows the one move with its chances, and why another lost', () => {
    show(<ReadingPanel paper={paper()} set={set(1)} />);
    expect(screen.getByText('The one move')).toBeTruthy();
    expect(screen.getByRole('img', { name: 'under 1 % inside 0.25 in now, 62 % after the move' })).toBeTruthy();
    expect(screen.getByText(/would leave more/)).toBeTruthy();
    expect(screen.getByText(/Would overturn it/)).toBeTruthy();
  });

  it('calls a disputed move a small test', () => {
    show(
      <ReadingPanel
        paper={paper({ advice: advice({ kind: 'smallTest', disputed: 'Some move it toward.' }) })}
        set={set(1)}
      />,
    );
    expect(screen.getByText('A small test')).toBeTruthy();
    expect(screen.getByText(/Some move it toward/)).toBeTruthy();
  });

  it('puts the ladder’s rung in the box when moves do not help, and no move beside it', () => {
    const next = {
      action: 'rung',
      sentence: 'Moves do not help: a control arrow first.',
      reason: 'It flies clean: your arrow.',
      button: '',
    };
    show(<ReadingPanel paper={paper({ next })} set={set(1)} />);
    expect(screen.getByText('Before another move')).toBeTruthy();
    expect(screen.queryByText('Rest 4 clicks up')).toBeNull();
  });

  it('asks the spine question with the fit after each cure', () => {
    const spineCheck = {
      ratio: 0.84,
      words: 'weak',
      low: 0.8,
      high: 0.88,
      tries: [{ effect: { label: 'Next spine, .300', ratio: 1.02, words: 'good' }, draft: null }],
    };
    show(<ReadingPanel paper={paper({ spineCheck })} set={set(1)} />);
    expect(screen.getByTestId('spine-check').textContent).toContain('Next spine, .3001.02good');
  });

  it('shows the moves back from a past set, and its notes', async () => {
    const onBack = vi.fn();
    const past = set(1, {
      notesAfter: [{ id: 'n', note: 'wind from the left', outcome: null }],
      wayBack: [{ kind: 'yokePair', order: 'Right yoke leg 1 half twist shorter', needsPress: true }],
    });
    show(<ReadingPanel paper={paper({ sets: [past, set(2)] })} set={past} onBack={onBack} />);
    expect(screen.getByText(/wind from the left/)).toBeTruthy();
    expect(screen.getByText(/press needed/)).toBeTruthy();
    await userEvent.click(screen.getByText('I made this move back'));
    expect(onBack).toHaveBeenCalledWith(past);
  });

  it('says chances without none and certain', () => {
    expect([percent(0.0001), percent(0.5), percent(0.9999)]).toEqual(['under 1 %', '50 %', 'over 99 %']);
    show(<ChanceBar chance={0.5} enough={null} tolerance={0.125} />);
    expect(screen.getByRole('img', { name: '50 % inside 0.13 in now' })).toBeTruthy();
  });
});

describe('a trial', () => {
  it('lists the arrows, the points a shaft tolerates, and the cause', () => {
    const row = (name: string, length: number, words: string) => ({
      arrow: { name, shaft: 'S', pointGrains: 100, tears: [] },
      mean: { mean: { length }, radius: 0.1, count: 3 },
      words,
    });
    show(
      <TrialPanel
        trial={
          {
            rows: [row('Light', 0.05, 'needs no move'), row('Heavy', 0.9, 'wants a move')],
            ranges: [{ shaft: 'S', words: 'S: 75 to 125 gr' }],
            cause: 'The arrow: they tear apart.',
            because: 'F(2, 8) = 40',
          } as never
        }
      />,
    );
    expect(screen.getByText('needs no move')).toBeTruthy();
    expect(screen.getByText('S: 75 to 125 gr')).toBeTruthy();
    expect(screen.getByText('The arrow: they tear apart.')).toBeTruthy();
  });
});

describe('the ladder', () => {
  const rung = (code: string, part: object = {}) => ({
    code,
    title: code,
    how: `how ${code}`,
    tells: `tells ${code}`,
    control: true,
    noteId: null,
    outcome: null,
    note: null,
    ...part,
  });
  const ladder = (acts: object = {}) => {
    const all = { onControl: vi.fn(), onNote: vi.fn(), onWithdraw: vi.fn(), ...acts };
    const rungs = [
      rung('grip', { outcome: 'nothing', noteId: 'n1', note: 'no change' }),
      rung('controlArrow'),
      rung('screws'),
    ];
    show(
      <LadderPanel paper={paper({ ladder: { wanted: true, rungs, next: 'controlArrow' } })} busy={false} {...all} />,
    );
    return all;
  };

  it('offers only the rung that is next, and takes what was seen', async () => {
    const acts = ladder();
    expect(screen.getByText('Moves do not help: look here first')).toBeTruthy();
    expect(screen.getAllByText('Nothing found')).toHaveLength(1);
    await userEvent.click(screen.getByText('Shoot it now'));
    expect(acts.onControl).toHaveBeenCalledWith('controlArrow');
    await userEvent.type(screen.getByLabelText('controlArrow: what was seen'), 'flies clean');
    await userEvent.click(screen.getByText('Something was found'));
    expect(acts.onNote).toHaveBeenCalledWith('controlArrow', 'found', 'flies clean');
  });

  it('takes a rung back, and a note of one’s own', async () => {
    const acts = ladder();
    expect(screen.getByText(/done, nothing found: no change/)).toBeTruthy();
    await userEvent.click(screen.getByText('Take back'));
    expect(acts.onWithdraw).toHaveBeenCalledWith('n1');
    await userEvent.type(screen.getByLabelText('A note at this place'), 'seated');
    await userEvent.click(screen.getByText('Note it'));
    expect(acts.onNote).toHaveBeenCalledWith(null, null, 'seated');
  });
});

describe('the stages', () => {
  it('stand on a rail with how each is, and one press goes there', async () => {
    const onGo = vi.fn();
    const stages = [
      { words: '3 yd bare', distance: 3, fletched: false, planned: true, inWork: true, shots: 4, chance: 0.98 },
      { words: '6 yd bare', distance: 6, fletched: false, planned: true, inWork: false, shots: 0, chance: null },
    ];
    show(<StageRail paper={paper({ plan: { stages, arrowNumbers: [] } })} onGo={onGo} />);
    expect(screen.getByRole('button', { name: '3 yd bare 98 % in' }).getAttribute('aria-current')).toBe('step');
    await userEvent.click(screen.getByRole('button', { name: '6 yd bare not yet' }));
    expect(onGo).toHaveBeenCalledWith(stages[1]);
  });
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
        words: 'not moved yet: the trade’s guess',
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
    expect(await screen.findByText('+0.310 ± 0.050')).toBeTruthy();
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

describe('nock tuning', () => {
  const reading = (state: string, part: object = {}) => ({ state, best: 0, next: null, words: state, ...part });
  const nocks = (part: object = {}) => ({
    dozenId: 'd',
    name: 'Osk eight',
    tolerance: 0.25,
    distance: 3,
    distances: [3],
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
  const dozens = [{ id: 'd', name: 'Osk eight' }];

  it('stands at the arrow that is next, keeps a clean hole for it, and takes a shot back', async () => {
    const asked = answering({ '/dozens/d/nocks/s': nocks(), '/dozens/d/nocks': nocks(), '/dozens': dozens });
    show(<NocksPage bowId="b" choices={choices} />);
    expect(await screen.findByText('Bare, step 1 of 4')).toBeTruthy();
    expect(screen.getByText('Keep this shot').closest('button')!.disabled).toBe(true);
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
    answering({ '/dozens': [] });
    show(<NocksPage bowId="b" choices={choices} />);
    expect(await screen.findByText('No dozen yet')).toBeTruthy();
  });
});
