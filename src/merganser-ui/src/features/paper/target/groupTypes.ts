import type { Schemas } from '../../../api/client';
import { freshMarking, type Marking, type ShotSet } from '../paperTypes';

export type ArrowKind = NonNullable<Schemas['ArrowKind']>;

type Flight = NonNullable<Schemas['Flight']>;

export const flights: Flight[] = ['clean', 'corkscrew', 'fishtail', 'porpoise'];

/** The key that says which kind is marked next. */
export const kindOfKey: Partial<Record<string, ArrowKind>> = { b: 'bare', f: 'fletched' };

/** Shots of a kind that make a group to begin with; from then on one of each in turn. */
const FIRST = 2;

const countOf = (set: ShotSet, kind: ArrowKind) =>
  set.shots.filter((s) => s.voidReason === null && s.arrow === kind).length;

/** The kind that is marked next: the same until its group is begun, then the one that has fewer. */
export function nextKind(set: ShotSet, last: ArrowKind | null): ArrowKind {
  const [fletched, bare] = [countOf(set, 'fletched'), countOf(set, 'bare')];
  const here = last ?? 'fletched';
  const [own, other] = here === 'fletched' ? [fletched, bare] : [bare, fletched];
  const turned: ArrowKind = here === 'fletched' ? 'bare' : 'fletched';
  if (own < FIRST) return here;
  return own > other ? turned : own === other ? 'fletched' : here;
}

/** The number that the next shot of a kind gets. */
export const nextNumber = (set: ShotSet, kind: ArrowKind) => set.shots.filter((s) => s.arrow === kind).length + 1;

export const freshHit = (kind: ArrowKind): Marking => ({ ...freshMarking('shootingSide'), arrow: kind });

/** So many tolerances to the edge of a face. */
const TOLERANCES = 3;

/** Halves of faces that can be marked, inches. */
export const halves = [4, 8, 16, 24];

/** The narrowest of them on which the tolerance is a third and all shots of a set can be seen. */
export const halfFor = (set: ShotSet) =>
  halves.find(
    (h) =>
      h >= TOLERANCES * (set.groups?.tolerance ?? 0) &&
      set.shots.every(({ point }) => Math.max(Math.abs(point.x), Math.abs(point.y)) <= h),
  ) ?? 24;
