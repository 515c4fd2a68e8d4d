import { describe, expect, it } from 'vitest';
import { metricUnits, rulerOf, tradeUnits } from '../units/units';
import { arrowPaths, layout, rulerTicks, type ArrowMeasures } from './arrow';
import { bowOutline } from './bow';
import { EMPTY } from './empty';
import { seeded } from './seeded';
import { flagHeight, sheetScale, tearPath } from './tear';
import { PLACE, pieceMark } from './tray';

const measures: ArrowMeasures = {
  cutLength: 28.5,
  tubeStart: 0.5,
  diameter: 0.246,
  pointLength: 0.95,
  head: false,
  insertFrom: 27.6,
  insertTo: 28.5,
  wrapTo: 4.5,
  vaneFront: 3.5,
  vaneLength: 2,
  vaneHeight: 0.46,
  vaneCount: 3,
  ends: [],
};

const xs = (path: string) => [...path.matchAll(/[MLH]\s*(-?[\d.]+)/g)].map((m) => Number(m[1]));

describe('the arrow to scale', () => {
  it('keeps the arrow and its point inside any width', () => {
    for (const width of [320, 390, 800, 1232])
      for (const length of [20, 28.5, 34]) {
        const at = layout(width, length);
        expect(at.x(0)).toBeGreaterThanOrEqual(24);
        expect(at.x(length + 1)).toBeLessThanOrEqual(width);
      }
  });

  it('never draws more than 40 px to the inch', () => {
    const at = layout(4000, 28);
    expect(at.x(1) - at.x(0)).toBeLessThanOrEqual(40);
  });

  it('starts the tube at the nock and ends it at the cut', () => {
    const at = layout(1232, 28.5);
    const tube = xs(arrowPaths(measures, at, 100).tube);
    expect(Math.min(...tube)).toBeCloseTo(at.x(0.5), 1);
    expect(Math.max(...tube)).toBeCloseTo(at.x(28.5), 1);
  });

  it('draws no vanes, wrap or insert where there are none', () => {
    const bare = arrowPaths(
      { ...measures, vaneCount: 0, wrapTo: null, insertFrom: null, insertTo: null },
      layout(1232, 28.5),
      100,
    );
    expect([bare.vaneUp, bare.vaneDown, bare.wrap, bare.insert]).toEqual([null, null, null, null]);
  });

  it('draws a collar over the shaft and a pin inside it', () => {
    const ys = (path: string) => [...path.matchAll(/[MV](?:-?[\d.]+ )?(-?[\d.]+)/g)].map((m) => Number(m[1]));
    const thick = (path: string) => Math.max(...ys(path)) - Math.min(...ys(path));
    const ends = [
      { from: 28, to: 28.5, over: true },
      { from: 0.4, to: 0.9, over: false },
    ];
    const paths = arrowPaths({ ...measures, ends }, layout(1232, 28.5), 100);
    expect([paths.over.length, paths.inside.length]).toEqual([1, 1]);
    expect(thick(paths.over[0]!)).toBeGreaterThan(thick(paths.tube));
    expect(thick(paths.inside[0]!)).toBeLessThan(thick(paths.tube));
  });

  it('labels the ruler on the inch only', () => {
    const ticks = rulerTicks(layout(1232, 28.5), 30, rulerOf(tradeUnits));
    expect(ticks).toHaveLength(121);
    expect(ticks.filter((t) => t.label)).toHaveLength(31);
    expect(ticks.at(-1)!.label).toBe('30');
    const metric = rulerTicks(layout(1232, 28.5), 30, rulerOf(metricUnits));
    expect(
      metric
        .filter((t) => t.label)
        .map((t) => t.label)
        .at(-1),
    ).toBe('75');
    const inch = ticks.find((t) => t.label === '20')!.x - ticks[0]!.x;
    const five = metric.find((t) => t.label === '50')!.x - metric[0]!.x;
    expect(five / inch).toBeCloseTo(50 / 2.54 / 20, 3);
  });
});

