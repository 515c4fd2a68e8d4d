import type { Schemas } from '../../api/client';
import { tradeUnits, withUnit, type Units } from '../../units/units';

export type Draft = Schemas['ArrowDraft'];
export type PartName =
  'nock' | 'vanes' | 'vaneCount' | 'wrap' | 'shaft' | 'length' | 'insert' | 'point' | 'glue' | 'more';

export interface Part {
  name: PartName;
  label: string;
  /** The draft's field that picks it, with the stock to pick from. */
  field: 'shaftId' | 'insertId' | 'pointId' | 'nockId' | 'vaneId' | 'wrapId' | 'endPartIds' | null;
  optional: boolean;
}

export const parts: Part[] = [
  { name: 'nock', label: 'Nock', field: 'nockId', optional: false },
  { name: 'vanes', label: 'Vanes', field: 'vaneId', optional: true },
  { name: 'vaneCount', label: 'Vane count', field: null, optional: false },
  { name: 'wrap', label: 'Wrap', field: 'wrapId', optional: true },
  { name: 'shaft', label: 'Shaft', field: 'shaftId', optional: false },
  { name: 'length', label: 'Cut length', field: null, optional: false },
  { name: 'insert', label: 'Insert', field: 'insertId', optional: true },
  { name: 'point', label: 'Point', field: 'pointId', optional: false },
  { name: 'glue', label: 'Glue', field: null, optional: false },
  { name: 'more', label: 'Pins, collars, weights', field: 'endPartIds', optional: true },
];

/** A part that goes into an arrow. */
export interface Used {
  part: PartName;
  id: string;
}

export interface Stock {
  id: string;
  label: string;
}

/** What may be picked for a part, in the catalogue's order. */
export function stockOf(
  catalogue: Schemas['Catalogue'],
  name: PartName,
  units: Units = tradeUnits,
  misfits: Record<string, string> = {},
): Stock[] {
  return linesOf(catalogue, name, units).map(({ id, label, retired }) => ({
    id,
    label: [label, retired && 'retired', misfits[id]].filter(Boolean).join(', '),
  }));
}

type Line = Stock & { retired?: boolean };

function linesOf(catalogue: Schemas['Catalogue'], name: PartName, units: Units): Line[] {
  const wide = (inches: number) => withUnit(inches, 'in', 3, units);
  const tube = (shaft: Schemas['Shaft']) =>
    `${wide(shaft.outerDiameter)} across${shaft.innerDiameter ? `, ${wide(shaft.innerDiameter)} inside` : ''}`;
  const into = (diameter: number | undefined) => (diameter ? `, into ${wide(diameter)}` : '');
  const mass = (grains: number) => withUnit(grains, 'gr', Number.isInteger(grains) ? 0 : 1, units);
  switch (name) {
    case 'shaft':
      return catalogue.shafts.map((s) => ({
        ...s,
        label: `${s.part.name}, ${s.part.material.toLowerCase()}, ${withUnit(s.part.grainsPerInch, 'gr/in', 1, units)}, ${tube(s.part)}`,
      }));
    case 'insert':
      return catalogue.inserts.map((s) => ({
        ...s,
        label: `${s.part.name}, ${mass(s.part.grains)}${into(s.part.diameter)}`,
      }));
    case 'point':
      return catalogue.points.map((s) => ({
        ...s,
        label: `${s.part.name}, ${mass(s.part.grains)}${into(s.part.diameter)}`,
      }));
    case 'nock':
      return catalogue.nocks.map((s) => ({
        ...s,
        label: `${s.part.name}, ${mass(s.part.grains)}${into(s.part.diameter)}`,
      }));
    case 'vanes':
      return catalogue.vanes.map((s) => ({ ...s, label: `${s.part.name}, ${mass(s.part.grains)} each` }));
    case 'wrap':
      return catalogue.wraps.map((s) => ({ ...s, label: `${s.part.name}, ${mass(s.part.grains)}` }));
    case 'more':
      return catalogue.endParts.map((s) => ({
        ...s,
        label: `${s.part.name}, ${endWords[s.part.kind]}, ${mass(s.part.grains)}${into(s.part.diameter)}`,
      }));
    default:
      return [];
  }
}

