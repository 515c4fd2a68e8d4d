import { describe, expect, it } from 'vitest';
import { direction, number, show, signed, withUnit } from './units';

describe('figures as words', () => {
  it('uses a true minus and never a minus nought', () => {
    expect(number(-2.5, 1)).toBe('\u22122.5');
    expect(number(-0.01, 1)).toBe('0.0');
    expect(signed(0.001, 2)).toBe('0.00');
    expect(signed(0.42, 2)).toBe('+0.42');
  });

  it('names a spine as the trade does', () => {
    expect(show(0.34, 'spine', 3).value).toBe('.340');
    expect(show(1.234, 'spine', 3).value).toBe('1.234');
  });

  it('never drops the unit', () => {
    expect(withUnit(409, 'gr', 1)).toBe('409.0 gr');
    expect(withUnit(12.74, '%', 1)).toBe('12.7\u2009%');
    expect(withUnit(1.03, '', 2)).toBe('1.03');
  });

  it('calls a change too small to show unchanged', () => {
    expect(direction(0.04, 1)).toBe('same');
    expect(direction(0.06, 1)).toBe('up');
    expect(direction(-1, 0)).toBe('down');
  });
});
