import { describe, expect, it } from 'vitest';
import { seeded } from '../drawing/seeded';
import {
  fieldText,
  keptText,
  metricUnits,
  say,
  show,
  showChange,
  tradeUnits,
  type Quantity,
  type Units,
} from './units';

/** Factors: international yard and pound of 1959; NIST SP 811 Appendix B. */
const published: [string, number, Partial<Units>, string, number][] = [
  ['in', 28.5, { length: 'centimetres' }, 'cm', 72.39],
  ['in', 0.8125, { length: 'millimetres' }, 'mm', 20.6],
  ['gr', 409, { mass: 'grams' }, 'g', 26.5],
  ['lb', 65.5, { force: 'newtons' }, 'N', 291.36],
  ['lb', 65.5, { force: 'kilograms' }, 'kg', 29.71],
  ['ft/s', 279, { speed: 'metresPerSecond' }, 'm/s', 85.04],
  ['ft·lb', 70.4, { energy: 'joules' }, 'J', 95.45],
];

describe('units', () => {
  it.each(published)('%s %f with %o is in %s about %f', (unit, value, choice, expectedUnit, expected) => {
    const shown = show(value, unit, 2, { ...tradeUnits, ...choice });
    expect(shown.unit).toBe(expectedUnit);
    expect(Math.abs(Number(shown.value) - expected)).toBeLessThan(0.06);
  });

  it('leave a spine number as it is', () => {
    expect(show(0.34, 'in', 3, metricUnits)).toEqual({ value: '.340', unit: 'in' });
  });

  it('turn changes as well as values', () => {
    expect(showChange(-1, 'in', 2, metricUnits)).toBe('\u22122.54');
  });

  it('follow in the sentences of the server', () => {
    expect(say('Tail left 0.80 in. Height is level.', metricUnits)).toBe('Tail left 2.03 cm. Height is level.');
    expect(say('Make the shaft at least 28 1/2 in long.', metricUnits)).toBe('Make the shaft at least 72.39 cm long.');
    expect(say('Last move: \u22120.63 in.', metricUnits)).toBe('Last move: \u22121.60 cm.');
    expect(say('4.49 gr/lb: under 5 the bow can break.', metricUnits)).toBe('4.49 gr/lb: under 5 the bow can break.');
    expect(say('5 shots in set 2, nothing else.', metricUnits)).toBe('5 shots in set 2, nothing else.');
    expect(say('Bow 1 lb up', tradeUnits)).toBe('Bow 1 lb up');
  });
});

describe('a typed value', () => {
  const quantities: Quantity[] = ['length', 'weight', 'drawWeight', 'speed'];

  it('comes back as typed in the archer’s own unit, however often', () => {
    const random = seeded('round trips');
    for (let i = 0; i < 300; i++) {
      const typed = (random() * 100).toFixed(Math.floor(random() * 4));
      for (const quantity of quantities)
        for (const units of [tradeUnits, metricUnits]) {
          let kept = keptText(typed, quantity, units);
          for (let times = 0; times < 5; times++) kept = keptText(fieldText(kept, quantity, units), quantity, units);
          expect(fieldText(kept, quantity, units)).toBe(typed);
        }
    }
  });

  it('is not touched by looking at it in other units', () => {
    const kept = '28 1/2';
    expect(fieldText(kept, 'length', metricUnits)).toBe('72.39');
    expect(fieldText(kept, 'length', tradeUnits)).toBe('28 1/2');
    expect(fieldText('72.4 cm', 'length', tradeUnits)).toBe('72.4 cm');
  });

  it('names its unit when it is not the trade’s', () => {
    expect(keptText('72.4', 'length', metricUnits)).toBe('72.4 cm');
    expect(keptText('28 in', 'length', metricUnits)).toBe('28 in');
    expect(keptText('', 'length', metricUnits)).toBe('');
    expect(keptText('28 1/2', 'length', tradeUnits)).toBe('28 1/2');
  });

  it('that cannot be read is left alone', () => {
    expect(fieldText('abc', 'length', metricUnits)).toBe('abc');
  });
});
