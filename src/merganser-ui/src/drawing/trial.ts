import { scale, type Scale } from './chart';

/** Of how many CSS pixels a shaft's lane is. */
const LANE = 124;
/** Where it is too narrow for a name and its words side by side. */
const NARROW = 560;

interface Lane {
  /** Its name. */
  name: number;
  /** Its range in words. */
  words: number;
  /** The range by figures, and on it the points that can be had. */
  bar: number;
  /** What papers found. */
  found: number;
}

/** Shafts one under the other on one scale of point weights. */
export function trialLanes(low: number, high: number, width: number, shafts: number) {
  const x: Scale = scale(low, high, 24, width - 24);
  const narrow = width < NARROW;
  const more = narrow ? 22 : 0;
  const lane = LANE + more;
  const lanes: Lane[] = Array.from({ length: shafts }, (_, i) => ({
    name: i * lane + 20,
    words: i * lane + 20 + more,
    bar: i * lane + 44 + more,
    found: i * lane + 82 + more,
  }));
  return { x, lanes, narrow, ruler: shafts * lane + 6, height: shafts * lane + 44 };
}
