import type { Schemas } from '../../api/client';
import type { Quantity } from '../../units/units';

export type Answers = Schemas['FirstAnswers'];
export type Kind = Answers['kind'];
export const kinds = {
  compound: 'Compound',
  recurve: 'Recurve',
  barebow: 'Barebow',
  longbow: 'Longbow',
} satisfies Record<Kind, string>;
export const hands = { right: 'Right hand', left: 'Left hand' } satisfies Record<Answers['hand'], string>;
/** Each of them with its words. */
export const entriesOf = <K extends string>(words: Record<K, string>) => Object.entries(words) as [K, string][];

/** What is asked by typing or by one of a few keys. */
export type Asked = 'drawWeight' | 'drawLength' | 'spine' | 'cutLength' | 'point';
export type QuestionName = 'kind' | Asked | 'hole';
export type Step = 1 | 2 | 3;

export interface Question {
  name: QuestionName;
  step: Step;
  /** In the list of answers. */
  label: string;
  /** As it is asked. */
  asks: string;
  quantity: Quantity;
  /** Where it stands, or what is meant. */
  hint: string;
  /** What is usual, to press; each as it is typed. */
  usual: string[];
  /** How a range is typed. */
  range: string;
  /** What may be typed in its place or beside it. */
  beside?: { name: 'armSpan' | 'grainsPerInch'; label: string; quantity: Quantity; hint: string };
}

const weights: Record<Kind, string[]> = {
  compound: ['40 to 50', '50 to 60', '60 to 70'],
  recurve: ['22', '26', '30', '36'],
  barebow: ['22', '26', '30', '36'],
  longbow: ['35', '40', '45', '50'],
};

const weightPlaces: Record<Kind, string> = {
  compound: 'on the limb, as a range in pounds',
  recurve: 'on the lower limb, beside the length of the bow',
  barebow: 'on the lower limb, beside the length of the bow',
  longbow: 'above the grip or on the belly of the limb',
};

/** What is asked, in order, of this kind of bow. */
export function questionsFor(kind: Kind): Question[] {
  return [
    {
      name: 'kind',
      step: 1,
      label: 'Kind and hand',
      asks: 'What kind of bow is it, and which hand draws it?',
      quantity: 'number',
      hint: 'The hand that pulls the string.',
      usual: [],
      range: '',
    },
    {
      name: 'drawWeight',
      step: 1,
      label: 'Draw weight',
      asks: 'What draw weight is printed on it?',
      quantity: 'drawWeight',
      hint: weightPlaces[kind],
      usual: weights[kind],
      range: '60 to 70 too',
    },
    {
      name: 'drawLength',
      step: 1,
      label: 'Draw length',
      asks: kind === 'compound' ? 'What draw length is printed on it?' : 'How far is it drawn?',
      quantity: 'length',
      hint:
        kind === 'compound'
          ? 'on the cam or its module; the arm span, fingertip to fingertip, gives an estimate'
          : 'not printed: the arm span, fingertip to fingertip, gives an estimate',
      usual: [],
      range: '28 to 29 too',
      beside: { name: 'armSpan', label: 'or arm span', quantity: 'length', hint: 'divided by 2.5' },
    },
    {
      name: 'spine',
      step: 2,
      label: 'Number',
      asks: 'Which number is on the shaft?',
      quantity: 'number',
      hint: 'It says how stiff the shaft is; four digits on aluminium, pounds on wood.',
      usual: kind === 'compound' ? ['250', '300', '340', '400', '500'] : ['500', '600', '700', '800', '1000'],
      range: '340 to 400 too',
      beside: { name: 'grainsPerInch', label: 'Weight per length', quantity: 'massPerLength', hint: 'if printed' },
    },
    {
      name: 'cutLength',
      step: 2,
      label: 'Length',
      asks: 'How long is it, from the nock’s throat to the end of the shaft?',
      quantity: 'length',
      hint: 'without the point',
      usual: [],
      range: '28 to 29 too',
    },
    {
      name: 'point',
      step: 2,
      label: 'Point',
      asks: 'What does the point weigh?',
      quantity: 'weight',
      hint: 'often printed on the point',
      usual: ['85', '100', '125'],
      range: '100 to 125 too',
    },
    {
      name: 'hole',
      step: 3,
      label: 'First hole',
      asks: 'Shoot one arrow through paper and press the hole like yours.',
      quantity: 'number',
      hint: '',
      usual: [],
      range: '',
    },
  ];
}

export const steps: Record<Step, string> = {
  1: 'The bow, as it is printed',
  2: 'The arrow, by its shaft',
  3: 'The first hole in paper',
};

/** A pressed hole: where the tail went from the point's hole, −1 to 1 each way. */
export interface Pressed {
  x: -1 | 0 | 1;
  y: -1 | 0 | 1;
}

const heights = { 1: 'high', 0: '', [-1]: 'low' } as const;
const sides = { [-1]: 'left', 0: '', 1: 'right' } as const;

/** The nine of them, as they lie. */
export const holes: Pressed[] = ([1, 0, -1] as const).flatMap((y) => ([-1, 0, 1] as const).map((x) => ({ x, y })));

export function holeWords({ x, y }: Pressed): string {
  if (!x && !y) return 'one hole';
  return x && y ? `${heights[y]} ${sides[x]}` : `tail ${heights[y]}${sides[x]}`;
}

/** A pressed hole of a size as it is said to the bench, always by the tail. */
export function saidHole({ x, y }: Pressed, size: string): Schemas['ShooterWords'] {
  return {
    sideways: x ? size : null,
    left: x < 0,
    sidewaysEnd: 'tail',
    height: y ? size : null,
    low: y < 0,
    heightEnd: 'tail',
  };
}
