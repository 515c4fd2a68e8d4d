import type { Schemas } from '../../api/client';

export type Entry = Schemas['BowEntry'];
export type AdjusterInput = Schemas['AdjusterInput'];

export interface BowForm {
  bowId: string;
  archerId: string;
  newArcher: boolean;
  archer: Schemas['Archer'];
  entry: Entry;
  adjusters: AdjusterInput[];
}

export const emptyEntry: Entry = {
  name: '',
  kind: 'compound',
  hand: 'right',
  release: 'releaseAid',
  nominalWeight: '',
  measuredWeight: '',
  drawLength: '',
  axleToAxle: '',
  braceHeight: '',
  ratedSpeed: '',
  restType: 'dropAwayLate',
  camSystem: 'twinYoke',
  camDraw: 'medium',
  restAhead: '',
  factorSet: '',
  stringWeight: '',
  stringWeightFromTip: '',
};

export function emptyForm(ids: { bow: string; archer: string }, archers: Schemas['ArcherRow'][]): BowForm {
  const known = archers[0];
  return {
    bowId: ids.bow,
    archerId: known?.id ?? ids.archer,
    newArcher: !known,
    archer: known?.archer ?? { name: '', hand: 'right', hasPress: false, school: 'centreFirst' },
    entry: { ...emptyEntry, hand: known?.archer.hand ?? 'right' },
    adjusters: [],
  };
}

export function formOf(bow: Schemas['BowView'], archer: Schemas['Archer']): BowForm {
  return {
    bowId: bow.id,
    archerId: bow.archerId,
    newArcher: false,
    archer,
    entry: bow.typed,
    adjusters: bow.adjusters.map(({ kind, lower, upper, needsPress }) => ({ kind, lower, upper, needsPress })),
  };
}

const key = (id: string) => `merganser-bow-${id}`;

/** What was typed and not yet kept survives a reload. */
export function saveDraft(id: string, form: BowForm | null): void {
  if (form) localStorage.setItem(key(id), JSON.stringify(form));
  else localStorage.removeItem(key(id));
}

export function readDraft(id: string): BowForm | null {
  const text = localStorage.getItem(key(id));
  if (!text) return null;
  try {
    return JSON.parse(text) as BowForm;
  } catch {
    return null;
  }
}
