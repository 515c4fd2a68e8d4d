import { across, upright } from './pieces';

/** A place on a target in inches from its aiming point, x right and y up. */
export interface Place {
  x: number;
  y: number;
}

/** From ring to ring in a unit: as many rings as are read at a glance. */
const STEPS = [0.5, 1, 2, 4, 5, 10];
const MOST_RINGS = 8;

/** The finest round step of which no more than so many go into a width; undefined where even the coarsest is too fine. */
export const roundStep = (wide: number, most: number) => STEPS.find((s) => wide / s <= most);

/** Radii of the rings of a face in inches, the widest first; round in the unit that is shown, of so many inches. */
export function rings(half: number, unit = 1): number[] {
  const wide = half / unit;
  const step = roundStep(wide, MOST_RINGS) ?? 10;
  return Array.from({ length: Math.floor(wide / step) }, (_, i) => (i + 1) * step * unit).reverse();
}

/**
 * Radii of a face as it hangs on the butt, inches, the widest first; a blank sheet has none. Where rings have sizes of
 * their own the face's edge is drawn about them.
 */
export function ringsOf(face: { diameter: number; rings: number; ringDiameters?: number[] | null }): number[] {
  const own = face.ringDiameters;
  if (own) return [...new Set([face.diameter, ...own])].map((across) => across / 2);
  return Array.from({ length: face.rings }, (_, i) => (face.diameter / 2 / face.rings) * (face.rings - i));
}

/** A fletched arrow from behind: three vanes about the nock. Origin is the arrow. */
export function vanesPath(radius: number): string {
  const spoke = (angle: number) =>
    `M${round(radius * Math.cos(angle))} ${round(radius * Math.sin(angle))}L${round(2 * radius * Math.cos(angle))} ${round(2 * radius * Math.sin(angle))}`;
  return [-90, 30, 150].map((degrees) => spoke((degrees * Math.PI) / 180)).join('');
}

/** A square on its corner about the origin. */
export const diamondPath = (radius: number): string => `M0 ${-radius}L${radius} 0L0 ${radius}L${-radius} 0z`;

/** Half the width of a face on which all of it can be seen, inches. */
export function faceFor(places: Place[], radii: number[] = []): number {
  const far = Math.max(0, ...places.map((p) => Math.max(Math.abs(p.x), Math.abs(p.y))), ...radii);
  return [4, 6, 8, 12, 16].find((half) => far <= half * 0.94) ?? 24;
}

/** Where a face of so many inches to its edge stands on a sheet, its legend above and below. */
export function faceOn(width: number, height: number, half: number) {
  const room = Math.min(width - 24, height - 98);
  const px = room / (2 * half);
  const [cx, cy] = [width / 2, 52 + room / 2];
  return { px, cx, cy, screen: ({ x, y }: Place) => ({ x: cx + x * px, y: cy - y * px }) };
}

/** Where the loupe stands: in the corner that the finger is farthest from. */
export function loupeCorner(at: { x: number; y: number }, width: number, radius: number): { x: number; y: number } {
  return { x: at.x > width / 2 ? radius + 8 : width - radius - 8, y: radius + 8 };
}

/** A group's middle on the screen, and the radius of its region there. */
type Middle = Place & { radius: number };

/** So short a dimension would be all arrowheads. */
const SHORTEST = 30;
const CLEAR = 22;
const WORDS = 92;

/** How far one group lies from another along its greater part, outside both regions; null where that is too little. */
export function dimension(from: Middle, to: Middle, width: number) {
  const [dx, dy] = [Math.abs(to.x - from.x), Math.abs(to.y - from.y)];
  if (Math.max(dx, dy) < SHORTEST) return null;
  if (dx > dy) {
    const y = round(Math.max(from.y + from.radius, to.y + to.radius) + CLEAR);
    return {
      along: 'x' as const,
      leads: `M${round(from.x)} ${round(from.y)}V${y}M${round(to.x)} ${round(to.y)}V${y}`,
      line: across(y, round(Math.min(from.x, to.x)), round(Math.max(from.x, to.x))),
      words: { x: round((from.x + to.x) / 2), y: y + 20 },
      anchor: 'middle' as const,
    };
  }
  const right = Math.max(from.x + from.radius, to.x + to.radius) + CLEAR;
  const left = Math.min(from.x - from.radius, to.x - to.radius) - CLEAR;
  const onRight = right + WORDS <= width;
  const x = round(onRight ? right : left);
  return {
    along: 'y' as const,
    leads: `M${round(from.x)} ${round(from.y)}H${x}M${round(to.x)} ${round(to.y)}H${x}`,
    line: upright(x, round(Math.min(from.y, to.y)), round(Math.max(from.y, to.y))),
    words: { x: x + (onRight ? 12 : -12), y: round((from.y + to.y) / 2) + 5 },
    anchor: onRight ? ('start' as const) : ('end' as const),
  };
}

const round = (value: number) => Math.round(value * 10) / 10;
