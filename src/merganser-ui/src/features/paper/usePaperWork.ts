import { useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../../api/client';
import { newestPaperQuery, paperChoicesQuery, useRefresh } from '../../api/queries';
import { QUEUED, useActs, type IsQueued } from '../../api/useActs';
import { bowScope, waitingOf, type EntryKind } from '../../api/outbox';
import type { Marking, Paper, Purpose, Shot } from './paperTypes';
import type { MoveTold } from '../../parts/MoveSteps';
import { moveWords } from '../../parts/moveWords';
import type { Plan } from './PaperPlan';
import { setNow } from './waits';
import { fieldUnit } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';

/** What is shot at a stage. */
export interface Kinds {
  fletched: boolean;
  atTarget: boolean;
  heads: boolean;
  walk: Schemas['WalkPins'] | null;
  sighting: boolean;
  ways: Schemas['TwoWays'] | null;
  /** How wrong the sight is set, yards. */
  rangeError: number | null;
  /** A bare shaft's nock end in a near target, marked as at the paper. */
  nockEnd: boolean;
}

export interface NextSet extends Kinds {
  distance: string;
  purpose?: Purpose;
  arrowVersionId?: string | null;
}

/** A sight's pin moved, inches: right and up as the archer sees it. */
type Pin = NonNullable<Schemas['SightMove']>;

/** The sight moved: as it was advised, as typed, or in a walk-back levelled or set by its hits. */
export interface MarkTold {
  pin?: Pin;
  typed?: { right: string; up: string };
  otherwise?: boolean;
}

/** How it is shot from here on, as typed. */
interface HowShot {
  wind: string;
  across: string;
  seated: boolean;
  /** Width of the face on the butt as typed; empty for plain rings. */
  face: string;
  rings: number;
  /** Each ring's own width as typed; empty for rings of one width. */
  ringsAcross: string;
  /** Bare shafts are taped to the weight of the vanes. */
  taped: boolean;
}

/** What stands beside a move: words, the entry it corrects, the set that it was made after. */
export interface MoveBeside {
  note?: string;
  corrects?: string | null;
  afterSetId?: string | null;
}

const markWords = (shot: Shot, reason: string | null, doubtful: boolean) =>
  `Shot ${shot.number} ${reason ? `void: ${reason}` : doubtful ? 'doubted' : 'counted'}`;

/** A distance as it was typed: a bare number has no unit of its own. */
const from = (distance: string, unit: string) =>
  /^[\d.,]+$/.test(distance.trim()) ? `${distance.trim()} ${unit}` : distance.trim();

const paperWords = ({ stages: [first] }: Plan, unit: string) =>
  `${first!.atTarget ? 'New groups' : 'A new paper'} from ${from(String(first!.distance), unit)}`;

/** The papers of a bow and every act on them. Each act has one id, so that trying it again is safe. */
export function usePaperWork(bowId: string) {
  const queries = useQueryClient();
  const refresh = useRefresh(bowId);
  const acts = useActs(`paper ${bowId}`);
  const newest = useQuery(newestPaperQuery(bowId));
  const choices = useQuery(paperChoicesQuery(bowId));

  const shown = (paper: Paper) => {
    queries.setQueryData(newestPaperQuery(bowId).queryKey, { paper });
    void queries.invalidateQueries({ queryKey: ['response', bowId] });
    refresh();
  };
  const act = async (what: string, call: (id: string) => Promise<Paper>): Promise<Paper | null> => {
    const paper = await acts.act(what, call);
    if (paper) shown(paper);
    return paper;
  };

  /** What goes on without a server: it waits in this browser, and the page stays as it is. */
  const actOrQueue = async (
    what: string,
    kind: EntryKind,
    words: string,
    call: (id: string) => Promise<Paper>,
    after?: string,
  ): Promise<Paper | IsQueued | null> => {
    const paper = await acts.actOrQueue(what, { scope: bowScope(bowId), kind, words, after }, call);
    if (paper && paper !== QUEUED) shown(paper);
    return paper;
  };

  const unit = fieldUnit('distance', useUnits());
  /** What waits of this bow in this browser, in order. */
  const waits = () => waitingOf(bowScope(bowId));
  const shotInto = (paper: Paper) => setNow(paper.sets.at(-1)!, waits()).id;

  return {
    newest,
    waits,
    choices,
    problem: acts.problem,
    busy: acts.busy,
    clear: acts.clear,
    unreachable: acts.unreachable,
    faults: acts.faults,
    start: (plan: Plan) =>
      actOrQueue(`paper ${JSON.stringify(plan)}`, 'paper', paperWords(plan, unit), (id) =>
        answer(
          api.POST('/api/papers', {
            body: {
              id,
              bowId,
              arrowVersionId: plan.arrowId,
              stages: plan.stages,
              tolerance: plan.tolerance,
              kind: plan.kind,
              school: plan.school,
              shotsPerDecision: plan.shotsPerDecision,
              byMachine: plan.byMachine,
              bothAxes: plan.bothAxes,
              dozenId: plan.dozenId,
              straight: plan.straight,
            },
          }),
        ),
      ),
    newSet: (paper: Paper, { purpose = 'session', arrowVersionId = null, ...stage }: NextSet) =>
      actOrQueue(
        `set ${paper.id} ${paper.version} ${JSON.stringify(stage)} ${purpose} ${arrowVersionId}`,
        'set',
        purpose === 'session'
          ? `${stage.atTarget ? 'Groups' : 'A set'} from ${from(stage.distance, unit)}`
          : 'A set to compare with',
        (id) =>
          answer(
            api.POST('/api/papers/{id}/sets', {
              params: { path: { id: paper.id } },
              body: { id, ...stage, purpose, arrowVersionId },
            }),
          ),
        shotInto(paper),
      ),
    keepShot: (setId: string, marking: Marking, words: string) =>
      actOrQueue(`shot ${setId} ${JSON.stringify(marking)}`, 'shot', words, (id) => {
        const typed = marking.right.trim() !== '' || marking.up.trim() !== '';
        const { arrow } = marking;
        if (arrow)
          return answer(
            api.POST('/api/sets/{id}/hits', {
              params: { path: { id: setId } },
              body: {
                id,
                arrow,
                place: marking.point,
                typed: typed ? { right: marking.right, up: marking.up } : null,
                arrowNumber: marking.arrowNumber || null,
                flight: marking.flight,
                slant: marking.slant,
                distance: marking.distance || null,
                way: marking.way,
                sightFor: marking.sightFor,
              },
            }),
          );
        const body = {
          id,
          point: marking.point ?? { x: 0, y: 0 },
          tail: typed || marking.words ? null : marking.tail,
          typed: typed ? { right: marking.right, up: marking.up, by: marking.by } : null,
          side: marking.side,
          words: marking.words,
          arrowNumber: marking.arrowNumber || null,
        };
        return answer(api.POST('/api/sets/{id}/shots', { params: { path: { id: setId } }, body }));
      }),
    hitsTable: (setId: string, text: string) =>
      actOrQueue(`table ${setId} ${text}`, 'shot', `A table of hits, ${text.trim().split('\n').length} lines`, (id) =>
        answer(api.POST('/api/sets/{id}/hits/table', { params: { path: { id: setId } }, body: { id, text } })),
      ),
    voidTable: (tableId: string) =>
      act(`void table ${tableId}`, (id) =>
        answer(api.POST('/api/hits/table/{id}/void', { params: { path: { id: tableId } }, body: { id } })),
      ),
    markShot: (shot: Shot, reason: string | null, doubtful = false) =>
      actOrQueue(`mark ${shot.id} ${reason} ${doubtful}`, 'mark', markWords(shot, reason, doubtful), (id) =>
        answer(
          api.POST('/api/shots/{id}/marks', {
            params: { path: { id: shot.id } },
            body: { id, reason, doubtful },
          }),
        ),
      ),
    move: (paper: Paper, told: MoveTold, { note = '', corrects = null, afterSetId = null }: MoveBeside = {}) =>
      actOrQueue(
        `move ${paper.id} ${JSON.stringify(told)} ${corrects} ${afterSetId}`,
        'move',
        moveWords(told, corrects),
        (id) =>
          answer(
            api.POST('/api/papers/{id}/moves', {
              params: { path: { id: paper.id } },
              body: { id, ...told, note, corrects, afterSetId },
            }),
          ),
        corrects || afterSetId ? undefined : shotInto(paper),
      ).then((moved) => {
        // It may have been moved in another place: where everything stands is read anew.
        if (!moved) refresh();
        return moved;
      }),
    sightMark: (paper: Paper, told: MarkTold) =>
      act(`sight mark ${paper.id} ${paper.version} ${JSON.stringify(told)}`, (id) =>
        answer(
          api.POST('/api/papers/{id}/sight-marks', {
            params: { path: { id: paper.id } },
            body: { id, pin: told.pin ?? null, typed: told.typed ?? null, otherwise: told.otherwise ?? false },
          }),
        ),
      ),
    conditions: (paper: Paper, how: HowShot) =>
      act(`conditions ${paper.id} ${paper.version} ${JSON.stringify(how)}`, (id) =>
        answer(
          api.POST('/api/papers/{id}/conditions', {
            params: { path: { id: paper.id } },
            body: {
              id,
              ...how,
              across: how.across || null,
              face: how.face || null,
              ringsAcross: how.ringsAcross || null,
            },
          }),
        ),
      ),
    sight: (paper: Paper, eyeToPin: string, click: string) =>
      act(`sight ${paper.id} ${eyeToPin} ${click}`, (id) =>
        answer(
          api.POST('/api/papers/{id}/sight', {
            params: { path: { id: paper.id } },
            body: { id, eyeToPin, click: click || null },
          }),
        ),
      ),
    note: (paper: Paper, rung: Schemas['RungKind'] | null, outcome: string | null, note: string) =>
      act(`note ${paper.id} ${rung} ${outcome} ${note}`, (id) =>
        answer(
          api.POST('/api/papers/{id}/notes', {
            params: { path: { id: paper.id } },
            body: { id, rung, outcome, note },
          }),
        ),
      ),
    withdrawNote: (paper: Paper, noteId: string) =>
      act(`withdraw ${noteId}`, () =>
        answer(api.DELETE('/api/papers/{id}/notes/{noteId}', { params: { path: { id: paper.id, noteId } } })),
      ),
    accept: (paper: Paper, accepted: boolean) =>
      actOrQueue(
        `accept ${paper.id} ${paper.version} ${accepted}`,
        'accept',
        accepted ? 'Accepted' : 'Opened again',
        (id) =>
          answer(
            api.POST('/api/papers/{id}/accept', {
              params: { path: { id: paper.id } },
              body: { accepted, id },
            }),
          ),
      ),
  };
}

export type PaperWork = ReturnType<typeof usePaperWork>;
