import type { ShotSet } from './paperTypes';
import type { Kinds } from './usePaperWork';

/** The stage of a set, and that of a plan, as the next set is begun with it. */
export const stageOf = (set: ShotSet) => ({
  distance: set.distanceTyped,
  fletched: set.fletched,
  atTarget: set.groups !== null,
  heads: set.groups?.heads ?? false,
});
export const typedStage = ({ distance, fletched, atTarget, heads }: Kinds & { distance: number }) => ({
  distance: String(distance),
  fletched,
  atTarget,
  heads,
});
