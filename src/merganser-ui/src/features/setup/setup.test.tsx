import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { only, sent } from '../../testing/fixtures';
import { show } from '../../testing/show';
import { CheckPane } from './CheckPane';
import { MoveForm } from './MoveForm';
import type { Check, Setup, SetupWork } from './useSetup';
import { WorkOrder } from './WorkOrder';

afterEach(cleanup);

const check = (part: Partial<Check>): Check => ({
  kind: 'centreShot',
  title: 'Centre shot',
  asks: null,
  tool: 'caliper or rule',
  minutes: 5,
  whyHere: 'After timing and cam lean.',
  how: 'From the riser to the arrow.',
  view: 'from above, archer to the left',
  quantity: 'length',
  unit: 'in',
  tolerance: { aim: 0.8125, low: 0.6875, high: 0.9375, atMost: false, source: 'common practice' },
  readingError: 0.03,
  choices: [],
  state: 'open',
  because: null,
  last: null,
  before: null,
  verdict: null,
  line: 'open',
  besides: null,
  advice: '',
  howTo: [],
  noteAsked: 'Tool, and who measured',
  ...part,
});

const quiet = () =>
  only<SetupWork>({
    problem: null,
    busy: false,
    faults: {},
    suspicious: null,
    withdraw: vi.fn(),
    move: vi.fn().mockResolvedValue(true),
  });

const pane = (which: Check, work: SetupWork, acts: Partial<Parameters<typeof CheckPane>[0]> = {}) =>
  show(
    <CheckPane
      check={which}
      at={8}
      total={17}
      typed=""
      aperture="3/16 in"
      kind="compound"
      work={work}
      setup={sent.setup}
      note=""
      onNote={vi.fn()}
      onType={vi.fn()}
      onKeep={vi.fn()}
      onEnter={vi.fn()}
      onPick={vi.fn()}
      onSkip={vi.fn()}
      {...acts}
    />,
  );

describe('a check', () => {
  it('says where it stands in the order, with what tool, and how long', () => {
    pane(check({}), quiet());
    expect(screen.getByText(/Check 8 of 17, caliper or rule, about 5 minutes/)).toBeTruthy();
    expect(screen.getByRole('img', { name: /from above, archer to the left/ })).toBeTruthy();
  });

  it('with choices takes one by a press', async () => {
    const onPick = vi.fn();
    const choices = [
      { code: 'together', label: 'Stops touch together', verdict: 'within' as const, toDo: 'Go on.', press: false },
      { code: 'topLate', label: 'Top cam late', verdict: 'beyond' as const, toDo: 'Lengthen.', press: true },
    ];
    pane(check({ kind: 'camTiming', quantity: null, tolerance: null, choices }), quiet(), { onPick });
    await userEvent.click(screen.getByText('Top cam late'));
    expect(onPick).toHaveBeenCalledWith('topLate');
  });

  it('keeps its number by Enter', async () => {
    const onEnter = vi.fn();
    pane(check({}), quiet(), { onEnter, typed: '0.845' });
    await userEvent.type(screen.getByRole('textbox', { name: 'Centre shot' }), '{Enter}');
    expect(onEnter).toHaveBeenCalled();
  });

  it('shows verdict, what to do and that it needs a press', () => {
    pane(
      check({
        state: 'done',
        last: {
          id: 'x',
          value: 1.1,
          typed: '1.1',
          choice: null,
          choiceWords: null,
          skipReason: null,
          note: '',
          at: '2026-11-23T18:00:00Z',
        },
        verdict: {
          verdict: 'beyond',
          words: 'Beyond. 0.288 in farther out than the aim.',
          toDo: 'Move the rest in.',
          press: true,
        },
      }),
      quiet(),
    );
    expect(screen.getByText(/Beyond\. 0\.288/)).toBeTruthy();
    expect(screen.getByText('Move the rest in.')).toBeTruthy();
    expect(screen.getByText('Press.')).toBeTruthy();
  });

  it('is left only with a reason', async () => {
    const onSkip = vi.fn();
    pane(check({}), quiet(), { onSkip });
    await userEvent.click(screen.getByText('Leave it with a reason'));
    expect((screen.getByText('Leave it') as HTMLButtonElement).disabled).toBe(true);
    await userEvent.type(screen.getByLabelText('Reason for leaving this check'), 'no square{Enter}');
    expect(onSkip).toHaveBeenCalledWith('no square');
  });

  it('asks about an odd reading and never blocks it', async () => {
    const onKeep = vi.fn();
    const work = { ...quiet(), suspicious: 'Brace height 2.00 in more than last time (6.50 in): is that so?' };
    pane(check({}), work as SetupWork, { onKeep });
    await userEvent.click(screen.getByText('Yes, keep it'));
    expect(onKeep).toHaveBeenCalledWith(true);
  });

  it('that is asked again says because of what', () => {
    pane(check({ state: 'again', because: 'A one-sided twist changes the cable’s length: left leg.' }), quiet());
    expect(screen.getByText('Again.')).toBeTruthy();
    expect(screen.getByText(/one-sided twist/)).toBeTruthy();
  });
});

