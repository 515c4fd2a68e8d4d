import { cleanup, fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { faceFor, loupeCorner, rings, ringsOf } from '../../../drawing/target';
import { show } from '../../../testing/show';
import { set as setOf, shot } from '../pageFixtures';
import type { Marking, Paper, ShotSet } from '../paperTypes';
import type { PaperWork } from '../usePaperWork';
import { Conditions } from './Conditions';
import { Powers } from './GroupParts';
import { freshHit, halfFor, nextKind, nextNumber, type ArrowKind } from './groupTypes';
import { HitPanel } from './HitPanel';
import { HitsTable } from './HitsTable';
import { TargetMarking } from './TargetMarking';
import { TargetSheet } from './TargetSheet';

afterEach(cleanup);

const power = (pairs: number, chance: number) => ({ pairs, chance, words: `${pairs} of each` });
const groups = {
  tolerance: 2,
  toleranceText: '2.00 in',
  heads: false,
  tested: 2,
  reference: 2,
  pairs: 2,
  referenceGroup: { centre: { x: 0, y: 0 }, radius: 2, count: 2 },
  testedGroup: { centre: { x: -4, y: 0.5 }, radius: 2.5, count: 2 },
  offset: { x: -4, y: 0.2 },
  radius: 3.2,
  verdict: 'likely',
  bareHigh: 'Bare shafts are lighter: taken off.',
  slants: 'Bare shafts in the target: 2 nock left, of 3 looked at.',
  powers: [power(2, 0.07), power(3, 0.19)],
  more: '6 more of each would show it.',
};
const hit = (number: number, arrow: ArrowKind, x = 0, y = 0, part: object = {}) => ({
  ...shot(number, 0),
  arrow,
  point: { x, y },
  ...part,
});
const set = (...shots: object[]) => setOf(1, { groups, shots, stage: '20 yd groups' }) as unknown as ShotSet;

describe('which arrow is marked next', () => {
  it('begins each group with two, then goes one of each in turn', () => {
    const [f, b] = [hit(1, 'fletched'), hit(2, 'bare')];
    expect(nextKind(set(), null)).toBe('fletched');
    expect(nextKind(set(f), 'fletched')).toBe('fletched');
    expect(nextKind(set(f, f), 'fletched')).toBe('bare');
    expect(nextKind(set(f, f, b), 'bare')).toBe('bare');
    expect(nextKind(set(f, f, b, b), 'bare')).toBe('fletched');
    expect(nextKind(set(f, f, b, b, f), 'fletched')).toBe('bare');
    expect(nextKind(set(f, f, b, b, b), 'bare')).toBe('fletched');
  });

  it('counts a voided shot in its number and not in its group', () => {
    const voided = hit(1, 'fletched', 0, 0, { voidReason: 'plucked' });
    expect(nextNumber(set(voided), 'fletched')).toBe(2);
    expect(nextKind(set(voided, hit(2, 'fletched')), 'fletched')).toBe('fletched');
  });
});

describe('the face', () => {
  it('is as wide as what lies on it, with rings that are read at a glance', () => {
    expect(faceFor([])).toBe(4);
    expect(faceFor([{ x: -5, y: 1 }])).toBe(6);
    expect(faceFor([{ x: 0, y: 1 }], [30])).toBe(24);
    expect(rings(8)).toEqual([8, 7, 6, 5, 4, 3, 2, 1]);
    expect(rings(24)).toEqual([24, 20, 16, 12, 8, 4]);
    expect(rings(8, 1 / 2.54).map((r) => Math.round(r * 2.54 * 10) / 10)).toEqual([20, 16, 12, 8, 4]);
    expect(halfFor(set(hit(1, 'bare', 12, 0)))).toBe(16);
    expect(loupeCorner({ x: 300, y: 90 }, 390, 58).x).toBeLessThan(100);
    expect(loupeCorner({ x: 90, y: 90 }, 390, 58).x).toBeGreaterThan(300);
  });

  it('is drawn as it hangs on the butt: plain rings of its width, or a blank sheet', () => {
    expect(ringsOf({ diameter: 24, rings: 6 })).toEqual([12, 10, 8, 6, 4, 2]);
    expect(ringsOf({ diameter: 24, rings: 0 })).toEqual([]);
    expect(ringsOf({ diameter: 24, rings: 2, ringDiameters: [16, 4] })).toEqual([12, 8, 2]);
    expect(ringsOf({ diameter: 16, rings: 2, ringDiameters: [16, 4] })).toEqual([8, 2]);
    const hung = (face: { diameter: number; rings: number }) =>
      ({ ...set(hit(1, 'fletched')), conditions: { face } }) as unknown as ShotSet;
    show(<TargetSheet set={hung({ diameter: 6, rings: 3 })} />);
    const widths = [...screen.getByTestId('target').querySelectorAll('g > circle[fill^="var(--paper"]')]
      .slice(0, 3)
      .map((ring) => Number(ring.getAttribute('r')));
    expect(widths[0]! / widths[2]!).toBeCloseTo(3);
    cleanup();
    show(<TargetSheet set={hung({ diameter: 6, rings: 0 })} />);
    const sheet = screen.getByTestId('target').querySelectorAll('rect')[1]!;
    expect(Number(sheet.getAttribute('width'))).toBeCloseTo(2 * widths[0]!);
  });

  it('is noted with how it was shot, and bare shafts that are taped with it', async () => {
    const work = { faults: {}, busy: false, conditions: vi.fn() } as unknown as PaperWork;
    const shown = set(hit(1, 'fletched'));
    show(<Conditions paper={{ sets: [shown] } as Paper} set={shown} work={work} />);
    await userEvent.click(screen.getByText('Note wind, stance and face'));
    await userEvent.click(screen.getByLabelText('Bare shafts are taped to the weight of the vanes'));
    expect(screen.queryByRole('group', { name: 'Rings of the face' })).toBeNull();
    await userEvent.type(screen.getByLabelText('The face is so wide'), '60 cm');
    await userEvent.click(screen.getByText('blank'));
    await userEvent.click(screen.getByText('Note it from here on'));
    expect(work.conditions).toHaveBeenCalledWith(expect.anything(), {
      wind: '',
      across: '',
      seated: false,
      face: '60 cm',
      rings: 0,
      ringsAcross: '',
      taped: true,
    });
    await userEvent.click(screen.getByText('own sizes'));
    await userEvent.type(screen.getByLabelText('Each ring, how wide across'), '4; 8{Enter}');
    expect(work.conditions).toHaveBeenLastCalledWith(
      expect.anything(),
      expect.objectContaining({ face: '60 cm', rings: 0, ringsAcross: '4; 8' }),
    );
  });

  it('shows both groups with their centres, and says how many', () => {
    show(<TargetSheet set={set(hit(1, 'fletched'), hit(2, 'bare', -4, 0.5))} />);
    expect(screen.getByTestId('target').getAttribute('aria-label')).toContain('2 fletched, 2 bare.');
    expect(screen.getByText('green ring: 2.0 in about the fletched')).toBeTruthy();
  });

  it('shows what more of each would show', () => {
    show(<Powers groups={set().groups!} />);
    expect(screen.getByTestId('powers').textContent).toContain('19 %');
    expect(screen.getByText('6 more of each would show it.')).toBeTruthy();
  });
});

describe('a hit', () => {
  const marking = (change = vi.fn(), keep = vi.fn(), part: Partial<Marking> = {}) => {
    show(
      <TargetMarking
        marking={{ ...freshHit(set(), null), ...part }}
        set={set()}
        half={8}
        onChange={change}
        onKeep={keep}
        onCancel={vi.fn()}
      />,
    );
    return screen.getByTestId('marking-sheet');
  };
  const at = (pointerType: string, clientX: number, clientY: number) => ({
    pointerType,
    clientX,
    clientY,
    pointerId: 1,
  });

  it('is set when a finger lifts, above it; a mouse leaves it to be corrected', () => {
    const [change, keep] = [vi.fn(), vi.fn()];
    const sheet = marking(change, keep);
    const [, , width, height] = sheet.getAttribute('viewBox')!.split(' ').map(Number) as [
      number,
      number,
      number,
      number,
    ];
    sheet.getBoundingClientRect = () => ({ left: 0, top: 0, width, height }) as DOMRect;
    fireEvent.pointerDown(sheet, at('mouse', width / 2, height / 2));
    fireEvent.pointerUp(sheet, at('mouse', width / 2, height / 2));
    expect(change.mock.lastCall![0].point).toEqual({ x: 0, y: 0 });
    expect(keep).not.toHaveBeenCalled();
    fireEvent.pointerDown(sheet, at('touch', width / 2, height / 2 + 60));
    expect(screen.getByTestId('loupe')).toBeTruthy();
    fireEvent.pointerUp(sheet, at('touch', width / 2, height / 2 + 60));
    expect(keep.mock.lastCall![0]).toMatchObject({ arrow: 'fletched', point: { x: 0, y: 0 } });
  });

  it('goes by keys: arrows, the kind, Enter', async () => {
    const [change, keep] = [vi.fn(), vi.fn()];
    marking(change, keep, { point: { x: 1, y: 1 } }).focus();
    await userEvent.keyboard('{ArrowLeft}');
    expect(change.mock.lastCall![0].point).toEqual({ x: 0.95, y: 1 });
    await userEvent.keyboard('{Shift>}{ArrowDown}{/Shift}');
    expect(change.mock.lastCall![0].point).toEqual({ x: 1, y: 0.5 });
    await userEvent.keyboard('b');
    expect(change.mock.lastCall![0].arrow).toBe('bare');
    await userEvent.keyboard('{Enter}');
    expect(keep.mock.lastCall![0].point).toEqual({ x: 1, y: 1 });
  });

  it('marks no hit by a stray Enter: the cross comes first', async () => {
    const [change, keep] = [vi.fn(), vi.fn()];
    marking(change, keep, { point: null }).focus();
    await userEvent.keyboard('{Enter}');
    expect(keep).not.toHaveBeenCalled();
    expect(change.mock.lastCall![0].point).toEqual({ x: 0, y: 0 });
  });

  it('is typed, with its fault beside the field, and of either kind', async () => {
    const change = vi.fn();
    show(
      <HitPanel
        marking={{ ...freshHit(set(), null), right: '1' }}
        set={set()}
        half={8}
        faults={{ up: ['Allowed is −24 to 24 in.'] }}
        arrowNumbers={['1', '2']}
        onChange={change}
        onHalf={vi.fn()}
        onKeep={vi.fn()}
      />,
    );
    expect(screen.getByText('Allowed is −24 to 24 in.')).toBeTruthy();
    await userEvent.click(screen.getByText('Bare 1'));
    expect(change.mock.lastCall![0].arrow).toBe('bare');
    await userEvent.click(screen.getByText('fishtail'));
    expect(change.mock.lastCall![0].flight).toBe('fishtail');
    await userEvent.click(screen.getByText('nock left'));
    expect(change.mock.lastCall![0].slant).toBe('nockLeft');
    await userEvent.click(screen.getByText('Mark the place'));
    expect(change.mock.lastCall![0].right).toBe('');
  });
});

describe('a table of hits', () => {
  it('says when it was taken in, keeps its words where it was refused', async () => {
    const [taken, answers] = [vi.fn(), [null, { id: 'after' }]];
    const work = { faults: {}, busy: false, hitsTable: vi.fn(() => Promise.resolve(answers.shift())) };
    const shown = set(hit(1, 'fletched'));
    const paper = { id: 'p', startedAt: '2026-11-23', sets: [shown] } as Paper;
    show(<HitsTable paper={paper} set={shown} work={work as unknown as PaperWork} onTaken={taken} />);
    await userEvent.click(screen.getByText('Take in a table of hits'));
    await userEvent.type(screen.getByLabelText('Table of hits'), 'right,up');
    await userEvent.click(screen.getByText('Take these hits in'));
    expect(taken).not.toHaveBeenCalled();
    expect((screen.getByLabelText('Table of hits') as HTMLTextAreaElement).value).toBe('right,up');
    await userEvent.click(screen.getByText('Take these hits in'));
    expect(taken).toHaveBeenCalledWith({ id: 'after' });
    expect((screen.getByLabelText('Table of hits') as HTMLTextAreaElement).value).toBe('');
  });
});
