import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { sizesFrame } from '../../../drawing/sizes';
import { sent } from '../../../testing/fixtures';
import { answering, show } from '../../../testing/show';
import { freshPlan, PaperPlan } from '../PaperPlan';
import { saidOf, shotAs, shotOf, waysOf } from '../planKinds';
import type { Paper, ShotSet } from '../paperTypes';
import { stageOf } from '../stages';
import { freshHit, isOpen, markedWith, toldBy } from './groupTypes';
import { HitPanel } from './HitPanel';
import { RangingPanel } from './RangingPanel';
import { RangeSheet, WaysSheet } from './WaysSheet';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const each = (way: 'first' | 'second', name: string, count: number) => ({
  way,
  name,
  count,
  words: `${name}, ${count}`,
  group: { centre: { x: 0, y: 0 }, radius: 1, count },
  meanRadius: way === 'first' ? 1 : 3,
});
const base: ShotSet = { ...sent.paper.sets[0]!, groups: null, mean: null, shots: [], figures: [] };
const ways: ShotSet = {
  ...base,
  ways: {
    ways: { kind: 'grip', first: 'low', second: 'high' },
    pooled: [1],
    next: 'second',
    each: [each('first', 'low', 3), each('second', 'high', 2)],
    shown: null,
  },
};
const setting = (yards: number, count: number) => ({
  yards,
  name: `${yards} yd`,
  count,
  words: `sight for ${yards} yd, ${count}`,
  up: yards > 30 ? 2 : -2,
  computed: yards > 30 ? 1.5 : -1.5,
});
const trial: NonNullable<ShotSet['rangeTrial']> = {
  yards: 30,
  error: 2,
  pooled: [1],
  next: 28,
  settings: [setting(32, 3), setting(28, 2)],
  allowed: 3,
  plus: 0.5,
  affords: 3,
};
const range: ShotSet = { ...base, rangeTrial: trial };

describe('what is told apart by a way or a setting', () => {
  it('is marked with the one that is next, and begun again with the same stage', () => {
    expect(freshHit(ways, 'fletched')).toMatchObject({ arrow: 'fletched', way: 'second', sightFor: null });
    expect(freshHit(range, null)).toMatchObject({ arrow: 'fletched', way: null, sightFor: 28 });
    expect(markedWith(ways)).toEqual(['fletched']);
    expect(toldBy(ways, freshHit(ways, null)).map((t) => [t.words, t.hits, t.chosen])).toEqual([
      ['low', 3, false],
      ['high', 2, true],
    ]);
    expect(stageOf(ways)).toMatchObject({ atTarget: true, ways: { first: 'low' }, rangeError: null });
    expect(stageOf(range)).toMatchObject({ atTarget: true, ways: null, rangeError: 2 });
    expect(isOpen(ways, { way: 'second', sightFor: null })).toBe(true);
    expect(isOpen(range, { way: null, sightFor: 32 })).toBe(false);
    expect(isOpen(range, { way: null, sightFor: 28 })).toBe(true);
  });

  it('is drawn with both groups, and chosen beside the face', () => {
    const paper = { ...sent.paper, sets: [ways] } as Paper;
    show(<WaysSheet paper={paper} set={ways} />);
    expect(screen.getByTestId('target').getAttribute('aria-label')).toContain('low, 3; high, 2');
    const onChange = vi.fn();
    const props = { half: 8, faults: {}, arrowNumbers: [], onChange, onHalf: vi.fn(), onKeep: vi.fn() };
    show(<HitPanel marking={freshHit(ways, null)} set={ways} {...props} />);
    fireEvent.click(screen.getByText('Low, 3'));
    expect(onChange.mock.lastCall![0]).toMatchObject({ way: 'first', sightFor: null });
  });

  it('is drawn high and low of what is allowed', () => {
    const { container } = show(<RangeSheet paper={{ ...sent.paper, sets: [range] } as Paper} set={range} />);
    const drawn = container.querySelector('[data-testid=target]')!.textContent;
    expect(drawn).toContain('sight for 28 yd, 2');
    expect(drawn).toContain('green lines: 3 in up and down');
  });
});

describe('a plan of two ways or of a range error', () => {
  const props = { arrows: [], dozens: [], choices: sent.paperChoices, faults: {} };

  it('asks what differs, and what each is called', () => {
    const onChange = vi.fn();
    const plan = { ...freshPlan('a'), stages: [shotAs('20', 'ways')] };
    show(<PaperPlan {...props} plan={plan} onChange={onChange} />);
    fireEvent.change(screen.getByLabelText('What differs'), { target: { value: 'nockFit' } });
    expect(onChange.mock.lastCall![0].stages[0].ways).toEqual(waysOf('nockFit'));
    fireEvent.change(screen.getByLabelText('The other'), { target: { value: 'tight nocks' } });
    expect(onChange.mock.lastCall![0].stages[0].ways).toMatchObject({ second: 'tight nocks' });
    expect(screen.queryByText(/Good enough at the/)).toBeNull();
    expect(saidOf(plan.stages).button).toBe('Begin comparing');
  });

  it('asks how wrong the sight is set', () => {
    const onChange = vi.fn();
    show(
      <PaperPlan {...props} plan={{ ...freshPlan('a'), stages: [shotAs('30', 'rangeError')] }} onChange={onChange} />,
    );
    fireEvent.click(screen.getByRole('button', { name: '5 yd' }));
    expect(onChange.mock.lastCall![0].stages[0]).toMatchObject({ rangeError: 5, ways: null });
    expect(shotOf(shotAs('30', 'rangeError'))).toBe('rangeError');
  });
});

describe('guessed distances', () => {
  const none = {
    guesses: [],
    byDistance: [],
    words: '5 guesses more before anything is told.',
    figures: [],
    affords: null,
  };
  const one = { id: 'g', words: 'said 30 yd, was 28 yd: 2 yd long' };

  it('are kept by Enter, and the next one is typed at once', async () => {
    const asked = answering({
      '/range-guesses': (body: unknown) => (body === null ? none : { ...none, guesses: [one] }),
    });
    show(<RangingPanel archerId="a" trial={trial} />);
    await screen.findByText(/5 guesses more/);
    fireEvent.change(screen.getByLabelText('Guessed'), { target: { value: '30' } });
    fireEvent.change(screen.getByLabelText('Then measured'), { target: { value: '28' } });
    fireEvent.keyDown(screen.getByLabelText('Then measured'), { key: 'Enter' });
    await screen.findByText(/said 30 yd/);
    const post = asked.find((a) => a.method === 'POST')!;
    expect(post.body).toMatchObject({ guessed: '30', measured: '28' });
    expect(screen.getByLabelText<HTMLInputElement>('Guessed').value).toBe('');
  });
});

describe('the chart of sizes', () => {
  it('stands days side by side, from nought, and cuts what two hits do not know', () => {
    const box = { left: 0, right: 400, top: 0, bottom: 200 };
    const frame = sizesFrame(box, [
      { spread: 1, low: 0.5, high: 9 },
      { spread: 2, low: 1.5, high: 2.5 },
    ]);
    expect([frame.x(0), frame.x(1)]).toEqual([100, 300]);
    expect(frame.y(0)).toBe(200);
    expect(frame.most).toBeCloseTo(2 * 2.5 * 1.08);
    expect(frame.ticks[0]).toBe(0);
    expect(frame.ticks.at(-1)!).toBeLessThanOrEqual(frame.most);
  });
});
