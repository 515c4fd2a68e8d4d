/** The pieces that the small drawings of the bench are put together from, each as a path. */

/** A dimension upright, an arrow at each end. */
export const upright = (x: number, y1: number, y2: number) =>
  `M${x} ${y1}V${y2}M${x - 6} ${y1 + 10}L${x} ${y1}L${x + 6} ${y1 + 10}M${x - 6} ${y2 - 10}L${x} ${y2}L${x + 6} ${y2 - 10}`;

/** A dimension across. */
export const across = (y: number, x1: number, x2: number) =>
  `M${x1} ${y}H${x2}M${x1 + 10} ${y - 6}L${x1} ${y}L${x1 + 10} ${y + 6}M${x2 - 10} ${y - 6}L${x2} ${y}L${x2 - 10} ${y + 6}`;

export const circle = (x: number, y: number, r: number) =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`;

/** A cam on its axle, with its module. */
export const cam = (x: number, y: number) =>
  `${circle(x, y, 16)}${circle(x, y, 3)}M${x - 6} ${y - 13}C${x + 8} ${y - 8} ${x + 9} ${y + 8} ${x - 4} ${y + 14}`;

/** A bow scale with its ring and dial, hooked to a string that comes to (196, 135); its pull in red. */
export const bowScale = {
  ink: `M196 135c-14 0 -18 10 -10 14M108 112H170V160H108ZM92 136H108${circle(84, 136, 8)}`,
  thin: circle(139, 136, 18),
  red: `M139 136L150 124${across(186, 84, 170)}`,
};

/** A steel rule, standing. */
export const ruler = (x: number, y1: number, y2: number) => {
  const marks = Array.from({ length: Math.floor((y2 - y1) / 18) }, (_, i) => `M${x} ${y1 + 9 + 18 * i}h5`);
  return `M${x} ${y1}H${x + 14}V${y2}H${x}Z${marks.join('')}`;
};

/** A spirit level, 60 wide. */
export const level = (x: number, y: number) =>
  `M${x} ${y}h60v16h-60ZM${x + 20} ${y + 4}h20v8h-20ZM${x + 30} ${y + 4}v8`;

/** A compound from the side, the archer to its left: cams, limbs in their pockets, riser with grip and shelf, rest, sight; its string, cables and their guard. */
export const compound = {
  ink: [
    cam(250, 36),
    cam(250, 234),
    'M258 48C268 66 280 78 298 88M246 53C258 74 272 88 290 98',
    'M258 222C268 204 280 192 298 182M246 217C258 196 272 182 290 172',
    'M288 98L300 83L320 92L312 106ZM288 172L300 187L320 178L312 164Z',
    'M312 106C322 112 320 118 312 120H300V126C312 128 316 134 310 144C306 152 312 160 312 164',
    'M320 92C338 104 340 116 328 128C322 138 326 150 324 160L320 178',
    'M300 120L292 114M292 110V116M330 108H372M372 98V118',
    circle(386, 108, 14),
    'M386 100V116',
  ].join(''),
  thin: 'M234 36V234M254 40L246 230M246 40L254 230M262 130H312M256 126V134',
};

/** A bow without cams from the side: limbs, riser with its grip, string. */
export const plain = {
  ink: 'M236 18C240 30 250 44 262 58C280 78 296 92 300 112C306 118 302 126 298 135C302 144 306 152 300 158C296 178 280 192 262 212C250 226 240 240 236 252M242 18C248 32 258 44 270 56C290 76 306 92 312 110C318 128 318 142 312 160C306 178 290 194 270 214C258 226 248 238 242 252',
  thin: 'M238 20V250',
};

/** The string at the nocking point, twice its width. */
export const string = 'M276 16V254M292 16V254';

/** A nock on the string, and the end of its shaft. */
export const nock = 'M300 118H420V150H300L286 142V138H300V130H286V126z';

/** An arrow from above, nock to the left. */
export const arrowFromAbove =
  'M104 120H560V138H104ZM104 124L92 122V126H98V132H92V136L104 134M112 120L128 98H172L182 120M112 138L128 160H172L182 138M560 120L590 129L560 138';

/** A sight from behind: the elevation bar with its scale, the round housing with pins and level. */
export const sightBehind = [
  'M296 44H320V240H296Z',
  ...Array.from({ length: 9 }, (_, i) => `M296 ${64 + 20 * i}h${i % 2 === 0 ? 10 : 6}`),
  'M320 134H358V150H320',
  circle(414, 142, 56),
  circle(414, 142, 47),
  'M414 96V126M408 126H420M414 126V134M392 188H436V204H392Z',
].join('');
