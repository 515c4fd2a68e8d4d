/** Small drawings of how a check is done, in a box of 620 by 270: what is there in ink, what is measured in red. */
export interface MeasureShapes {
  ink: string;
  thin: string;
  red: string;
  labels: { x: number; y: number; text: string; end?: boolean }[];
}

const arrowEnds = (x: number, y1: number, y2: number) =>
  `M${x} ${y1}V${y2}M${x - 6} ${y1 + 10}L${x} ${y1}L${x + 6} ${y1 + 10}M${x - 6} ${y2 - 10}L${x} ${y2}L${x + 6} ${y2 - 10}`;
const across = (y: number, x1: number, x2: number) =>
  `M${x1} ${y}H${x2}M${x1 + 10} ${y - 6}L${x1} ${y}L${x1 + 10} ${y + 6}M${x2 - 10} ${y - 6}L${x2} ${y}L${x2 - 10} ${y + 6}`;

const sideBow =
  'M240 30L300 90C330 110 320 120 312 135C320 150 330 160 300 180L240 240M240 30a16 16 0 1 0 .1 0M240 240a16 16 0 1 0 .1 0';
const sideString = 'M226 40V230M246 44L236 226M236 44L246 226';
const plainBow = 'M236 24C250 60 306 80 308 135C306 190 250 210 236 246';
const aboveArrow = 'M60 116H560V142H60z';
const riser = 'M220 270V196H300C318 196 316 224 330 224H390C404 224 402 196 420 196H520V270';
const nock = 'M300 118H420V150H300L286 142V138H300V130H286V126z';
const stringUp = 'M276 20V250M292 20V250';

const sight = 'M300 30V240M300 60H420M300 120H420M300 180H420M420 50V200';

