import { percent } from '../../units/units';
import { cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { only, sent } from '../../testing/fixtures';
import { show } from '../../testing/show';
import { advice, arrows, paper, set } from './sessionFixtures';
import { ChanceBar } from './ChanceBar';
import { MarkingPanel } from './MarkingPanel';
import { freshPlan, PaperPlan, type Plan } from './PaperPlan';
import { freshMarking, isMarked, level, type Marking } from './paperTypes';
import { ReadingPanel } from './ReadingPanel';
import { SayIt } from './SayIt';
import { TrialPanel } from './TrialPanel';

beforeEach(() => localStorage.clear());
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const choices = sent.paperChoices;

type Effect = Schemas['ArrowTry']['effect'];

describe('the plan of a paper', () => {
  const plan = (onChange = vi.fn(), part: Partial<Plan> = {}, faults = {}) => {
    show(
      <PaperPlan
        plan={{ ...freshPlan('v1'), ...part }}
        arrows={arrows}
        dozens={[only<Schemas['DozenLine']>({ id: 'd', name: 'Island dozen' })]}
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
      {
        distance: '3',
        fletched: false,
        atTarget: false,
        heads: false,
        walk: null,
        sighting: false,
        ways: null,
        rangeError: null,
        nockEnd: false,
      },
      {
        distance: '6',
        fletched: false,
        atTarget: false,
        heads: false,
        walk: null,
        sighting: false,
        ways: null,
        rangeError: null,
        nockEnd: false,
      },
    ]);
    await userEvent.selectOptions(screen.getByLabelText('Stages'), 'own');
    expect(onChange.mock.lastCall![0].stages).toHaveLength(1);
    await userEvent.click(screen.getByText('Fletched'));
    expect(onChange.mock.lastCall![0].stages[0].fletched).toBe(true);
    await userEvent.click(screen.getByText('Groups of both at a target'));
    expect(onChange.mock.lastCall![0].stages[0]).toMatchObject({ fletched: false, atTarget: true });
    await userEvent.click(screen.getByText('Broadheads and field points'));
    expect(onChange.mock.lastCall![0].stages[0]).toMatchObject({ fletched: false, atTarget: true, heads: true });
    await userEvent.click(screen.getByText('Walk-back, one pin'));
    expect(onChange.mock.lastCall![0].stages[0]).toMatchObject({ atTarget: true, heads: false, walk: 'one' });
    await userEvent.click(screen.getByText('Sighting in'));
    expect(onChange.mock.lastCall![0].stages[0]).toMatchObject({ atTarget: true, walk: null, sighting: true });
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
        nock={false}
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
  it('draws both legs of a yoke as they are to be twisted, and no other move', () => {
    const of = (kind: Schemas['AdjusterKind']) => {
      cleanup();
      const move = { kind, from: 1, to: -1, order: 'Move it.', needsPress: true, after: '', places: '', goes: null };
      show(<ReadingPanel paper={paper({ advice: { ...paper().advice, kind: 'move', move } })} set={set(1)} />);
      return screen.queryByTestId('yoke')?.textContent;
    };
    expect(of('yokePair')).toBe('−2longer+2shorter');
    expect(of('restSideways')).toBeUndefined();
  });

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
      tries: [{ effect: only<Effect>({ label: 'Next spine, .300', ratio: 1.02, words: 'good' }), draft: null }],
    };
    show(<ReadingPanel paper={paper({ spineCheck })} set={set(1)} />);
    expect(screen.getByTestId('spine-check').textContent).toContain('Next spine, .3001.02good');
  });

  it('shows the moves back from a past set, and its notes', async () => {
    const onBack = vi.fn();
    const past = set(1, {
      notesAfter: [only<Schemas['NoteView']>({ id: 'n', note: 'wind from the left', outcome: null })],
      wayBack: [
        only<Schemas['WayBackMove']>({
          kind: 'yokePair',
          order: 'Right yoke leg 1 half twist shorter',
          needsPress: true,
        }),
      ],
    });
    show(<ReadingPanel paper={paper({ sets: [past, set(2)] })} set={past} onBack={onBack} />);
    expect(screen.getByText(/wind from the left/)).toBeTruthy();
    expect(screen.getByText(/press needed/)).toBeTruthy();
    await userEvent.click(screen.getByText('I made this move back'));
    expect(onBack).toHaveBeenCalledWith(past);
  });

  it('says chances without none and certain', () => {
    expect([percent(0.0001), percent(0.5), percent(0.9999)]).toEqual(['under 1 %', '50 %', 'over 99 %']);
    show(<ChanceBar chance={0.967} enough={0.97} tolerance={0.25} />);
    expect(screen.getByRole('img', { name: /^just under 97 % inside/ })).toBeTruthy();
    cleanup();
    show(<ChanceBar chance={0.5} enough={null} tolerance={0.125} />);
    expect(screen.getByRole('img', { name: '50 % inside 0.13 in now' })).toBeTruthy();
  });
});

describe('a trial', () => {
  it('lists the arrows, the points a shaft tolerates, and the cause', () => {
    type Row = Schemas['Trial']['rows'][number];
    const row = (name: string, length: number, words: string) =>
      only<Row>({
        arrow: only<Row['arrow']>({ name, shaft: 'S', pointGrains: 100, tears: [] }),
        mean: only<Row['mean']>({ mean: only<Row['mean']['mean']>({ length }), radius: 0.1, count: 3 }),
        words,
      });
    show(
      <TrialPanel
        paper={{
          ...sent.paper,
          plan: { ...sent.paper.plan, stillToShoot: [{ arrowVersionId: 'v', name: 'Middle' }] },
        }}
        trial={only<Schemas['Trial']>({
          rows: [row('Light', 0.05, 'needs no move'), row('Heavy', 0.9, 'wants a move')],
          ranges: [only<Schemas['ToleratedRange']>({ shaft: 'S', words: 'S: 75 to 125 gr' })],
          cause: 'The arrow: they tear apart.',
          because: 'F(2, 8) = 40',
        })}
      />,
    );
    expect(screen.getByText(/Then: Middle\./)).toBeTruthy();
    expect(screen.getByText('needs no move')).toBeTruthy();
    expect(screen.getByText('S: 75 to 125 gr')).toBeTruthy();
    expect(screen.getByText('The arrow: they tear apart.')).toBeTruthy();
  });
});
