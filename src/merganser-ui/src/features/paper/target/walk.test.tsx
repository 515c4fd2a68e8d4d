import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { driftPaths, walkFrame } from '../../../drawing/walk';
import { sent } from '../../../testing/fixtures';
import { show } from '../../../testing/show';
import { set as setOf, shot } from '../pageFixtures';
import type { Paper, ShotSet } from '../paperTypes';
import type { PaperWork } from '../usePaperWork';
import { AtTarget } from './AtTarget';
import { freshHit, kindOfKey, markedWith, walkDistances } from './groupTypes';
import { HitPanel } from './HitPanel';
import { SightingSheet } from './TargetSheet';
import { WalkSheet } from './WalkSheet';

afterEach(cleanup);

const at = (yards: number, count: number, mean: number | null) => ({
  yards,
  name: `${yards} yd`,
  count,
  mean,
  plus: mean === null ? null : 0.5,
  drop: null,
  words: mean === null ? 'no hits yet' : `${mean} in right ± 0.5, ${count} hits`,
});
const walk: NonNullable<ShotSet['walk']> = {
  pins: 'own',
  pooled: [1, 2],
  shown: 'clear',
  shape: 'straight',
  distances: [at(20, 3, 1), at(40, 3, 2), at(60, 3, 3)],
  line: [
    { yards: 16, at: 0.8, plus: 0.2 },
    { yards: 64, at: 3.2, plus: 0.8 },
  ],
  alone: [
    { set: 1, drift: 2.2, plus: 1, words: '2.2 in right' },
    { set: 2, drift: 1.8, plus: 1, words: '1.8 in right' },
  ],
  together: { set: 2, drift: 2, plus: 0.7, words: '2.0 in right' },
  among: 'The walks agree.',
  causes: [
    { cause: 'windage', seen: 'shown', words: 'Sight or zero: shown' },
    { cause: 'curve', seen: 'notShown', words: 'Lean: not shown' },
    { cause: 'wind', seen: 'notTested', words: 'Wind: none noted' },
    { cause: 'centreShot', seen: 'notTested', words: 'Centre shot: not tested' },
  ],
  drop: null,
  wind: null,
  more: null,
};
const hit = (number: number, yards: number, x = 0, part: object = {}) => ({
  ...shot(number, 0),
  id: `h${number}`,
  arrow: 'fletched',
  point: { x, y: 0 },
  yards,
  from: `${yards} yd`,
  ...part,
});
const set = (...shots: object[]) =>
  setOf(2, { walk, shots, stage: 'walk-back from 20 yd', headline: 'Drifts right.' }) as unknown as ShotSet;
const five = (yards: number, from: number) => [1, 2, 3, 4, 5].map((i) => hit(from + i, yards));

describe('from where the next hit is shot', () => {
  it('stays at a distance until it has five, then goes to the next that lacks', () => {
    expect(freshHit(set(), null).distance).toBe('20 yd');
    expect(freshHit(set(hit(1, 20)), null, '20 yd').distance).toBe('20 yd');
    expect(freshHit(set(...five(20, 0)), null, '20 yd').distance).toBe('40 yd');
    expect(freshHit(set(...five(20, 0), ...five(60, 5)), null, '60 yd').distance).toBe('40 yd');
    expect(freshHit(set(...five(20, 0), ...five(40, 5), ...five(60, 10)), null, '60 yd').distance).toBe('60 yd');
    expect(freshHit(set(), null, '52 yd').distance).toBe('52 yd');
  });

  it('counts what is not void, and is fletched alone', () => {
    const walked = set(hit(1, 20), hit(2, 20, 0, { voidReason: 'plucked' }));
    expect(walkDistances(walked).map((d) => d.hits)).toEqual([1, 0, 0]);
    expect(markedWith(walked)).toEqual(['fletched']);
    expect(kindOfKey(walked, 'b')).toBeUndefined();
  });

  it('is pressed, or typed as one’s own', async () => {
    const onChange = vi.fn();
    show(
      <HitPanel
        marking={freshHit(set(hit(1, 20)), null, '20 yd')}
        set={set(hit(1, 20))}
        half={8}
        faults={{}}
        arrowNumbers={[]}
        onChange={onChange}
        onHalf={vi.fn()}
        onKeep={vi.fn()}
      />,
    );
    expect(screen.queryByLabelText('Kind of arrow')).toBeNull();
    await userEvent.click(screen.getByText('60 yd, 0'));
    expect(onChange.mock.lastCall![0].distance).toBe('60 yd');
    await userEvent.click(screen.getByText('another'));
    expect(onChange.mock.lastCall![0].distance).toBe('');
    await userEvent.type(screen.getByLabelText('Another distance'), '5');
    expect(onChange.mock.lastCall![0].distance).toContain('5');
  });
});

