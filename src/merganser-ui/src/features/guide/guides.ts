import type { guideShapes } from '../../drawing/guide';

/** A step of a guide: what is done, what the program answers, and where. */
interface Step {
  does: string;
  says: string;
  /** Below a bow, or from the root. */
  to?: string;
  key?: string;
}

export interface Guide {
  name: keyof typeof guideShapes;
  who: string;
  wants: string;
  steps: Step[];
  /** What this person leaves alone. */
  leaves: string;
}

/** The first questions on an empty bench, a new bow on any other. */
export const FIRST = 'first';

/** Five people, each with the job as they do it. */
export const guides: Guide[] = [
  {
    name: 'beginner',
    who: 'A beginner at home',
    wants: 'Does this arrow suit the bow, and what is the one thing to do next?',
    steps: [
      {
        does: 'Type what is printed on the bow and on the shaft. “I don’t know” is an answer.',
        says: 'Weight, fit and what would narrow them most, each with the band that your answers leave.',
        to: FIRST,
        key: 'To the bow',
      },
      {
        does: 'Shoot one arrow through paper from 3 yards, a backstop behind it and nobody in front of the line.',
        says: 'Press where the point and the tail went through: the tear is read.',
        to: 'paper',
        key: 'To the paper',
      },
      {
        does: 'Do the one thing at the foot of the page, then shoot again.',
        says: 'It is one move at a time, or one more shot. Each says why, and what would change it.',
      },
      {
        does: 'Stop when it says good enough, or that this needs a shop.',
        says: 'The card goes along: how the bow stands and what was tried.',
        to: 'bow?way=card',
        key: 'To the card',
      },
    ],
    leaves: 'Limb bolts beyond the manual, cables, axles and modules: those are for the right press, or a shop.',
  },
  {
    name: 'tuner',
    who: 'A keen tuner at home',
    wants: 'The last tenth: broadheads that land with field points, and nothing forgotten.',
    steps: [
      {
        does: 'Walk down the work order: weight, axle to axle, brace height, timing, centre shot.',
        says: 'What follows a change is asked again by itself.',
        to: 'bow',
        key: 'To the work order',
      },
      {
        does: 'Weigh the shafts, points and nocks one by one, then match the dozen.',
        says: 'The closest dozen that these pieces can make, and what stays over.',
        to: 'dozen',
        key: 'To the dozen',
      },
      {
        does: 'Bare shafts through paper, then bare against fletched at 20 yards.',
        says: 'Each move with its chance, and what this bow taught so far.',
        to: 'paper',
        key: 'To the paper',
      },
      {
        does: 'Heads against field points last: leave, move the sight, or tune.',
        says: 'The map shows which of the three, and how sure that is.',
        to: 'groups',
        key: 'To the groups',
      },
      {
        does: 'Mark it as shot well. When it is not any more, ask the story what changed.',
        says: 'The moves that lead back, ready to log.',
        to: 'story',
        key: 'To the story',
      },
    ],
    leaves: 'Two moves at once: then nobody knows which one did it.',
  },
  {
    name: 'technician',
    who: 'A technician at a shop or a club bench',
    wants: 'A work order that is the same each time, and a record for the next visit.',
    steps: [
      {
        does: 'The bow comes in: begin a visit, type what its owner wants.',
        says: 'How it stands is kept as found, and stays so.',
        to: 'visit',
        key: 'To its visits',
      },
      {
        does: 'Work the order down, at the press and at the paper.',
        says: 'Findings, moves and tears write themselves on the sheet.',
        to: 'bow',
        key: 'To the work order',
      },
      {
        does: 'Parts and labour, if they are counted.',
        says: 'They are added up; a price may be left out.',
        to: 'visit?show=parts',
        key: 'To the parts',
      },
      {
        does: 'Hand it over: what to watch at home, and when it comes again.',
        says: 'The card is made from what differs. The next visit goes on the plan.',
        to: 'visit?show=handover',
        key: 'To the hand-over',
      },
    ],
    leaves: 'Guessing what stood there before: the last visit says it.',
  },
  {
    name: 'field',
    who: 'A target, field or 3D archer',
    wants: 'What changes when the arrow changes, without tuning all of it again.',
    steps: [
      {
        does: 'Enter the arrow that you have, then try one change at a time beside it.',
        says: 'Weight, balance, fit and speed of both, each with its working.',
        to: 'arrow',
        key: 'To the arrow',
      },
      {
        does: 'Fit the sight marks to a few that you know.',
        says: 'All distances between them, and a tape in true size.',
        to: 'groups?way=range&show=marks',
        key: 'To the marks',
      },
      {
        does: 'After the range, press the ends that you shot.',
        says: 'The string’s checks come due by themselves.',
        to: '/range-day',
        key: 'To the range day',
      },
      {
        does: 'Put the shoot on the plan.',
        says: 'Each bow with what it needs before that day, and the day from which nothing new goes on.',
        to: '/plan',
        key: 'To the plan',
      },
    ],
    leaves: 'A new arrow in the week before the shoot.',
  },
  {
    name: 'hunter',
    who: 'A bowhunter',
    wants: 'An arrow that goes through, and an honest farthest shot.',
    steps: [
      {
        does: 'Light, middle and heavy arrows beside each other.',
        says: 'Speed, energy, momentum and drop at your distances: rules of thumb, with their sources.',
        to: 'arrow?way=weights',
        key: 'To the weights',
      },
      {
        does: 'Spin the heads, weigh them, cover the quiver; use a wrench.',
        says: 'A head that wobbles is set aside before it is shot.',
        to: 'dozen?way=heads',
        key: 'To the heads',
      },
      {
        does: 'Heads against field points at 20 and 30 yards.',
        says: 'Leave, move the sight, or tune.',
        to: 'groups',
        key: 'To the groups',
      },
      {
        does: 'Guess distances, then measure them; type the circle that must be hit.',
        says: 'The farthest distance at which nineteen of twenty land inside, and what would stretch it.',
        to: 'groups?way=range',
        key: 'To the range',
      },
    ],
    leaves: 'Local law sets draw weight, heads and season: nothing here does.',
  },
];
