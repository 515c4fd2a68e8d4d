import { keptAs } from '../../api/bench';
import type { Schemas } from '../../api/client';

export type Entry = Schemas['BowEntry'];
/** The fields of a bow that are typed. */
export type TextField = Exclude<keyof Entry, 'kind' | 'hand' | 'release' | 'restType' | 'camSystem' | 'camDraw'>;
export type AdjusterEntry = Schemas['AdjusterEntry'];

export interface BowForm {
  /** Whose it is; null while it is a new archer's. */
  archerId: string | null;
  /** The archer as typed: a new one, or the bow's own as edited. A known archer picked for a new bow is not edited there. */
  archer: Schemas['Archer'];
  entry: Entry;
  /** Null while they are the usual ones of this kind of bow. */
  adjusters: AdjusterEntry[] | null;
  /** The row that the editing began on; null for a new bow. */
  base: { version: number; entry: Entry } | null;
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
  maximumWeight: '',
  makerAxleToAxle: '',
  makerBraceHeight: '',
  makerCentreShot: '',
  make: '',
  axleBolts: '',
};

export const newArcher: Schemas['Archer'] = {
  name: '',
  hand: 'right',
  hasPress: false,
  school: 'centreFirst',
  units: null,
  practice: 'weekly',
  experience: 'keen',
  hasDrawBoard: false,
  hasScale: false,
  hasChronograph: false,
  mayPress: false,
};

/** What a kind of bow usually has. */
export function usualFor(
  kind: Entry['kind'],
): Pick<Entry, 'kind' | 'release' | 'restType' | 'camSystem' | 'ratedSpeed'> {
  if (kind === 'compound')
    return { kind, release: 'releaseAid', restType: 'dropAwayLate', camSystem: 'twinYoke', ratedSpeed: '' };
  return {
    kind,
    release: 'fingers',
    restType: kind === 'longbow' ? 'shelf' : 'plunger',
    camSystem: 'none',
    ratedSpeed: '',
  };
}

export function emptyForm(archers: Schemas['ArcherRow'][]): BowForm {
  const known = archers[0];
  return {
    archerId: known?.id ?? null,
    archer: known?.archer ?? newArcher,
    entry: { ...emptyEntry, hand: known?.archer.hand ?? 'right' },
    adjusters: null,
    base: null,
  };
}

export function formOf(bow: Schemas['BowView'], archer: Schemas['Archer']): BowForm {
  return {
    archerId: bow.archerId,
    archer,
    entry: bow.typed,
    adjusters: bow.adjusters.map(({ kind, lower, upper, needsPress, inchesPerStep, way }) => ({
      kind,
      lower,
      upper,
      needsPress,
      inchesPerStep: inchesPerStep === null ? '' : String(inchesPerStep),
      way,
    })),
    base: { version: bow.version, entry: bow.typed },
  };
}

// The number grows with the shape of the form: an older draft is not read.
const key = (id: string) => keptAs(`bow-3-${id}`);

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

export interface Difference {
  field: keyof Entry;
  mine: string;
  theirs: string;
}

const entryFields = Object.keys(emptyEntry) as (keyof Entry)[];

/** The fields that one side or both changed since the editing began. */
export function differences(form: BowForm, theirs: Entry): Difference[] {
  const base = form.base?.entry ?? emptyEntry;
  return entryFields
    .filter(
      (field) =>
        form.entry[field] !== theirs[field] && (form.entry[field] !== base[field] || theirs[field] !== base[field]),
    )
    .map((field) => ({ field, mine: String(form.entry[field] ?? ''), theirs: String(theirs[field] ?? '') }));
}

/** What I changed, laid over what the other kept: neither is lost. */
export function merged(form: BowForm, theirs: Entry): Entry {
  const base = form.base?.entry ?? emptyEntry;
  const mine = entryFields.filter((field) => form.entry[field] !== base[field]);
  return { ...theirs, ...Object.fromEntries(mine.map((field) => [field, form.entry[field]])) };
}
