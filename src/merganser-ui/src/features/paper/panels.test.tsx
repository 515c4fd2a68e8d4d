import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { only, sent } from '../../testing/fixtures';
import { show } from '../../testing/show';
import { FilmStrip } from './FilmStrip';
import { MarkingPanel } from './MarkingPanel';
import { MovePanel } from './MovePanel';
import { drawnTear, freshMarking, type Paper, type ShotSet } from './paperTypes';
import { ShotsPanel } from './ShotsPanel';

afterEach(cleanup);

type Move = Schemas['MoveView'];

const shot = (number: number, part: object = {}) => ({
  id: `s${number}`,
  number,
  point: { x: 0, y: 0 },
  tail: { x: -0.8, y: 0.05 },
  side: 'shootingSide' as const,
  tear: { x: -0.8, y: 0.05, length: 0.8 },
  voidReason: null,
  doubtful: false,
  arrowNumber: null,
  words: null,
  shotAt: '2026-11-23T18:00:00Z',
  place: '0.80 in left, 0.05 in high',
  arrow: null,
  flight: null,
  slant: null,
  yards: null,
  from: null,
  way: null,
  sightFor: null,
  ...part,
});

const set = (number: number, shots: ShotSet['shots'], part: Partial<ShotSet> = {}): ShotSet => ({
  id: `set${number}`,
  number,
  distanceTyped: '3',
  distance: 3,
  stage: '3 yd bare',
  fletched: false,
  startedAt: '2026-11-23T18:00:00Z',
  shots,
  mean: null,
  headline: 'Nothing yet: shoot through the paper.',
  figures: [],
  movesBefore: [],
  movesNotShown: 0,
  purpose: 'session',
  arrowName: 'Island',
  notesAfter: [],
  notesNotShown: 0,
  wayBack: [],
  groups: null,
  walk: null,
  sighting: null,
  ways: null,
  rangeTrial: null,
  nockEnd: null,
  markBefore: null,
  conditions: null,
  ...part,
});

const adjuster = (part: object = {}) => ({
  kind: 'restHeight' as const,
  name: 'Rest up/down',
  axis: 'height' as const,
  stepUnit: 'click',
  position: 2,
  lower: -60,
  upper: 60,
  needsPress: false,
  plus: 'Rest 1 click down',
  minus: 'Rest 1 click up',
  inchesPerStep: null,
  way: 'agreed' as const,
  seats: null,
  standing: '2 clicks down',
  room: 'to go: 62 clicks up, 58 clicks down',
  halves: true,
  places: Array.from({ length: 241 }, (_, i) => `place ${(i - 120) / 2}`),
  ...part,
});

describe('the shots of a set', () => {
  it('are voided only with a reason, and count again when asked', async () => {
    const onVoid = vi.fn();
    show(<ShotsPanel bowId="b" set={set(1, [shot(1), shot(2, { voidReason: 'torqued grip' })])} onMark={onVoid} />);
    expect(screen.getByText(/void: torqued grip/)).toBeTruthy();
    await userEvent.click(screen.getByText('Void'));
    await userEvent.click(screen.getByText('the rest did not drop'));
    expect(onVoid).toHaveBeenCalledWith(expect.objectContaining({ id: 's1' }), 'the rest did not drop', undefined);
  });

  it('say when they were read from the other face of the sheet', () => {
    show(<ShotsPanel bowId="b" set={set(1, [shot(1, { side: 'targetSide' })])} onMark={vi.fn()} />);
    expect(screen.getByText(/read from the target side, mirrored/)).toBeTruthy();
  });

  it('are none yet in an empty set', () => {
    show(<ShotsPanel bowId="b" set={set(1, [])} onMark={vi.fn()} />);
    expect(screen.getByText('No shots in this set yet')).toBeTruthy();
  });
});

