import { beforeEach, describe, expect, it } from 'vitest';
import { differences, emptyEntry, emptyForm, merged, readDraft, saveDraft, usualFor, type BowForm } from './bowForm';

const base = { ...emptyEntry, name: 'Brindle', braceHeight: '6 1/2', axleToAxle: '33' };
const formWith = (entry: Partial<BowForm['entry']>): BowForm => ({
  ...emptyForm([]),
  entry: { ...base, ...entry },
  base: { version: 3, entry: base },
});

describe('two people at one bow', () => {
  it('names each field that either side changed, with both texts', () => {
    const lines = differences(formWith({ axleToAxle: '33 1/8' }), { ...base, braceHeight: '6 5/8' });
    expect(lines).toEqual([
      { field: 'axleToAxle', mine: '33 1/8', theirs: '33' },
      { field: 'braceHeight', mine: '6 1/2', theirs: '6 5/8' },
    ]);
  });

  it('names nothing when both typed the same', () => {
    expect(differences(formWith({ braceHeight: '6 5/8' }), { ...base, braceHeight: '6 5/8' })).toEqual([]);
  });

  it('lays mine over theirs and loses neither', () => {
    const both = merged(formWith({ axleToAxle: '33 1/8' }), { ...base, braceHeight: '6 5/8' });
    expect(both.axleToAxle).toBe('33 1/8');
    expect(both.braceHeight).toBe('6 5/8');
    expect(both.name).toBe('Brindle');
  });

  it('lets mine win where both changed the same field and mine is kept', () => {
    expect(merged(formWith({ braceHeight: '7' }), { ...base, braceHeight: '6 5/8' }).braceHeight).toBe('7');
  });
});

describe('a draft', () => {
  beforeEach(() => localStorage.clear());

  it('survives a reload and is gone when it is kept', () => {
    saveDraft('new', formWith({ drawLength: '14' }));
    expect(readDraft('new')!.entry.drawLength).toBe('14');
    saveDraft('new', null);
    expect(readDraft('new')).toBeNull();
  });

  it('that cannot be read is passed over', () => {
    localStorage.setItem('merganser-bow-new', '{broken');
    expect(readDraft('new')).toBeNull();
  });

  it('of one bow is not that of another', () => {
    saveDraft('x', formWith({}));
    expect(readDraft('y')).toBeNull();
  });
});

describe('what a kind usually has', () => {
  it.each([
    ['compound', 'releaseAid', 'dropAwayLate', 'twinYoke'],
    ['recurve', 'fingers', 'plunger', 'none'],
    ['barebow', 'fingers', 'plunger', 'none'],
    ['longbow', 'fingers', 'shelf', 'none'],
  ] as const)('%s: %s, %s, %s', (kind, release, restType, camSystem) => {
    expect(usualFor(kind)).toEqual({ kind, release, restType, camSystem, ratedSpeed: '' });
  });

  it('a new bow belongs to the archer who is known, or to a new one', () => {
    expect(emptyForm([]).archerId).toBeNull();
    const known = { id: 'k', version: 1, archer: { ...emptyForm([]).archer, name: 'Own', hand: 'left' as const } };
    const form = emptyForm([known]);
    expect(form.archerId).toBe('k');
    expect(form.entry.hand).toBe('left');
  });
});
