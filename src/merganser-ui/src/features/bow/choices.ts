import type { Choice } from '../../parts/Field';

/** What a choice is called. */
export const labelOf = (choices: Choice[], value: string | null | undefined): string =>
  choices.find((choice) => choice.value === value)?.label ?? '';

export const hands: Choice[] = [
  { value: 'right', label: 'Right-handed' },
  { value: 'left', label: 'Left-handed' },
];

export const schools: Choice[] = [
  { value: 'centreFirst', label: 'Centre first' },
  { value: 'ladder', label: 'Ladder' },
  { value: 'restOnly', label: 'Rest only' },
  { value: 'walkBack', label: 'Walk-back' },
];

/** What each school touches first. */
export const schoolWords: Record<string, string> = {
  centreFirst: 'rest at centre; cams and yokes do the work',
  ladder: 'rest in its window, then yokes',
  restOnly: 'home bench: at its limit a shop goes on',
  walkBack: 'paper only starts it, the target decides',
};

export const kinds: Choice[] = [
  { value: 'compound', label: 'Compound' },
  { value: 'recurve', label: 'Recurve' },
  { value: 'barebow', label: 'Barebow' },
  { value: 'longbow', label: 'Longbow' },
];

export const releases: Choice[] = [
  { value: 'releaseAid', label: 'Release aid' },
  { value: 'fingers', label: 'Fingers' },
];

const compoundRests: Choice[] = [
  { value: 'dropAwayEarly', label: 'Drop-away, drops early' },
  { value: 'dropAwayLate', label: 'Drop-away, drops late' },
  { value: 'containment', label: 'Containment' },
  { value: 'launcher', label: 'Launcher blade' },
];

const fingerRests: Choice[] = [
  { value: 'plunger', label: 'Rest with plunger' },
  { value: 'shelf', label: 'Off the shelf' },
];

export const restsOf = (kind: string): Choice[] => (kind === 'compound' ? compoundRests : fingerRests);

export const cams: Choice[] = [
  { value: 'twinYoke', label: 'Twin cams with yokes' },
  { value: 'hybrid', label: 'Hybrid' },
  { value: 'single', label: 'Single' },
  { value: 'binary', label: 'Binary' },
  { value: 'none', label: 'Not known' },
];

export const camDraws: Choice[] = [
  { value: 'soft', label: 'Soft' },
  { value: 'medium', label: 'Medium' },
  { value: 'hard', label: 'Hard' },
];

export const practices: Choice[] = [
  { value: 'rarely', label: 'Rarely' },
  { value: 'weekly', label: 'About weekly' },
  { value: 'often', label: 'Several times a week' },
  { value: 'daily', label: 'Daily' },
];

export const experiences: Choice[] = [
  { value: 'beginner', label: 'Beginner, no press' },
  { value: 'keen', label: 'Keen home tuner' },
  { value: 'technician', label: 'Technician' },
];
