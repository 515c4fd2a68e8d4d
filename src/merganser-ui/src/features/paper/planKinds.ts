import type { Schemas } from '../../api/client';
import type { Choices } from './paperTypes';
import type { Kinds } from './usePaperWork';

export type TypedStage = Kinds & { distance: string };

/** What is shot at a stage, as it is picked. */
export type Shot =
  | 'bare'
  | 'fletched'
  | 'nockEnd'
  | 'target'
  | 'heads'
  | 'sighting'
  | 'ways'
  | 'rangeError'
  | NonNullable<Schemas['WalkPins']>;

export const dress: [Shot, string][] = [
  ['bare', 'Bare shafts'],
  ['fletched', 'Fletched'],
  ['nockEnd', 'Nock end of bare shafts'],
  ['target', 'Groups of both at a target'],
  ['heads', 'Broadheads and field points'],
  ['own', 'Walk-back, own pins'],
  ['one', 'Walk-back, one pin'],
  ['sighting', 'Sighting in'],
  ['ways', 'Two ways compared'],
  ['rangeError', 'Range error'],
];

/** What may differ between two ways, and what they are called until the archer says otherwise. */
export const wayKinds: [Schemas['WayKind'], string, string, string][] = [
  ['grip', 'the grip', 'usual grip', 'other grip'],
  ['facePressure', 'pressure at the face', 'light on the face', 'firm on the face'],
  ['nockFit', 'the fit of the nock', 'these nocks', 'other nocks'],
  ['arrow', 'the arrow', 'these arrows', 'other arrows'],
  ['shooter', 'who shoots', 'the archer', 'another, or a machine'],
  ['other', 'something else', 'one way', 'the other'],
];

/** The ways of a kind, as they are called at first. */
export function waysOf(kind: Schemas['WayKind']): Schemas['TwoWays'] {
  const [, , first, second] = wayKinds.find(([k]) => k === kind)!;
  return { kind, first, second };
}

/** How wrong a sight is set, yards. */
export const rangeErrors = [1, 2, 3, 5];
const USUAL_ERROR = 2;

export function shotOf(stage: TypedStage): Shot {
  if (stage.sighting) return 'sighting';
  if (stage.nockEnd) return 'nockEnd';
  if (stage.ways) return 'ways';
  if (stage.rangeError !== null) return 'rangeError';
  if (stage.walk) return stage.walk;
  if (stage.atTarget) return stage.heads ? 'heads' : 'target';
  return stage.fletched ? 'fletched' : 'bare';
}

/** A stage that is shot so. */
export const shotAs = (distance: string, shot: Shot): TypedStage => ({
  distance,
  fletched: shot === 'fletched',
  atTarget: shot !== 'bare' && shot !== 'fletched' && shot !== 'nockEnd',
  heads: shot === 'heads',
  walk: shot === 'own' || shot === 'one' ? shot : null,
  sighting: shot === 'sighting',
  ways: shot === 'ways' ? waysOf('grip') : null,
  rangeError: shot === 'rangeError' ? USUAL_ERROR : null,
  nockEnd: shot === 'nockEnd',
});

export const same = (a: TypedStage[], b: Schemas['PlannedStage'][]) =>
  a.length === b.length &&
  a.every(
    (s, i) =>
      Number(s.distance) === b[i]!.distance &&
      s.fletched === b[i]!.fletched &&
      s.atTarget === (b[i]!.atTarget ?? false) &&
      s.heads === (b[i]!.heads ?? false) &&
      s.walk === (b[i]!.walk ?? null) &&
      s.sighting === (b[i]!.sighting ?? false) &&
      (s.ways === null) === ((b[i]!.ways ?? null) === null) &&
      s.rangeError === (b[i]!.rangeError ?? null) &&
      s.nockEnd === (b[i]!.nockEnd ?? false),
  );

/** What is said of a plan before it begins. */
interface Said {
  title: string;
  intro?: string;
  before: keyof Choices;
  enough?: keyof Choices;
  /** What is set up, in the foot. */
  sentence: string;
  reason: string;
  button: string;
}

const paper: Said = {
  title: 'A new paper',
  before: 'beforeYouShoot',
  sentence: 'Hang the paper and begin.',
  reason: 'Target well behind the paper. A clear range.',
  button: 'Begin this paper',
};
const groups: Said = {
  title: 'Bare against fletched, at a target',
  intro:
    'Two aiming points a hand apart, one for each kind. The offset of the bare group from the fletched one is the finding, once it is bigger than the archer’s own spread.',
  before: 'beforeGroups',
  enough: 'enoughAtTarget',
  sentence: 'Set two aiming points and begin.',
  reason: 'A hand apart, one for each kind of arrow. A clear range behind.',
  button: 'Begin these groups',
};
const walk: Said = {
  title: 'A walk-back, at a target',
  intro:
    'From the zero outwards at one plumb line, fletched arrows alone. Arrows that drift to one side with distance are the finding, once the drift is bigger than the archer’s own spread.',
  before: 'beforeWalk',
  enough: 'enoughOfWalk',
  sentence: 'Hang a plumb line and begin at the zero.',
  reason: 'One line to aim at from every distance. A clear range behind.',
  button: 'Begin this walk-back',
};
const said: Record<Shot, Said> = {
  bare: paper,
  fletched: paper,
  nockEnd: {
    title: 'Nock ends, in a near target',
    intro:
      'Bare shafts alone. So near the impact says nearly nothing, the slant of the shaft does: how far the nock end stands beside the point is read as the tear that it stands for.',
    before: 'beforeNockEnd',
    enough: 'enoughOfNockEnd',
    sentence: 'Set a soft target and begin.',
    reason: 'Shafts must stand as they flew. A clear range behind.',
    button: 'Begin these shots',
  },
  target: groups,
  heads: {
    ...groups,
    title: 'Broadheads against field points',
    intro:
      'Two aiming points a hand apart, one for each kind, the same arrows. Where heads land elsewhere, it is told whether to leave it, to move the sight or to tune.',
    before: 'beforeHeads',
  },
  own: walk,
  one: { ...walk, before: 'beforeOnePin' },
  sighting: {
    title: 'Sighting in',
    intro:
      'Three arrows at one aiming point: their middle says which way the sight goes and how far, until what is left is the hand’s. Then the next distance.',
    before: 'beforeSighting',
    enough: 'enoughOfZero',
    sentence: 'Set one aiming point and begin with the nearest pin.',
    reason: 'The arrow that the sight is to be set for. A clear range behind.',
    button: 'Begin sighting in',
  },
  ways: {
    title: 'Two ways compared',
    intro:
      'The same arrows at one aiming point, one of each way in turn. The size of the groups is the finding; it takes more arrows than their place does.',
    before: 'beforeWays',
    sentence: 'Say what differs and begin with the one way.',
    reason: 'Nothing else differs. A clear range behind.',
    button: 'Begin comparing',
  },
  rangeError: {
    title: 'What a wrong range costs',
    intro:
      'At one distance the sight is set for less and for more, in mixed order. What lies between both is what a wrong guess of the range costs in height.',
    before: 'beforeRangeError',
    sentence: 'Stand at the distance and set the sight long or short.',
    reason: 'A tall backstop: hits lie high and low. A clear range behind.',
    button: 'Begin this trial',
  },
};

/** What is said of a plan by its first stage; the cautions are those of the stage that wants most. */
export function saidOf(stages: TypedStage[]): Said {
  const shots = stages.map(shotOf);
  const most = (['one', 'own', 'heads'] as const).find((shot) => shots.includes(shot)) ?? shots[0]!;
  return { ...said[shots[0]!], before: said[most].before };
}