describe('logging what was really done', () => {
  const whole = Array.from({ length: 121 }, (_, i) => `place ${i - 60}`);
  const logged = (onLog = vi.fn(), moves: Move[] = [], advised: Paper['advice']['move'] = null) => {
    show(
      <MovePanel
        adjusters={[
          adjuster(),
          adjuster({ kind: 'nockingPoint', name: 'Nocking point', position: 0, halves: false, places: whole }),
        ]}
        advised={advised}
        moves={moves}
        fault={null}
        busy={false}
        onLog={onLog}
      />,
    );
    return onLog;
  };

  it('begins at the advised move', async () => {
    const onLog = logged(vi.fn(), [], {
      places: '',
      kind: 'restHeight',
      from: 2,
      to: -18,
      order: 'Rest 20 clicks up',
      needsPress: false,
      after: '',
    });
    expect(screen.getByTestId('move-to').textContent).toBe('place 2 → place -18');
    await userEvent.click(screen.getByLabelText('One more: Rest 1 click down'));
    await userEvent.click(screen.getByText('Log this move'));
    expect(onLog).toHaveBeenCalledWith(
      { adjuster: 'restHeight', to: -17, from: 2 },
      { note: '', corrects: null, afterSetId: null },
    );
  });

  it('takes half a click of a rest, and the half back again', async () => {
    const onLog = logged();
    await userEvent.click(screen.getByLabelText('One more: Rest 1 click up'));
    await userEvent.click(screen.getByLabelText('Half a click'));
    expect(screen.getByTestId('move-to').textContent).toBe('place 2 → place 1.5');
    await userEvent.click(screen.getByLabelText('Half a click'));
    expect(screen.getByTestId('move-to').textContent).toBe('place 2 → place 1');
    await userEvent.click(screen.getByLabelText('Half a click'));
    await userEvent.click(screen.getByText('Log this move'));
    expect(onLog).toHaveBeenCalledWith(
      { adjuster: 'restHeight', to: 1.5, from: 2 },
      { note: '', corrects: null, afterSetId: null },
    );
  });

  it('takes another adjuster from where it stands, with a note', async () => {
    const onLog = logged();
    await userEvent.selectOptions(screen.getByLabelText('Adjuster'), 'nockingPoint');
    expect(screen.getByTestId('move-to').textContent).toBe('place 0 → place 0');
    await userEvent.click(screen.getByLabelText('One more: Rest 1 click up'));
    await userEvent.type(screen.getByLabelText('Note'), 'loop retied');
    await userEvent.click(screen.getByText('Log this move'));
    expect(onLog).toHaveBeenCalledWith(
      { adjuster: 'nockingPoint', to: -1, from: 0 },
      { note: 'loop retied', corrects: null, afterSetId: null },
    );
  });

  it('corrects a wrong entry and says that nothing was turned', async () => {
    const onLog = logged(vi.fn(), [only<Move>({ id: 'm1', adjuster: 'restHeight', corrects: null })]);
    await userEvent.click(screen.getByText('The last entry was logged wrongly'));
    expect(screen.getByText(/nothing was turned on the bow/)).toBeTruthy();
    await userEvent.click(screen.getByLabelText('One more: Rest 1 click down'));
    await userEvent.click(screen.getAllByText('Correct the entry').at(-1)!);
    expect(onLog).toHaveBeenCalledWith(
      { adjuster: 'restHeight', to: 3, from: null },
      { note: '', corrects: 'm1', afterSetId: null },
    );
  });
});

describe('marking a shot', () => {
  it('reads the tear from the two holes, mirrored from the target side', () => {
    const marking = { ...freshMarking('shootingSide'), point: { x: 1, y: 0 }, tail: { x: 0.2, y: 0.1 } };
    expect(drawnTear(marking)!.x).toBeCloseTo(-0.8);
    expect(drawnTear({ ...marking, side: 'targetSide' })!.x).toBeCloseTo(0.8);
    expect(drawnTear({ ...marking, tail: null })).toBeNull();
  });

  it('can be typed, turned and scaled, and keeps its faults beside the field', async () => {
    const onChange = vi.fn();
    const onScale = vi.fn();
    const onKeep = vi.fn();
    show(
      <MarkingPanel
        nock={false}
        marking={freshMarking('shootingSide')}
        number={3}
        px={96}
        faults={{ right: ['Allowed is \u221212 to 12 in: no arrow tears farther.'] }}
        sizes={[]}
        arrowNumbers={[]}
        onChange={onChange}
        onScale={onScale}
        onKeep={onKeep}
      />,
    );
    expect(screen.getByText(/no arrow tears farther/)).toBeTruthy();
    await userEvent.type(screen.getByLabelText('Tail above the point (below: −)'), '1{Enter}');
    expect(onChange).toHaveBeenCalledWith(expect.objectContaining({ up: '1' }));
    expect(onKeep).toHaveBeenCalled();
    await userEvent.click(screen.getByText('Target side'));
    expect(onChange).toHaveBeenCalledWith(expect.objectContaining({ side: 'targetSide' }));
    await userEvent.click(screen.getByText('2 : 1'));
    expect(onScale).toHaveBeenCalledWith(192);
  });
});

describe('the film strip', () => {
  it('shows each set with what was moved before it', async () => {
    const onShow = vi.fn();
    const mean = {
      mean: { x: -0.8, y: 0.05, length: 0.8 },
      radius: 0.1,
      spread: 0.1,
      count: 2,
      spreadAssumed: false,
      words: '',
      sideways: '0.80 in left',
      plus: '0.10 in',
    };
    const words = 'Left yoke leg 1 half twist shorter, right leg 1 half twist longer';
    const moved = only<Move>({ id: 'm', words, correction: false });
    const paper: Paper = {
      ...sent.paper,
      sets: [set(1, [shot(1), shot(2)], { mean }), set(2, [], { movesBefore: [moved] })],
      vaneCount: 3,
      advice: { ...sent.paper.advice, move: null, ghosts: [] },
    };
    show(<FilmStrip paper={paper} shownId="set2" onShow={onShow} />);
    expect(screen.getByText('tail left 0.80 in')).toBeTruthy();
    expect(screen.getByText(words)).toBeTruthy();
    expect(screen.getByText('no tears yet')).toBeTruthy();
    await userEvent.click(screen.getByText('Set 1'));
    expect(onShow).toHaveBeenCalledWith('set1');
  });
});