describe('the work order', () => {
  const setup = {
    done: 1,
    checks: [
      check({ state: 'done', line: '0.845 in' }),
      check({ kind: 'camTiming', title: 'Cam timing', state: 'again', line: 'look at it again' }),
      check({ kind: 'peep', title: 'Peep', state: 'held', line: 'after paper' }),
    ],
  } as Setup;

  it('shows each check with its state and marks the present one', async () => {
    const onChoose = vi.fn();
    render(<WorkOrder setup={setup} chosen="camTiming" onChoose={onChoose} />);
    expect(screen.getByText('1 of 3')).toBeTruthy();
    expect(screen.getByRole('button', { current: 'step' }).textContent).toContain('Cam timing');
    await userEvent.click(screen.getByText('Peep'));
    expect(onChoose).toHaveBeenCalledWith('peep');
  });
});

describe('logging a move', () => {
  const adjuster = {
    kind: 'yokePair' as const,
    name: 'Yoke pair',
    axis: 'sideways' as const,
    stepUnit: 'half twist',
    position: 1,
    lower: -8,
    upper: 8,
    needsPress: true,
    plus: 'Left shorter',
    minus: 'Right shorter',
    inchesPerStep: null,
    way: 'agreed' as const,
    seats: null,
    standing: 'at its mark',
    room: 'to go: 8 half twists right leg shorter, 8 half twists left leg shorter',
    halves: false,
    places: Array.from({ length: 17 }, (_, i) => `place ${i - 8}`),
  };

  it('takes both legs of a yoke and says when timing will be asked', async () => {
    const work = quiet();
    const onDone = vi.fn();
    render(<MoveForm adjuster={adjuster} work={work} onDone={onDone} />);
    expect((screen.getByTestId('log-move') as HTMLButtonElement).disabled).toBe(true);
    await userEvent.click(screen.getByLabelText('Left leg: one more'));
    expect(screen.getByText(/timing will be asked again/)).toBeTruthy();
    await userEvent.click(screen.getByLabelText('Right leg: one less'));
    expect(screen.queryByText(/timing will be asked again/)).toBeNull();
    await userEvent.click(screen.getByTestId('log-move'));
    expect(work.move).toHaveBeenCalledWith(expect.objectContaining({ yoke: { left: 1, right: -1 } }));
    expect(onDone).toHaveBeenCalled();
  });

  it('counts steps of any other adjuster from where it stands', async () => {
    const work = quiet();
    render(
      <MoveForm
        adjuster={{ ...adjuster, kind: 'restHeight', name: 'Rest up/down', position: 4 }}
        work={work}
        onDone={vi.fn()}
      />,
    );
    await userEvent.click(screen.getByLabelText('Rest up/down: one less'));
    await userEvent.click(screen.getByLabelText('Rest up/down: one less'));
    await userEvent.click(screen.getByTestId('log-move'));
    expect(work.move).toHaveBeenCalledWith(expect.objectContaining({ adjuster: 'restHeight', to: 2 }));
  });

  it('counts half a click of a rest, away from any paper as well', async () => {
    const work = quiet();
    const places = Array.from({ length: 33 }, (_, i) => `place ${(i - 16) / 2}`);
    const rest = { ...adjuster, kind: 'restSideways' as const, name: 'Rest in/out', halves: true, places, position: 1 };
    render(<MoveForm adjuster={rest} work={work} onDone={vi.fn()} />);
    await userEvent.click(screen.getByLabelText('Rest in/out: one less'));
    await userEvent.click(screen.getByLabelText('Half a click'));
    expect(screen.getByTestId('move-words').textContent).toContain('It stands then: place 0.5.');
    await userEvent.click(screen.getByTestId('log-move'));
    expect(work.move).toHaveBeenCalledWith(expect.objectContaining({ adjuster: 'restSideways', to: 0.5, from: 1 }));
  });

  it('moves each cam by its own seats', async () => {
    const work = quiet();
    render(
      <MoveForm
        adjuster={{ ...adjuster, kind: 'camSpacer', name: 'Cam spacers', seats: null }}
        work={work}
        onDone={vi.fn()}
      />,
    );
    await userEvent.click(screen.getByLabelText('Top cam, left: one more'));
    await userEvent.click(screen.getByLabelText('Top cam, right: one less'));
    await userEvent.click(screen.getByLabelText('Top cam: one more'));
    await userEvent.click(screen.getByTestId('log-move'));
    const seats = { topLeft: 4, topRight: 2, bottomLeft: 3, bottomRight: 3 };
    expect(work.move).toHaveBeenCalledWith(expect.objectContaining({ spacers: { top: 1, bottom: 0, seats } }));
  });
});
