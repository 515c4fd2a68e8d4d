import type { Schemas } from '../../api/client';
import { only, sent } from '../../testing/fixtures';
import type { Paper, ShotSet } from './paperTypes';

export const arrows: Schemas['ArrowRow'][] = [
  only<Schemas['ArrowRow']>({
    id: 'a',
    draft: only<Schemas['ArrowDraft']>({ name: 'Island' }),
    kept: only<Schemas['ArrowVersion']>({
      id: 'v1',
      number: 2,
      typed: only<Schemas['ArrowDraft']>({ name: 'Island' }),
    }),
  }),
  only<Schemas['ArrowRow']>({ id: 'b', draft: only<Schemas['ArrowDraft']>({ name: 'Draft' }), kept: null }),
];

export const advice = (part: Partial<Paper['advice']> = {}): Paper['advice'] => ({
  ...sent.paper.advice,
  kind: 'move',
  sentence: 'Rest 4 clicks up, then shoot two.',
  reason: 'All agree: tail high, rest up.',
  move: only<NonNullable<Paper['advice']['move']>>({
    kind: 'restHeight',
    from: 0,
    to: -4,
    order: 'Rest 4 clicks up',
    needsPress: false,
    after: 'Shoot again.',
  }),
  disputed: null,
  runnerUp: 'Nocking point: would leave more.',
  evidence: [{ statement: 'Holes are alike.', because: 'Spread .1 in.', wouldOverturn: 'A changed grip' }],
  ghosts: [],
  chance: 0.004,
  enough: 0.97,
  chanceAfter: 0.62,
  ...part,
});

export const set = (number: number, part: Partial<ShotSet> = {}): ShotSet => ({
  ...sent.paper.sets[0]!,
  id: `set${number}`,
  number,
  shots: [],
  mean: null,
  figures: [],
  movesBefore: [],
  movesNotShown: 0,
  notesAfter: [],
  notesNotShown: 0,
  wayBack: [],
  ...part,
});

export const paper = (part: Partial<Paper> = {}): Paper => ({
  ...sent.paper,
  id: 'p',
  sets: [set(1)],
  advice: advice(),
  next: { ...sent.paper.next, action: 'madeMove', sentence: '', reason: '', button: '' },
  readings: [],
  trial: null,
  spineCheck: null,
  plan: { ...sent.paper.plan, stages: [], arrowNumbers: [] },
  ladder: { ...sent.paper.ladder, wanted: false, rungs: [], next: null },
  ...part,
});
