import type { Schemas } from '../../../api/client';
import { counted, freshMarking, type Marking, type ShotSet } from '../paperTypes';
import { isFletchedAlone } from '../stages';

export type ArrowKind = NonNullable<Schemas['ArrowKind']>;

type Flight = NonNullable<Schemas['Flight']>;

export const flights: Flight[] = ['clean', 'corkscrew', 'fishtail', 'porpoise'];

type Slant = NonNullable<Schemas['Slant']>;

export const slants: Slant[] = ['straight', 'nockLeft', 'nockRight', 'nockHigh', 'nockLow'];

/** How a shaft stands in the target. */
export const slantWords: Record<Slant, string> = {
  straight: 'straight',
  nockLeft: 'nock left',
  nockRight: 'nock right',
  nockHigh: 'nock high',
  nockLow: 'nock low',
};

/** What a kind of arrow is called. */
export const kindName: Record<ArrowKind, string> = {
  fletched: 'fletched',
  bare: 'bare',
  fieldPoint: 'field point',
  broadhead: 'head',
};

/** So many of a kind, in words. */
export const countOf = (kind: ArrowKind, count: number) =>
  `${count} ${kindName[kind]}${count !== 1 && (kind === 'fieldPoint' || kind === 'broadhead') ? 's' : ''}`;

/** The two kinds of a set: what is held against, and what is tested. */
export const kindsOf = (set: ShotSet): [ArrowKind, ArrowKind] =>
  set.groups?.heads ? ['fieldPoint', 'broadhead'] : ['fletched', 'bare'];

/** The kinds of arrow that a set is shot with. */
export const markedWith = (set: ShotSet): ArrowKind[] => (isFletchedAlone(set) ? ['fletched'] : kindsOf(set));

/** Numbers of heads to press; P is the practice head. */
export const headNumbers = ['1', '2', '3', '4', '5', '6', 'P'];

/** Shots of a kind that make a group to begin with; from then on one of each in turn. */
const FIRST = 2;

/** The kind that is marked next: the same until its group is begun, then the one that has fewer. */
export function nextKind(set: ShotSet, last: ArrowKind | null): ArrowKind {
  if (isFletchedAlone(set)) return 'fletched';
  const [reference, tested] = kindsOf(set);
  const count = (kind: ArrowKind) => set.shots.filter((s) => s.voidReason === null && s.arrow === kind).length;
  const here = last ?? reference;
  const turned = here === reference ? tested : reference;
  const [own, other] = [count(here), count(turned)];
  if (own < FIRST) return here;
  return own > other ? turned : own === other ? reference : here;
}

/** The number that the next shot of a kind gets. */
export const nextNumber = (set: ShotSet, kind: ArrowKind) => set.shots.filter((s) => s.arrow === kind).length + 1;

/** One of two marks that hits of a set are told by: a way, or a setting of the sight. */
export interface Told {
  words: string;
  hits: number;
  chosen: boolean;
  /** What a hit carries that is told by it. */
  marks: Pick<Marking, 'way' | 'sightFor'>;
}

/** The two marks of a set, the one that is drawn filled first; none where hits are told by their kind. */
export function toldBy(set: ShotSet, marking: Pick<Marking, 'way' | 'sightFor'>): Told[] {
  if (set.ways)
    return set.ways.each.map((each) => ({
      words: each.name,
      hits: each.count,
      chosen: marking.way === each.way,
      marks: { way: each.way, sightFor: null },
    }));
  if (set.rangeTrial)
    return set.rangeTrial.settings.map((setting) => ({
      words: `sight for ${setting.name}`,
      hits: setting.count,
      chosen: marking.sightFor === setting.yards,
      marks: { way: null, sightFor: setting.yards },
    }));
  return [];
}

/** The kind that a key marks next: B the bare shaft or the broadhead, F the other. */
export function kindOfKey(set: ShotSet, key: string): ArrowKind | undefined {
  const [reference, tested] = kindsOf(set);
  return isFletchedAlone(set) ? undefined : { b: tested, f: reference }[key];
}

/** What a key says of the next hit: its kind, or 1 and 2 the two marks of a set. */
export function markOfKey(set: ShotSet, marking: Marking, key: string): Marking | undefined {
  const arrow = kindOfKey(set, key);
  const marks = arrow ? { arrow } : toldBy(set, marking)[['1', '2'].indexOf(key)]?.marks;
  return marks && { ...marking, ...marks };
}

/** True for a hit of the second of two marks: it is drawn open. */
export const isOpen = (set: ShotSet, hit: Pick<Marking, 'way' | 'sightFor'>) =>
  hit.way === 'second' || (set.rangeTrial !== null && hit.sightFor !== null && hit.sightFor < set.rangeTrial.yards);

/** The next hit of a set: which kind, and in a walk-back from where. */
export const freshHit = (set: ShotSet, last: ArrowKind | null, from = ''): Marking => ({
  ...freshMarking('shootingSide'),
  arrow: nextKind(set, last),
  distance: set.walk ? nextDistance(set, from) : '',
  way: set.ways?.next ?? null,
  sightFor: set.rangeTrial?.next ?? null,
});

/** So many tolerances to the edge of a face. */
const TOLERANCES = 3;

/** Halves of faces that can be marked, inches. */
export const halves = [4, 8, 16, 24];

/** The distances of a walk-back to press: the text that is sent, what is said of it, its hits in this walk. */
export const walkDistances = (set: ShotSet) =>
  (set.walk?.distances ?? []).map(({ yards, name, drop }) => ({
    typed: `${yards} yd`,
    yards,
    name,
    drop,
    hits: hitsAt(set, yards).length,
  }));

/** What counts of one walk at a distance. */
export const hitsAt = (set: ShotSet, yards: number) => counted(set).filter((shot) => shot.yards === yards);

/** From where the last hit of a walk-back was shot, as it is typed. */
export const fromOf = (set: ShotSet) => (set.shots.at(-1)?.yards ? `${set.shots.at(-1)!.yards} yd` : '');

/** Hits of a walk at one distance before the next is gone to. */
const WALK_EACH = 5;

/** From where the next hit of a walk is shot: the same distance until it has its hits, then the next one that lacks. */
function nextDistance(set: ShotSet, last: string): string {
  const all = walkDistances(set);
  const at = all.findIndex((d) => d.typed === last);
  const here = all[at];
  if (last !== '' && (!here || here.hits < WALK_EACH)) return last;
  const lacks = [...all.slice(at + 1), ...all.slice(0, at + 1)].find((d) => d.hits < WALK_EACH);
  return (lacks ?? here ?? all[0])?.typed ?? '';
}

/** The narrowest of them on which the tolerance is a third and all shots of a set can be seen. */
export const halfFor = (set: ShotSet) =>
  halves.find(
    (h) =>
      h >= TOLERANCES * (set.groups?.tolerance ?? set.sighting?.tolerance ?? 0) &&
      set.shots.every(({ point }) => Math.max(Math.abs(point.x), set.walk ? 0 : Math.abs(point.y)) <= h),
  ) ?? 24;
