import { scale, type Scale } from './chart';

/** Of how many CSS pixels a shaft's lane is. */
const LANE = 124;

interface Lane {
  /** Its name. */
  name: number;
  /** The range by figures. */
  bar: number;
  /** Points that can be had stand on it. */
  points: number;
  /** What papers found. */
  found: number;
}

/** Shafts one under the other on one scale of point weights. */
export function trialLanes(low: number, high: number, width: number, shafts: number) {
  const x: Scale = scale(low, high, 24, width - 24);
  const lanes: Lane[] = Array.from({ length: shafts }, (_, i) => ({
    name: i * LANE + 20,
    bar: i * LANE + 44,
    points: i * LANE + 44,
    found: i * LANE + 82,
  }));
  return { x, lanes, ruler: shafts * LANE + 6, height: shafts * LANE + 44 };
}
