import type { Place } from './target';

/** What a sector of the map asks for. */
type Answer = 'sight' | 'tune';

/** Eight ways about the middle, each with the answer that stands there. */
interface Sector {
  answer: Answer;
  /** Where its word stands. */
  at: Place;
}

/** The map of heads: a circle in which nothing is done, eight sectors about it, inside a frame. Screen units. */
export interface HeadMapDrawing {
  px: number;
  /** Where heads land. */
  mark: Place;
  /** Rays between the sectors, from the circle to the frame. */
  rays: string[];
  /** Those whose word is not covered by the mark: what stands there is said beside the map. */
  sectors: Sector[];
}

type Straight = 'moveTheSight' | 'tuneSideways' | 'tuneTheBow';

const EDGE = 1.08;
const LEAST = 2.2;

/** So near to a word the mark covers it. */
const WORD = 34;

/**
 * @param width of the frame
 * @param height of it; its middle is the origin
 * @param tolerance inches in which nothing is done
 * @param offset where heads land, inches, and the radius of its region: all of it is seen, and no word stands under it
 * @param halfSector half the angle of a straight sector, degrees
 */
export function headMap(
  { width, height }: { width: number; height: number },
  tolerance: number,
  offset: Place & { radius: number },
  halfSector: number,
  straight: Straight,
): HeadMapDrawing {
  const far = Math.hypot(offset.x, offset.y) + offset.radius;
  const px = Math.min(width, height) / 2 / (EDGE * Math.max(LEAST * tolerance, far));
  const reach = (degrees: number) => {
    const [c, s] = [Math.cos(radians(degrees)), Math.sin(radians(degrees))];
    return Math.min(width / 2 / Math.max(Math.abs(c), 1e-9), height / 2 / Math.max(Math.abs(s), 1e-9));
  };
  const rays = [0, 90, 180, 270]
    .flatMap((axis) => [axis - halfSector, axis + halfSector])
    .map((degrees) => {
      const [from, to] = [tolerance * px, reach(degrees)];
      const at = (r: number) => `${round(r * Math.cos(radians(degrees)))} ${round(-r * Math.sin(radians(degrees)))}`;
      return `M${at(from)}L${at(to)}`;
    });
  const mark = { x: round(offset.x * px), y: round(-offset.y * px) };
  const sectors = [0, 45, 90, 135, 180, 225, 270, 315]
    .map((degrees) => {
      const r = (tolerance * px + reach(degrees)) / 2;
      return {
        answer: answerAt(degrees, straight),
        at: { x: round(r * Math.cos(radians(degrees))), y: round(-r * Math.sin(radians(degrees))) },
      };
    })
    .filter(({ at }) => Math.hypot(at.x - mark.x, at.y - mark.y) > WORD);
  return { px, mark, rays, sectors };
}

function answerAt(degrees: number, straight: Straight): Answer {
  if (straight === 'tuneTheBow' || degrees % 90 !== 0) return 'tune';
  return degrees % 180 === 0 && straight === 'tuneSideways' ? 'tune' : 'sight';
}

const radians = (degrees: number) => (degrees * Math.PI) / 180;
const round = (value: number) => Math.round(value * 10) / 10;
