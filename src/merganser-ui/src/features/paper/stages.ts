import type { Schemas } from '../../api/client';
import type { Paper, ShotSet } from './paperTypes';

/** What is left out of a stage is not so. */
type Stage = Pick<Schemas['PlannedStage'], 'distance' | 'fletched' | 'atTarget' | 'heads'> & {
  walk?: Schemas['PlannedStage']['walk'];
  sighting?: boolean;
  ways?: Schemas['TwoWays'] | null;
  rangeError?: number | null;
  nockEnd?: boolean;
};

/** True for what the sight answers for all arrows: a walk-back, or a pin that is set. */
export const isOfSight = (set: ShotSet) => set.walk !== null || set.sighting !== null;

/** True for a set that is shot at a target with fletched arrows alone. */
export const isFletchedAlone = (set: ShotSet) => isOfSight(set) || set.ways !== null || set.rangeTrial !== null;

/** True for a set that is shot at a target. */
export const isAtTarget = (set: ShotSet | undefined) =>
  set !== undefined && (set.groups !== null || isFletchedAlone(set));

/** The stage of a set, as the next set is begun with it. */
export const stageOf = (set: ShotSet) => ({
  distance: set.distanceTyped,
  fletched: set.fletched,
  atTarget: isAtTarget(set),
  heads: set.groups?.heads ?? false,
  walk: set.walk?.pins ?? null,
  sighting: set.sighting !== null,
  ways: set.ways?.ways ?? null,
  rangeError: set.rangeTrial?.error ?? null,
  nockEnd: set.nockEnd !== null,
});

/** The next arrow of a planned trial. */
export const nextOf = (paper: Paper) => ({ arrowVersionId: paper.plan.stillToShoot[0]?.arrowVersionId ?? null });

/** A stage of a plan, as it is typed. */
export const typedStage = ({
  distance,
  fletched,
  atTarget = false,
  heads = false,
  walk = null,
  sighting = false,
  ways = null,
  rangeError = null,
  nockEnd = false,
}: Stage) => ({
  distance: String(distance),
  fletched,
  atTarget,
  heads,
  walk,
  sighting,
  ways,
  rangeError,
  nockEnd,
});