describe('tears', () => {
  it('look the same for the same shot and not for another', () => {
    const tear = { x: -0.8, y: 0.1 };
    expect(tearPath(tear, 96, 'shot 1', 3)).toBe(tearPath(tear, 96, 'shot 1', 3));
    expect(tearPath(tear, 96, 'shot 1', 3)).not.toBe(tearPath(tear, 96, 'shot 2', 3));
  });

  it('have a hole for the point, one for the tail, a slit and one cut for each vane', () => {
    const pieces = (vanes: number, x: number) => tearPath({ x, y: 0 }, 96, 's', vanes).match(/M/g)!.length;
    expect(pieces(3, -1)).toBe(6);
    expect(pieces(4, -1)).toBe(7);
    expect(pieces(3, 0)).toBe(5);
  });

  it('put a high tail above the point on the screen', () => {
    const ys = [...tearPath({ x: 0, y: 2 }, 100, 's', 3).matchAll(/[ML]-?[\d.]+ (-?[\d.]+)/g)].map((m) => Number(m[1]));
    expect(Math.min(...ys)).toBeLessThan(-190);
    expect(Math.max(...ys)).toBeLessThan(30);
  });

  it('are shown at the largest of twice, once or half life size that fits', () => {
    expect(sheetScale(1.2, 310).px).toBe(192);
    expect(sheetScale(2, 310).px).toBe(96);
    expect(sheetScale(5, 310).px).toBe(48);
    expect(sheetScale(11, 310).px).toBe(24);
  });
});

describe('small parts', () => {
  it('seeded numbers stay within 0 and 1 and repeat', () => {
    const a = seeded('x');
    const b = seeded('x');
    for (let i = 0; i < 50; i++) {
      const value = a();
      expect(value).toBe(b());
      expect(value).toBeGreaterThanOrEqual(0);
      expect(value).toBeLessThan(1);
    }
  });

  it('only a compound has cams', () => {
    expect(bowOutline('compound').cams).toHaveLength(2);
    expect(bowOutline('longbow').cams).toHaveLength(0);
    expect(bowOutline('recurve').limbs).not.toBe(bowOutline('longbow').limbs);
  });
});

describe('the number of a shot', () => {
  it('stands on the sheet, and never under the legend at its lower right', () => {
    expect(flagHeight(100, 20, 390, 330)).toBe(60);
    expect(flagHeight(100, 320, 390, 330)).toBe(270);
    expect(flagHeight(300, 320, 390, 330)).toBe(226);
    expect(flagHeight(300, 150, 390, 330)).toBe(150);
  });
});

describe('a piece in its place of the tray', () => {
  const height = (fromMiddle: number, most: number) => Number(/ ([\d.]+)l/.exec(pieceMark(fromMiddle, most))![1]);

  it('has its mark above the middle when it is the heavier, and inside its place', () => {
    expect(height(0, 2)).toBe(PLACE.height / 2);
    expect(height(1, 2)).toBeLessThan(height(-1, 2));
    for (const [from, most] of [
      [2, 2],
      [-6, 6],
      [0.1, 0.1],
    ] as const) {
      expect(height(from, most)).toBeGreaterThan(5);
      expect(height(from, most)).toBeLessThan(PLACE.height - 5);
    }
  });

  it('makes no mountain of a tenth of a grain', () => {
    expect(PLACE.height / 2 - height(0.1, 0.1)).toBeLessThan(PLACE.height / 8);
  });
});

describe('what is drawn empty', () => {
  it.each(Object.entries(EMPTY))('%s lies inside its frame', (_, { frame: [left, top, width, height], path }) => {
    const xs = [...path.matchAll(/[MH]\s*(-?[\d.]+)/g)].map((m) => Number(m[1]));
    const ys = [...path.matchAll(/(?:M\s*-?[\d.]+[ ,]|V)(-?[\d.]+)/g)].map((m) => Number(m[1]));
    expect(Math.min(...xs)).toBeGreaterThanOrEqual(left);
    expect(Math.max(...xs)).toBeLessThanOrEqual(left + width);
    expect(Math.min(...ys)).toBeGreaterThanOrEqual(top);
    expect(Math.max(...ys)).toBeLessThanOrEqual(top + height);
  });
});
