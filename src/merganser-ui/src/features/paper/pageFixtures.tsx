import { Route, Routes } from 'react-router';
import { answering, show } from '../../testing/show';
import PaperPage from './PaperPage';

const adjuster = {
  kind: 'restHeight',
  name: 'Rest up/down',
  axis: 'height',
  stepUnit: 'click',
  position: 0,
  halves: false,
  lower: -60,
  upper: 60,
  needsPress: false,
  plus: 'Rest 1 click down',
  minus: 'Rest 1 click up',
  inchesPerStep: null,
  way: 'agreed' as const,
  seats: null,
};
const bow = {
  id: 'b',
  bow: { name: 'Own bow', kind: 'compound', hand: 'right' },
  adjusters: [adjuster],
  moves: [],
  units: null,
  line: 'compound',
};
const arrow = (id: string, name: string) => ({
  id,
  draft: { name },
  kept: { id: `${id}1`, number: 1, typed: { name } },
});
export const shot = (number: number, x: number) => ({
  id: `s${number}`,
  number,
  point: { x: 0, y: 0 },
  tail: { x, y: 0 },
  side: 'shootingSide',
  tear: { x, y: 0 },
  voidReason: null,
  doubtful: false,
  arrowNumber: null,
  words: null,
  shotAt: '2026-11-23T18:00:00Z',
});
export const set = (number: number, part: object = {}) => ({
  id: `set${number}`,
  number,
  distanceTyped: '3',
  distance: 3,
  fletched: false,
  groups: null,
  walk: null,
  sighting: null,
  ways: null,
  rangeTrial: null,
  nockEnd: null,
  purpose: 'session',
  arrowName: 'Light',
  startedAt: '2026-11-23T18:00:00Z',
  shots: [shot(1, 0.5)],
  headline: 'Tail right 0.50 in.',
  mean: {
    mean: { x: 0.5, y: 0 },
    radius: 0.2,
    spread: 0.1,
    count: 1,
    spreadAssumed: true,
    words: 'Tail right 0.50 in.',
  },
  figures: [],
  movesBefore: [],
  movesNotShown: 0,
  notesAfter: [],
  notesNotShown: 0,
  wayBack: [],
  ...part,
});
const stage = (distance: number, inWork: boolean) => ({
  words: `${distance} yd bare`,
  distance,
  fletched: false,
  planned: true,
  inWork,
  shots: 1,
  reading: null,
  chance: 0.5,
});
export const next = (action: string, button: string, part: object = {}) => ({
  sentence: `The next sentence: ${action}.`,
  reason: 'The reason.',
  action,
  button,
  alternative: 'I accept this',
  alternativeAction: 'accept',
  ...part,
});
export const paper = (part: object = {}) => ({
  id: 'p',
  bowId: 'b',
  arrowVersionId: 'a1',
  arrowName: 'Light',
  arrowVersionNumber: 1,
  vaneCount: 3,
  tolerance: 0.25,
  startedAt: '2026-11-23T18:00:00Z',
  acceptedAt: null,
  plan: {
    kind: 'tune',
    school: 'centreFirst',
    stages: [stage(3, true), stage(6, false)],
    nextStage: null,
    arrowNumbers: [],
    stillToShoot: [],
  },
  sets: [set(1)],
  advice: {
    kind: 'shootMore',
    sentence: 'Shoot one more.',
    reason: 'It is close.',
    move: null,
    disputed: null,
    runnerUp: null,
    evidence: [],
    ghosts: [],
    chance: 0.4,
    enough: 0.97,
    chanceAfter: null,
  },
  readings: [],
  ladder: { wanted: false, rungs: [], next: null },
  lastMoves: [],
  formSchools: [],
  trial: null,
  spineCheck: null,
  next: next('mark', 'Mark a shot'),
  version: 1,
  ...part,
});

const choices = {
  stages: [{ code: 'three', words: '3 yd', stages: [{ distance: 3, fletched: false }] }],
  sizes: [],
  beforeYouShoot: [],
  beforeGroups: [],
};

export function open(papers: unknown[], more: Record<string, unknown> = {}, path = '/bows/b/paper') {
  const asked = answering({
    '/api/bows/b/papers/newest': { paper: papers[0] ?? null },
    '/api/bows/b/arrows': [arrow('a', 'Light'), arrow('c', 'Heavy')],
    '/api/bows/b/dozens': { dozens: [], earlier: null },
    '/api/bows/b': bow,
    '/api/bows/b/paper-choices': choices,
    '/api/rack': { bows: [], next: next('', '') },
    ...more,
  });
  show(
    <Routes>
      <Route path="/bows/:bowId/paper" element={<PaperPage />} />
      <Route path="/" element={<h1>The rack</h1>} />
    </Routes>,
    path,
  );
  return asked;
}
export const posted = (asked: ReturnType<typeof open>, end: string) =>
  asked.find((a) => a.method === 'POST' && a.path.endsWith(end))?.body;
