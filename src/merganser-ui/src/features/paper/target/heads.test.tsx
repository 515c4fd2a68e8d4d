import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { headMap } from '../../../drawing/heads';
import { dimension } from '../../../drawing/target';
import { show } from '../../../testing/show';
import { paper as paperOf, set as setOf, shot } from '../pageFixtures';
import type { Paper, ShotSet } from '../paperTypes';
import { HeadsPanel } from './HeadsPanel';
import { TargetSheet } from './TargetSheet';
import { kindOfKey, kindsOf, nextKind } from './groupTypes';

afterEach(cleanup);

const groups = {
  tolerance: 3,
  toleranceText: '3.00 in',
  heads: true,
  tested: 3,
  reference: 3,
  pairs: 3,
  testedGroup: { centre: { x: 0, y: -4.8 }, radius: 2, count: 3 },
  referenceGroup: { centre: { x: 0, y: 0 }, radius: 2, count: 3 },
  offset: { x: 0.1, y: -4.8 },
  radius: 2.5,
  verdict: 'clear',
  bareHigh: null,
  slants: null,
  powers: [],
  more: null,
};
const aside = { testedGroup: { centre: { x: -5.2, y: 0.3 }, radius: 1, count: 3 } };
const hit = (number: number, arrow: string, arrowNumber: string | null = null) => ({
  ...shot(number, 0),
  arrow,
  arrowNumber,
  point: { x: 0, y: 0 },
});
const set = (...shots: object[]) =>
  setOf(1, { groups, shots, stage: '30 yd heads', headline: 'Heads land 4.80 in low.' }) as unknown as ShotSet;
const heads = {
  map: {
    leave: 0.02,
    sight: 0.92,
    tune: 0.06,
    halfSector: 22.5,
    straight: 'moveTheSight',
    seen: 'moveTheSight',
    words: 'Within 3.00 in nothing is to be done.',
  },
  each: [
    {
      number: '1',
      grains: 100.3,
      count: 2,
      away: 0.2,
      fromAll: '0.20 in left',
      flight: 'clean',
      practice: false,
      apart: false,
    },
    {
      number: 'P',
      grains: null,
      count: 2,
      away: 3,
      fromAll: '3.00 in low',
      flight: '1 of 2 flew badly',
      practice: true,
      apart: true,
    },
  ],
  compared: 'Head P stands apart.',
  test: 'F(2, 4) = 21.00',
  pin: { right: 0, up: -0.15 },
  mark: null,
  markAt: { right: 0, up: 0 },
  drag: null,
  sight: { eyeToPinTyped: '', clickTyped: '', words: 'Eye to pin 34.0 in, as is usual.' },
  noSight: null,
};
const panel = (part: object = {}) => {
  const [sight, onMoved] = [vi.fn(), vi.fn()];
  const paper = paperOf({ sets: [set()], heads: { ...heads, ...part } }) as unknown as Paper;
  show(
    <HeadsPanel
      paper={paper}
      work={{ faults: { eyeToPin: ['Allowed is 10 to 50 in.'] }, busy: false, sight }}
      onMoved={onMoved}
    />,
  );
  return { sight, onMoved, paper };
};

describe('the map of heads', () => {
  it('has the sight on the axes and the bow between them', () => {
    const answers = (straight: Parameters<typeof headMap>[4]) =>
      headMap({ width: 300, height: 250 }, 3, { x: 0, y: 0, radius: 6 }, 22.5, straight)
        .sectors.map((s) => s.answer.charAt(0))
        .join('');
    expect(answers('moveTheSight')).toBe('stststst');
    expect(answers('tuneSideways')).toBe('ttstttst');
    expect(answers('tuneTheBow')).toBe('tttttttt');
  });

  it('keeps the offset with its region inside the frame', () => {
    const { px, rays } = headMap({ width: 300, height: 250 }, 3, { x: 0, y: 9, radius: 3 }, 22.5, 'moveTheSight');
    expect(12 * px).toBeLessThanOrEqual(125);
    expect(rays).toHaveLength(8);
    expect(rays[1]).toMatch(/^M\S+ -/);
    const still = headMap({ width: 300, height: 250 }, 3, { x: 0, y: 0, radius: 0 }, 22.5, 'moveTheSight');
    expect(still.px * 3).toBeLessThan(60);
  });

  it('leaves out the word that the mark stands on', () => {
    const low = headMap({ width: 300, height: 250 }, 3, { x: 0, y: -4.5, radius: 1.5 }, 22.5, 'moveTheSight');
    expect(low.sectors.map((s) => s.answer.charAt(0)).join('')).toBe('stststt');
    for (const { at } of low.sectors) expect(Math.hypot(at.x - low.mark.x, at.y - low.mark.y)).toBeGreaterThan(30);
  });
});

