/** Every word of the trade that the screens use, in plain words. A drawing is a path in a box of 160 by 60. */
export interface GlossaryTerm {
  name: string;
  word: string;
  means: string;
  drawing?: string;
}

const arrow = 'M8 30H140M140 24l14 6-14 6zM16 30l6-12h16l8 12M8 26v8';
const bow = 'M50 6c30 12 34 36 34 24s-4 12-34 24M50 6V54';

export const terms: GlossaryTerm[] = [
  {
    name: 'shaft',
    word: 'Shaft',
    means: 'The tube of the arrow, from the nock’s end to the end that carries the point.',
    drawing: arrow,
  },
  {
    name: 'cutLength',
    word: 'Cut length',
    means: 'From the throat of the nock, where the string sits, to the end of the shaft. The point is left out.',
    drawing: `${arrow}M8 48H140M8 42v12M140 42v12`,
  },
  {
    name: 'frontOfCenter',
    word: 'Front of center (FOC)',
    means: 'How far the balance point lies ahead of the middle of the arrow, in per cent of its length.',
    drawing: `${arrow}M74 20v30M96 34l-6 14h12zM76 54H94`,
  },
  {
    name: 'balancePoint',
    word: 'Balance point',
    means: 'Where the finished arrow balances, from the nock throat.',
    drawing: `${arrow}M96 34l-8 18h16z`,
  },
  {
    name: 'grainsPerPound',
    word: 'Weight per draw weight',
    means:
      'Grains of arrow for each pound of draw weight. Under 5 the bow takes too much of its own energy and can break.',
  },
  {
    name: 'spine',
    word: 'Static spine',
    means:
      'How far a shaft bends under a set weight: 1.94 lb at the middle of 28 in (ASTM). A smaller figure is a stiffer shaft.',
    drawing: 'M12 20Q80 56 148 20M12 20v14M148 20v14M80 38v16M74 48l6 8 6-8',
  },
  {
    name: 'neededSpine',
    word: 'Needed spine',
    means: 'The static spine that this bow asks of an arrow of this length and front weight.',
  },
  {
    name: 'fit',
    word: 'Fit',
    means: 'Needed spine over the shaft’s own. 1 is just right, below it the shaft is weak, above it stiff.',
    drawing: 'M10 26H150V40H10zM60 20v26M110 20v26M84 12l-6-10h12z',
  },
  {
    name: 'weakStiff',
    word: 'Weak and stiff',
    means: 'A weak shaft bends too much in the shot, a stiff one too little. Stiff is the safer side.',
  },
  {
    name: 'kineticEnergy',
    word: 'Kinetic energy',
    means: 'Half the mass times the speed squared: what the bow gave the arrow.',
  },
  {
    name: 'momentum',
    word: 'Momentum',
    means: 'Mass times speed. It grows with arrow weight while energy hardly does.',
  },
  {
    name: 'drawLength',
    word: 'Draw length (AMO)',
    means: 'From the string at full draw to the pivot point of the grip, plus 1 3/4 in.',
    drawing: `${bow}M20 30H84M20 24v12M84 24v12`,
  },
  {
    name: 'drawWeight',
    word: 'Draw weight',
    means:
      'The most that the string pulls on its way back, on a scale. The marking on the limb can be several pounds off.',
  },
  {
    name: 'braceHeight',
    word: 'Brace height',
    means: 'From the deepest point of the grip to the string at rest.',
    drawing: `${bow}M50 30H84M50 24v12M84 24v12`,
  },
  {
    name: 'axleToAxle',
    word: 'Axle to axle',
    means: 'Between the axles of the two cams of a compound.',
    drawing: `${bow}M110 6V54M104 6h12M104 54h12`,
  },
  {
    name: 'bowLength',
    word: 'Bow length',
    means: 'From tip to tip along the strung limbs, as the maker names it.',
    drawing: bow,
  },
  {
    name: 'powerStroke',
    word: 'Power stroke',
    means: 'The way on which the string pushes the arrow: draw length less 1 3/4 in less brace height.',
  },
  {
    name: 'ratedSpeed',
    word: 'Rated speed',
    means: 'The maker’s speed with a 350 gr arrow at 70 lb and 30 in. Real bows come in lower.',
  },
  {
    name: 'virtualMass',
    word: 'Virtual mass',
    means: 'What string and limbs weigh on the arrow’s speed, as if it were a weight added to the arrow.',
  },
  { name: 'letOff', word: 'Let-off', means: 'By how much the pull of a compound drops at full draw.' },
  {
    name: 'centreShot',
    word: 'Centre shot',
    means: 'How far the arrow stands from the riser: 13/16 in is the usual start, if the maker says nothing.',
    drawing: 'M20 44H140M40 44V54M120 44V54M20 16H140M80 16V44M74 22l6-6 6 6M74 38l6 6 6-6',
  },
  {
    name: 'rest',
    word: 'Rest',
    means:
      'What carries the arrow at the bow. A drop-away falls as the arrow leaves; early or late makes a difference.',
  },
  {
    name: 'nockingPoint',
    word: 'Nocking point',
    means: 'Where the nock sits on the string. Its height steers the tail up and down.',
    drawing: 'M60 4V56M60 30H140M54 20h12M54 40h12',
  },
  {
    name: 'cam',
    word: 'Cams',
    means: 'The wheels of a compound. Twin cams have two yokes, single and hybrid one, binary usually none.',
  },
  {
    name: 'camDraw',
    word: 'Soft and hard cams',
    means:
      'How fast the pull rises. Hard cams act like about 5 % more draw weight on the arrow, soft ones like 5 % less.',
  },
  {
    name: 'yoke',
    word: 'Yoke',
    means:
      'The two legs in which a cable ends at the axle. One leg shorter and the other longer leans the cam toward the shorter one.',
    drawing: 'M80 56V34M80 34L56 6M80 34L104 6M50 6h60',
  },
  {
    name: 'spacer',
    word: 'Cam spacers',
    means: 'Rings beside the cam that set where it runs. The first move is to swap the pair already fitted.',
  },
  {
    name: 'limbPocket',
    word: 'Limb pocket',
    means: 'The seat of the limb; on some bows its screws tilt the limbs. The maker’s sheet says which way.',
  },
  {
    name: 'plunger',
    word: 'Plunger',
    means: 'A sprung button beside the rest. A stiffer spring makes the arrow act stiffer.',
    drawing: 'M20 30H60M60 20V40M60 30l6-8 8 16 8-16 8 16 6-8M96 18V42H130V18z',
  },
  {
    name: 'crawl',
    word: 'Crawl',
    means:
      'How far below the nock a string walker’s hand takes the string: longer for a near target, none at the point-on distance.',
    drawing: 'M40 4V56M36 20h8M20 20h12M20 40h12M24 20V40M44 36h14v12H44',
  },
  {
    name: 'tiller',
    word: 'Tiller',
    means: 'The difference between string and limb, top against bottom.',
    drawing: `${bow}M50 16H72M50 44H72`,
  },
  {
    name: 'bowFactor',
    word: 'Bow factor',
    means: 'A multiplier on the draw weight in the spine rule, for soft and hard cams, fingers and shelves.',
  },
  {
    name: 'stringWeight',
    word: 'Weight on the string',
    means: 'Peep, loop, silencers. It slows the arrow more the nearer it sits to the nocking point.',
  },
  {
    name: 'camLean',
    word: 'Cam lean',
    means: 'How far a cam is tipped to the side against the string. A little at rest is deliberate; the yokes set it.',
  },
  {
    name: 'camTiming',
    word: 'Timing',
    means: 'Whether the cams of a compound reach their stops together. A late one lifts or drops the nock.',
  },
  {
    name: 'drawBoard',
    word: 'Draw board',
    means:
      'A frame with a winch that draws a bow slowly, so that cams and rest can be looked at. Never let go from it.',
  },
  {
    name: 'dLoop',
    word: 'D-loop',
    means: 'A short cord tied to the string around the nock, for the release aid.',
  },
  {
    name: 'peep',
    word: 'Peep',
    means: 'A small ring in the string that a compound archer looks through. It has to turn square to the eye.',
  },
  {
    name: 'nockSets',
    word: 'Nock sets',
    means: 'Knots or rings on the string that hold the nock at its height. Too tight and they pinch it at full draw.',
  },
  {
    name: 'serving',
    word: 'Serving',
    means: 'Thread wound around the string where it wears: at the nock, the ends and the cables.',
  },
  {
    name: 'clicker',
    word: 'Clicker',
    means: 'A thin blade on a recurve that drops off the point with a click at the same draw every time.',
  },
  {
    name: 'runOut',
    word: 'Run-out',
    means: 'How far a shaft swings when it is spun: twice what it is bent there, read on a dial.',
  },
  {
    name: 'insert',
    word: 'Insert',
    means: 'The part glued into the front of a shaft that a point is screwed into.',
  },
  {
    name: 'walkBack',
    word: 'Walk-back',
    means: 'The same sight setting shot from several distances: hits that drift to one side ask for the rest.',
  },
  {
    name: 'clearance',
    word: 'Clearance',
    means: 'That vanes and shaft touch neither rest nor riser nor cables on the way out. Powder on them shows it.',
  },
  {
    name: 'tear',
    word: 'Tear',
    means:
      'From the point’s round hole to the cuts of the vanes, as the archer sees it. It is always named by the tail.',
    drawing: 'M40 30a8 8 0 1 0 16 0a8 8 0 1 0-16 0M56 28L112 26V34L56 32M112 30L96 8M112 30L136 26M112 30L100 54',
  },
  {
    name: 'tail',
    word: 'Tail and point',
    means: 'Tail is the nock end of the arrow, point the front end.',
    drawing: arrow,
  },
  {
    name: 'inOut',
    word: 'In and out',
    means: 'Toward and away from the riser: out is left on a right-handed bow and right on a left-handed one.',
  },
  { name: 'bare', word: 'Bare shaft', means: 'An arrow without vanes. It shows more than a fletched one.' },
  {
    name: 'mean',
    word: 'Mean and region',
    means: 'The middle of several tears. The ring around it holds the true middle with 95 %.',
    drawing: 'M60 30a20 20 0 1 0 40 0a20 20 0 1 0-40 0M72 30H88M80 22V38',
  },
  {
    name: 'chance',
    word: 'Chance of being inside',
    means:
      'How sure it is that the true mean tear lies inside the tolerance, not only the mean of the shots that happened to be shot.',
  },
  {
    name: 'learned',
    word: 'Learned response',
    means:
      'What one step of an adjuster has been seen to do on this bow, and how sure that is. It belongs to a distance, bare or fletched, and an arrow.',
  },
  {
    name: 'doubted',
    word: 'Doubted shot',
    means: 'A shot that counts, but for less: it is as likely a flyer as not. A void shot does not count at all.',
  },
  {
    name: 'control',
    word: 'Control',
    means: 'A few shots with one thing changed and the bow left alone: another arrow, a changed grip, another archer.',
  },
  {
    name: 'trial',
    word: 'Trial',
    means: 'Several arrows through paper in one sitting, the bow untouched: which of them need no move.',
  },
  {
    name: 'nockTune',
    word: 'Nock tune',
    means: 'A shaft is turned on its nock a vane step at a time until it flies straight, and the step is marked.',
    drawing: 'M60 30a20 20 0 1 0 40 0a20 20 0 1 0-40 0M72 30H88M80 4v8M57 43l-7 4M103 43l7 4',
  },
  { name: 'spread', word: 'Spread', means: 'How far single shots stray from their mean, to each side.' },
  {
    name: 'tolerance',
    word: 'Tolerance',
    means: 'How close to one clean hole is good enough: a quarter inch is usual, an eighth strict.',
  },
  {
    name: 'school',
    word: 'School',
    means: 'What to touch first for a tear to the side. The trade knows four answers; you choose yours.',
  },
  {
    name: 'press',
    word: 'Press',
    means:
      'A bench tool that bends a compound’s limbs so that strings and cables come loose. Only the right one, by its manual.',
  },
];

export const findTerm = (name: string) => terms.find((term) => term.name === name);
