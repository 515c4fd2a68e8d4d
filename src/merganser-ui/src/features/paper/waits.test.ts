import { describe, expect, it } from 'vitest';
import type { Entry } from '../../api/outbox';
import type { ShotSet } from './paperTypes';
import { freshMarking } from './paperTypes';
import { set, shot } from './pageFixtures';
import { stageOf } from './stages';
import { otherSheet, setNow, shotWords } from './waits';

const shotSet = (shots: number) =>
  ({ ...set(2, { shots: Array.from({ length: shots }, (_, i) => shot(i + 1, 0)) }), id: 'two' }) as unknown as ShotSet;
const entry = (id: string, kind: Entry['kind'], path: string, body: object = {}) =>
  ({ id, kind, path, body: JSON.stringify(body), refused: null }) as Entry;
const move = (id: string, body: object = {}) => entry(id, 'move', '/api/papers/p/moves', body);
const into = (setId: string, id: string, body: object = {}) => entry(id, 'shot', `/api/sets/${setId}/hits`, body);

describe('the set that is shot into while the server is away', () => {
  it('is the last one with the shots that wait for it, each of its kind', () => {
    const now = setNow(shotSet(1), [into('two', 'a', { arrow: 'bare' }), into('other', 'b')]);
    expect([now.id, now.shots.length, now.shots[1]!.arrow]).toEqual(['two', 2, 'bare']);
  });

  it('is the next one after a move that waits: what is shot then was shot at another setting', () => {
    const now = setNow(shotSet(1), [into('two', 'a'), move('m'), into('m-set', 'b')]);
    expect([now.id, now.number, now.shots.map((s) => s.id)]).toEqual(['m-set', 3, ['b']]);
    expect(setNow(shotSet(1), [move('m'), move('n')]).id).toBe('m-set');
  });

  it('stays where nothing was shot into it yet, and after an entry that is put right or told late', () => {
    expect(setNow(shotSet(0), [move('m')]).id).toBe('two');
    expect(setNow(shotSet(1), [move('m', { corrects: 'x' })]).id).toBe('two');
    expect(setNow(shotSet(1), [move('m', { afterSetId: 'one' })]).id).toBe('two');
    expect(setNow(shotSet(1), [entry('m', 'move', '/api/bows/b/moves')]).id).toBe('two');
  });

  it('is a set that waits, where it is shot on the same sheet; another sheet is for the server to lay out', () => {
    const next = (id: string, other: object = {}) =>
      entry(id, 'set', '/api/papers/p/sets', {
        id,
        ...stageOf(shotSet(1)),
        purpose: 'session',
        arrowVersionId: null,
        ...other,
      });
    const now = setNow(shotSet(1), [next('s'), into('s', 'a'), move('m'), into('m-set', 'b')]);
    expect([now.id, now.number, now.shots.map((s) => s.id)]).toEqual(['m-set', 4, ['b']]);
    expect(otherSheet(shotSet(1), [next('s'), move('m')])).toBeUndefined();
    for (const other of [{ atTarget: true }, { distance: '12' }, { purpose: 'machine' }, { arrowVersionId: 'v' }]) {
      expect(setNow(shotSet(1), [next('s', other)]).id).toBe('two');
      expect(otherSheet(shotSet(1), [move('m'), next('s', other)])!.id).toBe('s');
    }
    expect(otherSheet(shotSet(1), [entry('p', 'paper', '/api/papers')])!.id).toBe('p');
    const refused = { ...next('s', { atTarget: true }), refused: 'No such distance.' };
    expect(otherSheet(shotSet(1), [refused])).toBeUndefined();
  });

  it('is named with what was marked', () => {
    const marking = { ...freshMarking('shootingSide'), right: '-.3' };
    expect(shotWords(marking, shotSet(1))).toBe('Set 2, tear typed -.3, 0');
    expect(shotWords({ ...marking, right: '', arrow: 'bare', point: { x: 1.25, y: -2 } }, shotSet(1))).toBe(
      'Set 2, bare marked at 1.25, −2.00',
    );
  });
});
