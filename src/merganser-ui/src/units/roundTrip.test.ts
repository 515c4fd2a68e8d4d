import { describe, expect, it } from 'vitest';
import vectors from '../../../../tests/vectors/quantities.json';
import { seeded } from '../drawing/seeded';
import {
  fieldText,
  keptText,
  metricUnits,
  ruled,
  showChange,
  tradeUnits,
  withUnit,
  type Quantity,
  type Units,
} from './units';

describe('units', () => {
  it.each(vectors.cases.map((c) => [c.text, c] as const))(
    'say %s as the server does',
    (text, { value, unit, decimals, units }) => {
      expect(withUnit(value, unit, decimals, units as Units)).toBe(text);
    },
  );

  it('turn changes as well as values', () => {
    expect(showChange(-1, 'in', 2, metricUnits)).toBe('\u22122.54');
    expect(showChange(0.001, 'in', 2)).toBe('0.00');
  });

  it('are read off a rule in thirty-seconds, and in decimals elsewhere', () => {
    expect([0.8125, 1.75, 2, 0.03125].map((inches) => ruled(inches))).toEqual([
      '13/16 in',
      '1 3/4 in',
      '2 in',
      '1/32 in',
    ]);
    expect(ruled(0.25, metricUnits)).toBe('0.64 cm');
  });
});

describe('a typed value', () => {
  const quantities: Quantity[] = ['length', 'weight', 'drawWeight', 'speed', 'massPerLength'];

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

  // A pound of force is 4.4482216 N, an inch 2.54 cm (NIST SP 811, Appendix B).
  it('shows both ends of a range in the unit of whoever reads it, and keeps it as it was typed', () => {
    expect(fieldText('60 to 70', 'drawWeight', metricUnits)).toBe('266.89 to 311.38');
    expect(fieldText('28 to 29 1/2', 'length', metricUnits)).toBe('71.12 to 74.93');
    expect(fieldText('60 to 70', 'drawWeight', tradeUnits)).toBe('60 to 70');
    expect(keptText('71 to 75', 'length', metricUnits)).toBe('71 to 75 cm');
    expect(fieldText('71 to 75 cm', 'length', metricUnits)).toBe('71 to 75');
    expect(fieldText('71 to 75 cm', 'length', tradeUnits)).toBe('71 to 75 cm');
  });
});
