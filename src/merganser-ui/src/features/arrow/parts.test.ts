import { expect, it } from 'vitest';
import { called, neighbour, steppedLength, type Draft } from './parts';

it.each([
  ['28 1/2', 1, '28 5/8'],
  ['28.5', -1, '28 3/8'],
  ['28,5', 1, '28 5/8'],
  ['28', -1, '27 7/8'],
  ['27 7/8', 1, '28'],
  ['29 in', 1, '29 1/8'],
  ['72.4 cm', 1, '72.7 cm'],
  ['724 mm', -1, '721.0 mm'],
] as const)('a length of %s stepped by %i eighth is %s', (text, step, expected) => {
  expect(steppedLength(text, step)).toBe(expected);
});

it('nonsense is not stepped', () => {
  expect(steppedLength('72.4 kg', 1)).toBeNull();
  expect(steppedLength('long', 1)).toBeNull();
});

it('the catalogue ends', () => {
  const stock = [
    { id: 'a', label: 'A' },
    { id: 'b', label: 'B' },
  ];
  expect(neighbour(stock, 'a', 1)).toBe('b');
  expect(neighbour(stock, 'b', 1)).toBeNull();
  expect(neighbour(stock, 'a', -1)).toBeNull();
});

it('an arrow is called by its shaft until it has a name of its own', () => {
  const names: Record<string, string> = { a: 'Breakwater 350', b: 'Ballast 300' };
  const of = (id: string) => names[id];
  const draft = { name: 'Breakwater 350', shaftId: 'a' } as Draft;
  expect(called(draft, { ...draft, shaftId: 'b' }, of).name).toBe('Ballast 300');
  expect(called({ ...draft, name: 'Hunting' }, { ...draft, name: 'Hunting', shaftId: 'b' }, of).name).toBe('Hunting');
  expect(called(draft, { ...draft, shaftId: 'none' }, of).name).toBe('Breakwater 350');
  expect(called(draft, { ...draft, cutLength: '28' }, of).name).toBe('Breakwater 350');
});
