import * as piece from './pieces';

/** Small drawings of how a check is done, in a box of 620 by 270: what is there in ink, what is measured in red. */
export interface MeasureShapes {
  ink: string;
  thin: string;
  red: string;
  labels: { x: number; y: number; text: string; end?: boolean }[];
}

const { across, arrowFromAbove, bowScale, cam, circle, compound, level, plain, ruler, sightBehind, string, upright } =
  piece;

/** A tool's reading beside the bow: two lines from what is measured to the dimension. */
const leads = (x: number, from: number, ...ys: number[]) => ys.map((y) => `M${from} ${y}H${x - 6}`).join('');

const shapes: Record<string, MeasureShapes> = {
  inspection: {
    ink: compound.ink,
    thin: `${compound.thin}M269 30H404M284 74L404 92M322 94L404 150`,
    red: `${circle(250, 36, 19)}${circle(276, 70, 12)}${circle(304, 94, 18)}${circle(304, 176, 18)}`,
    labels: [
      { x: 410, y: 35, text: 'cams turn freely' },
      { x: 410, y: 97, text: 'limbs without cracks' },
      { x: 410, y: 155, text: 'bolts even, screws tight' },
    ],
  },
  drawWeight: {
    // Limbs bent, the string at the scale's hook; the dial and its ring.
    ink: `${cam(352, 44)}${cam(352, 226)}M358 54C378 72 388 84 396 98M348 58C366 78 376 90 386 104M358 216C378 198 388 186 396 172M348 212C366 192 376 180 386 166M386 104L398 94L410 106L404 112ZM386 166L398 176L410 164L404 158ZM404 112C420 120 420 130 408 134C404 146 408 158 404 158M340 36L196 135L340 234${bowScale.ink}`,
    thin: `M338 44L352 226M366 44L352 226${bowScale.thin}`,
    red: bowScale.red,
    labels: [
      { x: 62, y: 212, text: 'scale hooked to the string' },
      { x: 430, y: 140, text: 'let down, never release' },
    ],
  },
  axleToAxle: {
    ink: compound.ink,
    thin: `${compound.thin}${leads(190, 250, 36, 234)}${ruler(160, 28, 244)}`,
    red: upright(184, 36, 234),
    labels: [{ x: 148, y: 140, text: 'axle to axle', end: true }],
  },
  braceHeight: {
    ink: compound.ink,
    // The square lies on the string, its foot in the grip.
    thin: `${compound.thin}M228 128H312V134H228ZM226 118V150`,
    red: across(146, 236, 308),
    labels: [
      { x: 400, y: 150, text: 'deepest point of the grip' },
      { x: 216, y: 150, text: 'to the string, square', end: true },
    ],
  },
  tiller: {
    ink: compound.ink,
    thin: compound.thin,
    red: `${across(96, 234, 290)}${across(174, 234, 290)}`,
    labels: [
      { x: 222, y: 101, text: 'top', end: true },
      { x: 222, y: 179, text: 'bottom', end: true },
      { x: 400, y: 140, text: 'top less bottom' },
    ],
  },
  limbAlignment: {
    // From behind: limbs that narrow to their tips, riser with its window, string through the middle.
    ink: 'M303 14H317L324 40L334 92H286L296 40ZM303 256H317L324 230L334 178H286L296 230ZM286 92H334C338 104 330 112 326 118V152C330 158 338 166 334 178H286C282 166 290 158 294 152V140H312V120H294C290 112 282 104 286 92Z',
    thin: 'M272 66H348M272 204H348M284 60V72M336 60V72M284 198V210M336 198V210',
    red: 'M310 6V264',
    labels: [
      { x: 362, y: 71, text: 'a gauge at each limb' },
      { x: 362, y: 140, text: 'string through the middle' },
    ],
  },
  camLean: {
    // From behind: the limb's fork with its axle, the cam between, seen on edge.
    ink: 'M262 20V96H282V64H338V96H358V20M254 48H366M300 14C298 40 306 96 314 118L326 114C322 92 314 40 312 12Z',
    thin: 'M318 116V262M284 64V48M336 64V48',
    red: 'M306 12L334 250M318 244H333',
    labels: [
      { x: 380, y: 53, text: 'axle' },
      { x: 346, y: 150, text: 'straightedge along the cam' },
      { x: 346, y: 248, text: 'off the string, here' },
    ],
  },
  camTiming: {
    // At full draw: each cam with its module and stop, the cable that the stop comes to rest on.
    ink: `${circle(280, 62, 38)}${circle(280, 208, 38)}${circle(280, 62, 4)}${circle(280, 208, 4)}M262 36C296 40 300 78 270 90M262 234C296 230 300 192 270 180M288 60C330 76 350 92 362 112M288 210C330 194 350 178 362 158`,
    thin: 'M236 30V240M230 58L90 135L230 212',
    red: `${circle(246, 88, 9)}${circle(246, 182, 9)}`,
    labels: [
      { x: 372, y: 66, text: 'top cam' },
      { x: 372, y: 214, text: 'bottom cam' },
      { x: 372, y: 140, text: 'both stops touch together' },
    ],
  },
  centreShot: {
    ink: `${arrowFromAbove}M330 84V150M366 84V150M330 84H366M210 262V208C210 196 226 194 252 194H312C326 194 322 224 336 224H362C376 224 372 194 386 194H440C466 194 482 196 482 208V262`,
    thin: `M348 150V224M40 129H590${circle(96, 129, 6)}${circle(348, 224, 4)}`,
    red: `${upright(290, 129, 224)}M276 224H348M276 129H348`,
    labels: [
      { x: 80, y: 84, text: 'nock on the string' },
      { x: 376, y: 100, text: 'rest' },
      { x: 492, y: 240, text: 'riser' },
      { x: 276, y: 184, text: 'hole to arrow’s centre', end: true },
    ],
  },
  plungerTension: {
    ink: `${arrowFromAbove}M330 154V146H338V154M322 154H346V232H322ZM312 184H356V198H312ZM230 262V214H322M346 214H450V262`,
    thin: 'M324 160L344 168L324 176M324 204L344 212L324 220M40 129H590',
    red: `M334 92V118M327 109L334 118L341 109`,
    labels: [
      { x: 350, y: 106, text: 'press with the thumb' },
      { x: 368, y: 172, text: 'spring in its barrel' },
      { x: 460, y: 250, text: 'riser' },
    ],
  },
  shelf: {
    ink: 'M190 20C196 60 240 70 300 74V178C300 188 306 192 316 192H420C430 192 434 200 430 212C420 240 380 262 300 264',
    thin: `M300 78H312V184${circle(330, 174, 16)}M330 158L330 140M316 182L302 192M344 182L358 190`,
    red: 'M312 84V180M318 192H418',
    labels: [
      { x: 328, y: 108, text: 'strike plate' },
      { x: 440, y: 196, text: 'shelf, smooth and firm' },
    ],
  },
  nockingPoint: {
    ink: `${piece.nock}M420 124H580V144H420M580 124L606 134L580 144`,
    // The square clipped to the string, its edge under the arrow.
    thin: `${string}M268 176H300V206H268ZM300 186H600V198H300ZM340 186v6M380 186v6M420 186v6M460 186v6M500 186v6M540 186v6`,
    red: upright(470, 144, 186),
    labels: [
      { x: 484, y: 171, text: 'above square' },
      { x: 310, y: 222, text: 'bow square on the string' },
    ],
  },
  nockSets: {
    ink: 'M300 106H440V162H300C288 162 284 156 284 150H306V118H284C284 112 288 106 300 106Z',
    thin: `${string}M268 74h32M268 81h32M268 88h32M268 178h32M268 185h32M268 192h32M268 199h32M268 206h32`,
    red: 'M240 92H262M240 106H262M250 80V92M246 87L250 92L254 87M250 118V106M246 111L250 106L254 111',
    labels: [
      { x: 314, y: 86, text: 'over: fewer wraps' },
      { x: 314, y: 198, text: 'under: more wraps' },
      { x: 230, y: 104, text: 'one thread of slack', end: true },
    ],
  },
  loop: {
    ink: `M284 96h-14v12h14M284 162h-14v12h14M270 102C206 96 206 174 270 168${piece.nock}M420 124H600V144H420M96 112H178L204 126V144L178 158H96ZM204 128H222V142H204`,
    thin: string,
    red: 'M60 135H600M70 129L60 135L70 141',
    labels: [
      { x: 96, y: 98, text: 'release' },
      { x: 208, y: 204, text: 'loop' },
      { x: 410, y: 112, text: 'in line with the arrow' },
    ],
  },
  nockFit: {
    ink: `${piece.nock}M420 124H600V144H420`,
    thin: `${string}M276 92H292M276 96H292M276 172H292M276 176H292`,
    red: 'M262 108C236 116 236 152 262 160M254 152L263 160L252 165',
    labels: [
      { x: 226, y: 140, text: 'the string turns free', end: true },
      { x: 420, y: 172, text: 'the arrow stays' },
    ],
  },
  restTiming: {
    ink: 'M60 98H560V118H60ZM60 98L78 74H132L146 98M60 118L78 142H132L146 118M560 98L590 108L560 118M296 196H356V244H296ZM326 196L352 134M340 118L352 134L370 122',
    thin: `${circle(326, 204, 7)}M326 204L392 196M380 184L392 196L384 210M330 212C380 236 440 232 500 190M500 150V262M510 150V262`,
    red: 'M378 140C392 152 396 166 394 182M387 174L394 183L400 173',
    labels: [
      { x: 408, y: 160, text: 'down before the vanes' },
      { x: 522, y: 240, text: 'cord' },
      { x: 286, y: 232, text: 'rest', end: true },
    ],
  },
  clicker: {
    ink: `M60 118H500V138H60ZM500 118L540 128L500 138M484 40V112L500 124M476 40H500V56H476ZM420 262V214C420 196 440 190 470 190H540`,
    thin: 'M484 112L472 108M470 190V138M528 60V190',
    red: 'M470 92C452 98 446 108 446 116M439 108L446 117L453 108',
    labels: [
      { x: 432, y: 90, text: 'falls as the point passes', end: true },
      { x: 508, y: 54, text: 'blade' },
      { x: 440, y: 250, text: 'riser' },
    ],
  },
  peep: {
    ink: `${circle(310, 135, 56)}${circle(310, 135, 30)}M300 12C300 50 270 70 266 96M320 12C320 50 350 70 354 96M300 258C300 220 270 200 266 174M320 258C320 220 350 200 354 174`,
    thin: 'M306 6V26M314 6V26M306 244V264M314 244V264M298 34h24M298 40h24M298 230h24M298 236h24',
    red: 'M378 96C394 120 394 150 378 174M374 162L378 175L390 168',
    labels: [
      { x: 402, y: 140, text: 'degrees away from the eye' },
      { x: 236, y: 140, text: 'open to the eye', end: true },
    ],
  },
  firstAxis: {
    ink: sightBehind,
    thin: `${level(278, 20)}M308 256V264`,
    red: 'M308 60V250M301 70L308 60L315 70',
    labels: [
      { x: 346, y: 34, text: 'level held to the bar' },
      { x: 270, y: 160, text: 'bar vertical, bow plumb', end: true },
    ],
  },
  secondAxis: {
    ink: sightBehind,
    thin: 'M308 40V240',
    red: `M352 196H476M414 184V208${circle(414, 196, 5)}`,
    labels: [
      { x: 486, y: 142, text: 'housing' },
      { x: 486, y: 202, text: 'its bubble level' },
      { x: 270, y: 160, text: 'while the bar is plumb', end: true },
    ],
  },
  thirdAxis: {
    // The bow leaned down the hill; the housing seen from the side, square to the line of sight.
    ink: `M196 246L236 168L246 150C240 140 250 126 258 128L298 50M250 122L360 138M350 104L372 172L384 168L362 100Z${circle(96, 92, 12)}M106 86L114 90L106 96`,
    thin: 'M40 262L600 262M280 262L600 150',
    red: 'M114 94L560 186M548 178L560 186L547 190M368 146L382 149L379 162',
    labels: [
      { x: 66, y: 70, text: 'eye' },
      { x: 396, y: 126, text: 'square to the line of sight' },
      { x: 186, y: 214, text: 'leaned and clamped', end: true },
      { x: 470, y: 240, text: 'up and down hill' },
    ],
  },
};