describe('how far apart groups lie', () => {
  const at = (x: number, y: number) => ({ x, y, radius: 20 });

  it('stands beside both regions along the greater part', () => {
    const low = dimension(at(200, 100), at(206, 260), 600)!;
    expect(low).toMatchObject({ along: 'y', anchor: 'start' });
    expect(low.words.x).toBeGreaterThan(206 + 20);
    expect(dimension(at(540, 100), at(546, 260), 600)).toMatchObject({ anchor: 'end' });
    const right = dimension(at(200, 100), at(320, 110), 600)!;
    expect(right).toMatchObject({ along: 'x', anchor: 'middle' });
    expect(right.words.y).toBeGreaterThan(110 + 20);
    expect(dimension(at(200, 100), at(210, 110), 600)).toBeNull();
  });

  it('is on the face when it is likely or clear, and not where some of the height was taken off', () => {
    const shown = (part: object) => {
      cleanup();
      const one = set(hit(1, 'fieldPoint'), hit(2, 'broadhead', '1'));
      show(<TargetSheet set={{ ...one, groups: { ...groups, ...part } } as unknown as ShotSet} />);
      return screen.queryByTestId('apart')?.textContent ?? null;
    };
    expect(shown({})).toBe('4.80 in low');
    expect(shown({ verdict: 'likely', offset: { x: -5.2, y: 0.3 }, ...aside })).toBe('5.20 in left');
    expect(shown({ verdict: 'noDifferenceShown' })).toBeNull();
    expect(shown({ bareHigh: 'Bare shafts are lighter: taken off.' })).toBeNull();
  });
});

describe('what heads ask for', () => {
  it('shows the chance of each answer, and each head by its number', () => {
    panel();
    expect(screen.getByRole('img', { name: /Heads land 4.80 in low/ })).toBeTruthy();
    expect(screen.getByText('92 %')).toBeTruthy();
    expect(screen.getByText('3.00 in low').closest('tr')!.textContent).toMatch(/P apart2.*1 of 2 flew badly/);
    expect(screen.getByText('Head P stands apart.')).toBeTruthy();
    expect(screen.getByRole('columnheader', { name: 'Weight' })).toBeTruthy();
    expect(screen.getByText('100.3 gr').closest('tr')!.textContent).toContain('0.20 in left');
  });

  it('keeps a sight as typed, and a mark that was moved otherwise', async () => {
    const { sight, onMoved, paper } = panel();
    await userEvent.click(screen.getByText('Measure it, or say how it was moved'));
    await userEvent.type(screen.getByLabelText('Eye to pin'), '33 1/2');
    await userEvent.type(screen.getByLabelText('One click moves the pin'), '.02{Enter}');
    expect(sight).toHaveBeenCalledWith(paper, '33 1/2', '.02');
    expect(screen.getByText('Allowed is 10 to 50 in.')).toBeTruthy();
    await userEvent.type(screen.getByLabelText('For heads, pin up (down: −)'), '-.1');
    await userEvent.click(screen.getByText('I moved it so, for heads'));
    expect(onMoved).toHaveBeenCalledWith({ typed: { right: '', up: '-.1' } });
  });

  it('says nothing of a sight where the bow has none', () => {
    panel({ sight: null, noSight: 'This bow is shot without a sight.', map: null });
    expect(screen.getByText('This bow is shot without a sight.')).toBeTruthy();
    expect(screen.queryByText('The sight')).toBeNull();
    expect(screen.queryByTestId('head-map')).toBeNull();
  });
});

describe('a set of heads', () => {
  it('is marked in its own two kinds', () => {
    expect(kindsOf(set())).toEqual(['fieldPoint', 'broadhead']);
    expect(kindOfKey(set(), 'b')).toBe('broadhead');
    expect(kindOfKey(set(), 'f')).toBe('fieldPoint');
    expect(kindOfKey(set(), 'x')).toBeUndefined();
    expect(nextKind(set(hit(1, 'fieldPoint'), hit(2, 'fieldPoint')), 'fieldPoint')).toBe('broadhead');
  });

  it('shows field points open, and heads with their numbers', () => {
    show(<TargetSheet set={set(hit(1, 'fieldPoint'), hit(2, 'broadhead', '4'))} />);
    expect(screen.getByTestId('target').getAttribute('aria-label')).toContain('3 field points, 3 heads.');
    expect(screen.getByText('4')).toBeTruthy();
    expect(screen.getByText('green ring: 3.0 in about the field points')).toBeTruthy();
  });
});
