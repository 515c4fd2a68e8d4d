import { circle } from './pieces';

/** A drawing of a guide in a box of 132 by 84: thin what is there, ink what is done, red what it shows. */
export interface GuideShapes {
  thin: string;
  ink: string;
  red: string;
}

const vanes = (x: number, y: number) => `M${x} ${y}l-9 -9M${x} ${y}l-9 9M${x} ${y}h-12`;
const hits = (...at: [number, number][]) => at.map(([x, y]) => circle(x, y, 3.5)).join('');

/** Each of the five has one picture: what they come for. */
export const guideShapes: Record<'beginner' | 'tuner' | 'technician' | 'field' | 'hunter', GuideShapes> = {
  // A sheet in its frame with one tear to the left.
  beginner: {
    thin: 'M20 6H112V78H20ZM28 14H104V70H28Z',
    ink: `${circle(76, 42, 5)}M71 42H54`,
    red: vanes(54, 42),
  },
  // Two cams with their stops, one a hair behind the other.
  tuner: {
    thin: 'M66 8V76',
    ink: `${circle(46, 42, 22)}${circle(88, 42, 22)}M46 20V12M88 20V12`,
    red: 'M46 42L62 27M88 42L101 25',
  },
  // A sheet with ticked lines, and a bow that stands beside it.
  technician: {
    thin: 'M14 8H78V76H14ZM24 24H68M24 42H68M24 60H68',
    ink: 'M104 8C122 26 122 58 104 76M104 8V76',
    red: 'M20 22l5 5l9 -11M20 40l5 5l9 -11',
  },
  // Two arrows beside each other, one a bit longer.
  field: {
    thin: 'M10 42H122M30 8V76M96 8V76',
    ink: `M14 30H102M102 30l-8 -4M102 30l-8 4${vanes(30, 30)}`,
    red: `M14 56H112M112 56l-8 -4M112 56l-8 4${vanes(30, 56)}`,
  },
  // Heads beside field points on the same mark.
  hunter: {
    thin: `${circle(66, 42, 32)}${circle(66, 42, 16)}M66 2V82M24 42H108`,
    ink: hits([60, 38], [68, 46], [62, 47]),
    red: 'M84 26l8 -4l-2 9zM92 34l8 -4l-2 9zM86 40l8 -4l-2 9z',
  },
};