const shapes: Record<string, MeasureShapes> = {
  inspection: {
    ink: sideBow,
    thin: sideString,
    red: 'M288 70a14 14 0 1 0 .1 0M288 176a14 14 0 1 0 .1 0M240 14a18 18 0 1 0 .1 0',
    labels: [
      { x: 330, y: 80, text: 'limbs without cracks' },
      { x: 330, y: 186, text: 'bolts even, screws tight' },
      { x: 276, y: 30, text: 'cams turn freely' },
    ],
  },
  drawWeight: {
    ink: 'M330 30C360 90 360 180 330 240M330 30L150 135L330 240M130 125h20v20h-20z',
    thin: 'M150 135H330',
    red: across(160, 60, 128),
    labels: [
      { x: 60, y: 190, text: 'pull on the scale' },
      { x: 370, y: 140, text: 'let down slowly, never release' },
    ],
  },
  axleToAxle: {
    ink: sideBow,
    thin: sideString,
    red: arrowEnds(180, 46, 256),
    labels: [{ x: 168, y: 150, text: 'axle to axle', end: true }],
  },
  braceHeight: {
    ink: sideBow,
    thin: sideString,
    red: across(135, 228, 310),
    labels: [{ x: 330, y: 140, text: 'grip to string, square' }],
  },
  tiller: {
    ink: plainBow,
    thin: 'M236 24V246',
    red: `${across(76, 236, 276)}${across(194, 236, 276)}`,
    labels: [
      { x: 300, y: 70, text: 'top' },
      { x: 300, y: 206, text: 'bottom' },
      { x: 60, y: 140, text: 'top less bottom' },
    ],
  },
  limbAlignment: {
    ink: 'M290 20H330L340 90H280zM290 250H330L340 180H280zM284 90H336V180H284z',
    thin: '',
    red: 'M310 10V260',
    labels: [{ x: 360, y: 140, text: 'string through the middle' }],
  },
  camLean: {
    ink: 'M296 40L316 38L330 150L310 152z',
    thin: 'M320 150V260',
    red: 'M306 39L332 250M318 250H336',
    labels: [
      { x: 350, y: 246, text: 'off the string, inches' },
      { x: 350, y: 90, text: 'straightedge along the cam' },
    ],
  },
  camTiming: {
    ink: 'M200 80a46 46 0 1 0 .1 0M440 80a46 46 0 1 0 .1 0',
    thin: 'M154 126V240M486 126V240',
    red: 'M226 150l26 18M414 150l-26 18',
    labels: [
      { x: 150, y: 60, text: 'top cam' },
      { x: 400, y: 60, text: 'bottom cam' },
      { x: 252, y: 210, text: 'stops touch together' },
    ],
  },
  centreShot: {
    ink: `${aboveArrow}${riser}M330 90V150M366 90V150M330 90H366`,
    thin: 'M348 150V240M40 129H580',
    red: `${arrowEnds(270, 129, 224)}M255 224H348M255 129H348`,
    labels: [
      { x: 70, y: 104, text: 'arrow, on the rest, nock on the string' },
      { x: 376, y: 104, text: 'rest' },
      { x: 450, y: 240, text: 'riser' },
    ],
  },
  plungerTension: {
    ink: `${aboveArrow}M330 142V168M318 168H342V240H318z`,
    thin: 'M320 176L340 184L320 192L340 200L320 208L340 216',
    red: 'M300 155H318M310 148L318 155L310 162',
    labels: [{ x: 360, y: 200, text: 'press: gives, comes back by itself' }],
  },
  shelf: {
    ink: 'M200 40H300V190H420V250H200z',
    thin: 'M300 60H314V186H300M320 176a14 14 0 1 0 .1 0',
    red: 'M302 196H418',
    labels: [{ x: 440, y: 200, text: 'smooth, firm' }],
  },
  nockingPoint: {
    ink: `${nock}M420 124H600V144H420`,
    thin: `${stringUp}M292 190H600`,
    red: arrowEnds(520, 144, 190),
    labels: [
      { x: 536, y: 174, text: 'above square' },
      { x: 430, y: 214, text: 'bow square' },
    ],
  },
  nockSets: {
    ink: nock,
    thin: `${stringUp}M272 92h24M272 98h24M272 166h24M272 172h24M272 178h24M272 184h24`,
    red: 'M262 110H304M262 118H304',
    labels: [
      { x: 320, y: 96, text: 'over' },
      { x: 320, y: 182, text: 'under, more wraps' },
      { x: 120, y: 118, text: 'one thread of slack' },
    ],
  },
  loop: {
    ink: 'M284 90C220 90 220 170 284 170',
    thin: stringUp,
    red: across(130, 90, 234),
    labels: [{ x: 90, y: 164, text: 'pulls straight behind' }],
  },
  nockFit: {
    ink: `${nock}M420 124H600V144H420`,
    thin: stringUp,
    red: 'M250 100a40 40 0 0 0 0 70M244 160l6 12l10 -8',
    labels: [{ x: 80, y: 140, text: 'the string turns free' }],
  },
  restTiming: {
    ink: 'M60 96H560V118H60zM300 118V150M300 150L330 180M280 240H360V200H280z',
    thin: 'M330 180C360 190 420 190 470 240',
    red: 'M390 130V176M382 166L390 176L398 166',
    labels: [
      { x: 410, y: 160, text: 'down before the vanes' },
      { x: 470, y: 256, text: 'cord to the cable' },
    ],
  },
  clicker: {
    ink: `${aboveArrow}M470 60V112M470 112L452 118`,
    thin: 'M560 116L590 129L560 142',
    red: 'M446 76H470',
    labels: [{ x: 300, y: 66, text: 'falls at full draw' }],
  },
  peep: {
    ink: 'M310 135m-60 0a60 60 0 1 0 120 0a60 60 0 1 0 -120 0M310 135m-34 0a34 34 0 1 0 68 0a34 34 0 1 0 -68 0',
    thin: 'M310 10V75M310 195V260',
    red: 'M370 90a76 76 0 0 1 0 90M362 176l8 6l6 -10',
    labels: [{ x: 390, y: 140, text: 'degrees away from the eye' }],
  },
  firstAxis: {
    ink: sight,
    thin: '',
    red: 'M340 20V250M332 30L340 20L348 30',
    labels: [{ x: 356, y: 30, text: 'bar vertical, bow plumb' }],
  },
  secondAxis: {
    ink: `${sight}M420 100H560V160H420z`,
    thin: 'M460 130a30 12 0 1 0 60 0a30 12 0 1 0 -60 0',
    red: across(200, 420, 560),
    labels: [{ x: 420, y: 226, text: 'housing level' }],
  },
  thirdAxis: {
    ink: 'M200 240L300 60M300 60L420 60V130H330z',
    thin: 'M240 250C300 230 380 200 560 150',
    red: 'M420 95H560M550 88L560 95L550 102',
    labels: [
      { x: 430, y: 80, text: 'square to the line of sight' },
      { x: 60, y: 120, text: 'leaned forward, clamped' },
    ],
  },
};

/** A bow without cams has its own outline, and its own parts to look at. */
const withoutCams: Record<string, MeasureShapes> = {
  inspection: {
    ink: plainBow,
    thin: 'M236 24V246',
    red: 'M266 44a14 14 0 1 0 .1 0M266 198a14 14 0 1 0 .1 0M236 122a12 12 0 1 0 .1 0',
    labels: [
      { x: 300, y: 60, text: 'limbs without cracks' },
      { x: 320, y: 160, text: 'grip sound, all tight' },
      { x: 200, y: 140, text: 'string whole', end: true },
    ],
  },
  braceHeight: {
    ink: plainBow,
    thin: 'M236 24V246',
    red: across(135, 238, 306),
    labels: [{ x: 330, y: 140, text: 'grip to string, square' }],
  },
};

export const measureShapes = (kind: string, bow: string): MeasureShapes | null =>
  (bow === 'compound' ? undefined : withoutCams[kind]) ?? shapes[kind] ?? null;
