/** A yoke seen from behind the bow: the cam between its legs, the cable they come from; 150 wide, 112 high. */
export const YOKE = { width: 150, height: 112 };

const [AXLE, JOIN, MIDDLE, HALF] = [24, 88, 75, 34];

/** Axle with its cam, both legs, the cable. */
export const yokePath =
  `M${MIDDLE - HALF - 8} ${AXLE}H${MIDDLE + HALF + 8}M${MIDDLE - 9} 6h18v36h-18Z` +
  `M${MIDDLE} ${JOIN}L${MIDDLE - HALF} ${AXLE}M${MIDDLE} ${JOIN}L${MIDDLE + HALF} ${AXLE}M${MIDDLE} ${JOIN}V${YOKE.height - 2}`;

/** More than these are not drawn one by one. */
const MOST = 6;

/** Twists on a leg, one stroke across it each. */
export function twists(leg: 'left' | 'right', count: number): string {
  const side = leg === 'left' ? -1 : 1;
  return Array.from({ length: Math.min(MOST, Math.ceil(Math.abs(count))) }, (_, i) => {
    const along = 0.3 + 0.09 * i;
    const [x, y] = [MIDDLE + side * HALF * along, JOIN + (AXLE - JOIN) * along];
    return `M${Math.round(x - 5)} ${Math.round(y - side * 3)}l10 ${side * 6}`;
  }).join('');
}