describe('the sheet of a walk-back', () => {
  it('stands distances up and inches across, the plumb line in the middle', () => {
    const frame = walkFrame({ left: 0, right: 100, top: 0, bottom: 200 }, [20, 40, 60], [1, -3]);
    expect(frame.x(0)).toBe(50);
    expect(frame.y(20)).toBe(200);
    expect(frame.y(60)).toBe(0);
    expect(frame.half).toBeGreaterThan(3);
    expect(frame.ticks).toEqual([-2, 0, 2]);
    const { middle, band } = driftPaths(frame, walk.line);
    expect(middle.startsWith('M')).toBe(true);
    expect(band.endsWith('Z')).toBe(true);
    expect(driftPaths(frame, []).middle).toBe('');
  });

  it('says where each distance lies, and draws the walks that are read with it pale', () => {
    const first = { ...set(hit(9, 20, 1)), id: 'set1', number: 1 };
    const paper = { ...sent.paper, sets: [first, set(hit(1, 20, 1), hit(2, 40, 2))] } as Paper;
    show(<WalkSheet paper={paper} set={paper.sets[1]!} />);
    const sheet = screen.getByTestId('walk-sheet');
    expect(sheet.getAttribute('aria-label')).toContain('60 yd: 3 in right ± 0.5, 3 hits');
    expect(sheet.querySelectorAll('g[transform]')).toHaveLength(3);
    expect(sheet.querySelectorAll('g[opacity="0.4"]')).toHaveLength(1);
  });
});

const sightAnswer = {
  pin: null,
  at: { right: 0, up: 0 },
  sight: { eyeToPinTyped: '', clickTyped: '', words: 'Eye to pin 34 in.' },
};
const beside = (shown: ShotSet, onMoved = vi.fn().mockResolvedValue(undefined)) => {
  const stages = [20, 30].map((distance) => ({
    ...sent.paper.plan.stages[0]!,
    words: `${distance} yd sight`,
    distance,
    sighting: true,
    inWork: distance === 20,
    chance: distance === 20 ? 0.93 : null,
  }));
  const plan = { ...sent.paper.plan, stages };
  const paper = { ...sent.paper, plan, sets: [shown], heads: null, sightAnswer } as Paper;
  const work = { faults: {}, busy: false, sight: vi.fn(), conditions: vi.fn() } as unknown as PaperWork;
  show(<AtTarget archerId="a" paper={paper} set={shown} work={work} onMoved={onMoved} />);
  return onMoved;
};

describe('beside it', () => {
  it('stand the causes, each walk by itself and the sight, which can be set otherwise', async () => {
    const onMoved = beside(set(hit(1, 20)));
    expect(screen.getByText('Sight or zero: shown').closest('li')!.dataset.seen).toBe('shown');
    expect(screen.getByTestId('walks-alone').querySelectorAll('tr')).toHaveLength(3);
    await userEvent.click(screen.getByText('Measure it, or say how it was moved'));
    await userEvent.click(screen.getByText('I levelled it, or set it by its hits'));
    expect(onMoved).toHaveBeenLastCalledWith({ otherwise: true });
    await userEvent.type(screen.getByLabelText('Pin right (left: −)'), '.05');
    await userEvent.click(screen.getByText('I moved it so'));
    expect(onMoved).toHaveBeenLastCalledWith({ typed: { right: '.05', up: '' } });
  });
});

describe('a pin that is set', () => {
  const sighting: NonNullable<ShotSet['sighting']> = {
    tolerance: 1,
    toleranceText: '1.0 in',
    group: { centre: { x: 1.2, y: -0.6 }, radius: 0.8, count: 3 },
    earlier: [{ x: 0.5, y: 0.2 }],
  };
  const sighted = setOf(1, {
    sighting,
    shots: [hit(1, 20, 1, { yards: null })],
    stage: '20 yd sight',
    headline: 'The middle strikes 1.20 in right at 20 yd.',
  }) as unknown as ShotSet;

  it('is marked with fletched arrows at one aiming point, and its middle is drawn', () => {
    expect(markedWith(sighted)).toEqual(['fletched']);
    expect(freshHit(sighted, null)).toMatchObject({ arrow: 'fletched', distance: '' });
    show(<SightingSheet set={sighted} />);
    expect(screen.getByTestId('target').getAttribute('aria-label')).toContain('1.20 in right at 20 yd. 1 fletched.');
    expect(screen.getByText('green ring: 1.0 in about the aiming point')).toBeTruthy();
  });

  it('stands among the others in the order in which they are set', () => {
    beside(sighted);
    const pins = screen.getByTestId('pins');
    expect(pins.textContent).toContain('20 yd sight: 93 % within it');
    expect(pins.textContent).toContain('30 yd sight: not yet');
    expect(screen.getAllByText('The sight').length).toBeGreaterThan(0);
  });
});