const endWords: Record<Schemas['EndPartKind'], string> = {
  outsert: 'outsert',
  collar: 'collar',
  frontWeight: 'front weight',
  pin: 'pin',
  bushing: 'bushing',
  nockCollar: 'nock collar',
};

/** The class of the catalogue that a part is picked from. */
export const classOf = (name: PartName): string => (name === 'vanes' ? 'vane' : name === 'more' ? 'endPart' : name);

/** The neighbour in the catalogue, or null at its end. */
export function neighbour(stock: Stock[], id: string | null, step: 1 | -1): string | null {
  const at = stock.findIndex((s) => s.id === id);
  return stock[at + step]?.id ?? null;
}

/** A cut length about an eighth of an inch more or less, in the unit it is written in; null where the text is no length. */
export function steppedLength(text: string, step: 1 | -1): string | null {
  const metric = /^\s*(\d+(?:[.,]\d+)?)\s*(cm|mm)\s*$/.exec(text);
  if (metric) {
    const by = metric[2] === 'cm' ? 0.3 : 3;
    return `${(Number(metric[1]!.replace(',', '.')) + step * by).toFixed(1)} ${metric[2]}`;
  }
  const match = /^\s*(\d+)(?:[.,](\d+)|\s+(\d+)\/(\d+))?\s*(?:in|")?\s*$/.exec(text);
  if (!match) return null;
  const whole = Number(match[1]);
  const part = match[2] ? Number(`0.${match[2]}`) : match[3] ? Number(match[3]) / Number(match[4]) : 0;
  const eighths = Math.round((whole + part) * 8) + step;
  const rest = eighths % 8;
  const inches = Math.floor(eighths / 8);
  if (rest === 0) return String(inches);
  const by = rest % 4 === 0 ? 4 : rest % 2 === 0 ? 2 : 1;
  return `${inches} ${rest / by}/${8 / by}`;
}

/** The parts of a draft by their ids. */
export const partIds = (draft: Draft): string[] =>
  [
    draft.shaftId,
    draft.insertId,
    draft.pointId,
    draft.nockId,
    draft.vaneId,
    draft.wrapId,
    ...(draft.endPartIds ?? []),
  ].filter((id): id is string => Boolean(id));

interface Held {
  id: string;
  retired: boolean;
  part: { name: string };
}

const heldBy = (catalogue: Schemas['Catalogue']): Held[] =>
  Object.values(catalogue).filter(Array.isArray).flat() as Held[];

/** True for a part that the catalogue at hand holds. */
export const holds = (catalogue: Schemas['Catalogue'], id: string): boolean =>
  heldBy(catalogue).some((part) => part.id === id);

/** Names of the parts of a draft that are picked no more. */
export const retiredIn = (catalogue: Schemas['Catalogue'], ids: string[]): string[] =>
  heldBy(catalogue)
    .filter((part) => part.retired && ids.includes(part.id))
    .map((part) => part.part.name);

/** The draft with another part in it, or none; another insert or point is whole. What stands at the ends is added. */
export const withPart = (draft: Draft, { part, id }: { part: PartName; id: string | null }): Draft =>
  part === 'more'
    ? { ...draft, endPartIds: [...(draft.endPartIds ?? []), ...(id ? [id] : [])] }
    : {
        ...draft,
        ...(part === 'insert' ? { insertBroken: 0 } : part === 'point' ? { pointBroken: 0 } : {}),
        [parts.find((p) => p.name === part)!.field!]: id,
      };

/** An arrow that is called by its shaft is called by the one that it gets; a name of its own stays. */
export const called = (before: Draft, next: Draft, shaftName: (id: string) => string | undefined): Draft => {
  if (next.shaftId === before.shaftId || next.name !== shaftName(before.shaftId)) return next;
  return { ...next, name: shaftName(next.shaftId) ?? next.name };
};

/** The name of a shaft that the catalogue at hand holds. */
export const shaftName =
  (catalogue: Schemas['Catalogue']) =>
  (id: string): string | undefined =>
    catalogue.shafts.find((shaft) => shaft.id === id)?.part.name;

/** The draft without one of the parts at its ends. */
export const withoutEnd = (draft: Draft, at: number): Draft => {
  const rest = (draft.endPartIds ?? []).filter((_, i) => i !== at);
  return { ...draft, endPartIds: rest.length > 0 ? rest : undefined };
};