/** A bow without cams has its own outline, and its own parts to look at. */
const withoutCams: Record<string, MeasureShapes> = {
  inspection: {
    ink: plain.ink,
    thin: `${plain.thin}M282 66L404 60M312 136L404 140`,
    red: `${circle(270, 66, 13)}${circle(270, 204, 13)}${circle(300, 135, 15)}${circle(236, 135, 10)}`,
    labels: [
      { x: 410, y: 65, text: 'limbs without cracks' },
      { x: 410, y: 145, text: 'grip sound, all tight' },
      { x: 214, y: 140, text: 'string whole', end: true },
    ],
  },
  drawWeight: {
    ink: `M352 26C366 60 420 84 424 135C420 186 366 210 352 244M352 26L196 135L352 244M418 116V154M412 116V154${bowScale.ink}`,
    thin: bowScale.thin,
    red: bowScale.red,
    labels: [
      { x: 62, y: 212, text: 'scale hooked to the string' },
      { x: 440, y: 140, text: 'let down slowly' },
    ],
  },
  braceHeight: {
    ink: plain.ink,
    thin: `${plain.thin}M230 124H306V130H230ZM228 114V146`,
    red: across(142, 238, 302),
    labels: [
      { x: 400, y: 146, text: 'deepest point of the grip' },
      { x: 218, y: 146, text: 'to the string, square', end: true },
    ],
  },
  tiller: {
    ink: plain.ink,
    thin: plain.thin,
    red: `${across(92, 236, 284)}${across(178, 236, 284)}`,
    labels: [
      { x: 224, y: 97, text: 'top', end: true },
      { x: 224, y: 183, text: 'bottom', end: true },
      { x: 400, y: 140, text: 'top less bottom' },
    ],
  },
};

export const measureShapes = (kind: string, bow: string): MeasureShapes | null =>
  (bow === 'compound' ? undefined : withoutCams[kind]) ?? shapes[kind] ?? null;
