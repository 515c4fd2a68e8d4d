import { describe, expect, it } from 'vitest';
import { bounded, linePath, nearestIndex, scale, ticksOf } from './chart';
import { gauge, sixteenths } from './gauge';
import { measureShapes } from './measure';

describe('a gauge', () => {
  const centreShot = { aim: 13 / 16, low: 11 / 16, high: 15 / 16, atMost: false };

  it('puts the aim in the middle of an even tolerance', () => {
    const at = gauge(centreShot, null, 1 / 32, 600);
    expect(at.aim).toBe(300);
    expect(at.low).toBe(150);
    expect(at.high).toBe(450);
    expect(at.at).toBeNull();
    expect(at.error).toBeNull();
  });

  it('draws the reading with its own error as a bar around it', () => {
    const at = gauge(centreShot, 0.845, 1 / 32, 600);
    expect(at.at).toBeGreaterThan(at.aim);
    expect(at.error![0]).toBeLessThan(at.at!);
    expect(at.error![1]).toBeGreaterThan(at.at!);
    expect(at.error![1] - at.at!).toBeCloseTo(at.at! - at.error![0], 0);
  });

  it('reaches as far as a reading that is far beyond', () => {
    const at = gauge(centreShot, 2, 1 / 32, 600);
    expect(at.at).toBe(600);
    expect(at.high).toBeLessThan(600);
  });

  it('has ticks at whole parts of an inch and not too many', () => {
    const at = gauge(centreShot, null, 1 / 32, 600);
    expect(at.ticks.length).toBeLessThanOrEqual(17);
    for (const tick of at.ticks) expect((tick.value * 64) % 1).toBeCloseTo(0, 9);
    expect(at.ticks.map((t) => t.x)).toEqual([...at.ticks.map((t) => t.x)].sort((a, b) => a - b));
  });

  it('works for degrees and pounds as well', () => {
    expect(gauge({ aim: 0, low: -15, high: 15, atMost: false }, 10, 5, 300).ticks.length).toBeGreaterThan(2);
    expect(gauge({ aim: 65, low: 0, high: 70, atMost: true }, 65.5, 0.5, 300).ticks.length).toBeGreaterThan(2);
  });

  it('has no lower limit where only too much is wrong, and shows a small excess', () => {
    const at = gauge({ aim: 70, low: 0, high: 70, atMost: true }, 71.8, 0.5, 600);
    expect(at.low).toBe(0);
    expect(at.at! - at.high).toBeGreaterThan(30);
    expect(gauge({ aim: 70, low: 0, high: 70, atMost: true }, 30, 0.5, 600).at).toBe(0);
  });
});

describe('sixteenths', () => {
  it.each([
    [13 / 16, '13/16'],
    [0.5, '1/2'],
    [28.5, '28 1/2'],
    [28.75, '28 3/4'],
    [3, '3'],
    [0, '0'],
    [-3 / 16, '\u22123/16'],
    [0.846, '0.85'],
    [1 + 1 / 8, '1 1/8'],
  ])('reads %d as a rule does: %s', (inches, words) => expect(sixteenths(inches)).toBe(words));
});

describe('the drawings of how a check is done', () => {
  const kinds = [
    'inspection',
    'drawWeight',
    'axleToAxle',
    'braceHeight',
    'tiller',
    'limbAlignment',
    'camLean',
    'camTiming',
    'centreShot',
    'plungerTension',
    'shelf',
    'nockingPoint',
    'nockSets',
    'loop',
    'nockFit',
    'restTiming',
    'clicker',
    'peep',
    'firstAxis',
    'secondAxis',
    'thirdAxis',
  ];

  it.each(kinds)('%s has one, with what is measured in red and inside the sheet', (kind) => {
    const shapes = measureShapes(kind, 'compound')!;
    expect(shapes.ink).toMatch(/^M/);
    expect(shapes.red).toMatch(/^M/);
    expect(shapes.labels.length).toBeGreaterThan(0);
    for (const label of shapes.labels) {
      expect(label.x).toBeGreaterThanOrEqual(0);
      expect(label.x).toBeLessThan(620);
      expect(label.y).toBeGreaterThan(0);
      expect(label.y).toBeLessThan(270);
    }
  });

  it('of a bow without cams shows no cam', () => {
    for (const kind of ['inspection', 'braceHeight']) {
      const [plain, compound] = [measureShapes(kind, 'recurve')!, measureShapes(kind, 'compound')!];
      expect(plain.ink).not.toBe(compound.ink);
      expect(plain.labels.map((l) => l.text).join()).not.toMatch(/cam/);
    }
  });

  it('has none for what is followed up elsewhere', () => {
    expect(measureShapes('paper', 'compound')).toBeNull();
    expect(measureShapes('sight', 'compound')).toBeNull();
  });
});

describe('a chart', () => {
  it('draws a line through its points', () => {
    expect(
      linePath([
        [0, 1],
        [2.04, 3],
      ]),
    ).toBe('M0,1L2,3');
  });

  it('lifts the pen where there is no point', () => {
    expect(linePath([[0, 0], [1, 1], null, [3, 3], [4, 4]])).toBe('M0,0L1,1M3,3L4,4');
    expect(linePath([null, null])).toBe('');
  });

  it('ticks at whole multiples, both ends among them', () => {
    expect(ticksOf(scale(250, 750, 0, 1), 100)).toEqual([300, 400, 500, 600, 700]);
    expect(ticksOf(scale(25.5, 27, 0, 1), 0.5)).toEqual([25.5, 26, 26.5, 27]);
    expect(ticksOf(scale(1, 0, 0, 1), 1)).toEqual([]);
  });

  it('puts a value that is beyond an end at that end', () => {
    const at = bounded(0.8, 1.3, 0, 500);
    expect([at(0.5), at(1.05), at(9)].map(Math.round)).toEqual([0, 250, 500]);
  });

  it('finds the nearest of an ascending list', () => {
    expect(nearestIndex([50, 60, 70], 64)).toBe(1);
    expect(nearestIndex([50, 60, 70], 66)).toBe(2);
    expect(nearestIndex([50, 60, 70], -10)).toBe(0);
    expect(nearestIndex([50, 60, 70], 900)).toBe(2);
  });
});
