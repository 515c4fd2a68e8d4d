/** A piece standing in its place of the tray, and how far it is from the middle one; 34 wide, 64 high, its axis at 12. */

export const PLACE = { width: 34, height: 64 };

const AXIS = 12;
const MIDDLE = PLACE.height / 2;
const REACH = MIDDLE - 7;

/** Under this all pieces are alike: a tenth of a grain does not stand at the end of the scale. Grains. */
const LEAST = 0.5;

const SHAPES: Record<string, string> = {
  Shaft: 'M8 2H16V62H8ZM8 10H16',
  Insert: 'M6 14H18V20H6ZM8 20H16V52H8Z',
  Point: 'M12 4L17 26H7ZM9 26H15V58H9Z',
  Nock: 'M7 60V32C7 22 6 14 6 6H9.5V22H14.5V6H18C18 14 17 22 17 32V60Z',
  Vanes: 'M8 60V6C14 14 19 32 19 50L15 60Z',
  Wrap: 'M6 12H18V52H6ZM6 24L18 18M6 36L18 30M6 48L18 42',
  Head: 'M12 3L21 38H15V60H9V38H3Z',
};

const RING = 'M6 22H18V42H6ZM9 22V42M15 22V42';

/** A piece of a class by its outline; parts between point and shaft are a collar. */
export const pieceOutline = (kind: string) => SHAPES[kind] ?? RING;

/**
 * The mark beside a piece: above the middle for a heavier one.
 *
 * @param fromMiddle heavier than the middle one, grains
 * @param most the farthest of the class from its middle, grains
 */
export function pieceMark(fromMiddle: number, most: number): string {
  const y = Math.round(10 * (MIDDLE - (REACH * fromMiddle) / Math.max(most, LEAST))) / 10;
  return `M${AXIS + 12} ${y}l8 -5v10Z`;
}

/** Where the middle one stands. */
export const middleTick = `M${AXIS + 10} ${MIDDLE}h12`;
