import { useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api, ifMatch, Refusal, type Schemas } from '../../api/client';
import { setupQuery, useRefresh } from '../../api/queries';
import { bowScope, type EntryKind } from '../../api/outbox';
import { useActs } from '../../api/useActs';
import type { MoveTold } from '../../parts/MoveSteps';
import { capital, named } from '../../parts/letters';
import { moveWords } from '../../parts/moveWords';

export type Setup = Schemas['SetupView'];
export type Check = Schemas['CheckView'];

/** A finding as it is said while it waits. */
const checkWords = (kind: Check['kind'], found: { typed?: string; choice?: string; skipReason?: string }) =>
  `${capital(named(kind))}: ${found.typed ?? (found.choice ? named(found.choice) : `left, ${found.skipReason}`)}`;

/** The set-up of a bow and every act on it. Each act has one id, so that trying it again is safe. */
export function useSetup(bowId: string) {
  const queries = useQueryClient();
  const refresh = useRefresh(bowId);
  const acts = useActs(`setup ${bowId}`);
  const { problem } = acts;
  const setup = useQuery(setupQuery(bowId));

  /** True when it was done, or waits in this browser: what it changed is read anew. */
  const seen = async (doing: Promise<unknown>): Promise<boolean> => {
    if (!(await doing)) return false;
    await queries.invalidateQueries({ queryKey: ['setup', bowId] });
    refresh();
    return true;
  };
  const act = (what: string, call: (id: string) => Promise<unknown>) =>
    seen(acts.act(what, async (id) => ({ done: await call(id) })));

  /** What goes on without a server: it waits in this browser. */
  const actOrQueue = (what: string, kind: EntryKind, words: string, call: (id: string) => Promise<unknown>) =>
    seen(acts.actOrQueue(what, { scope: bowScope(bowId), kind, words }, async (id) => ({ done: await call(id) })));

  const path = { path: { id: bowId } };
  return {
    bowId,
    setup,
    problem,
    busy: acts.busy,
    clear: acts.clear,
    unreachable: acts.unreachable,
    faults: acts.faults,
    suspicious: problem instanceof Refusal && problem.code === 'suspicious' ? problem.message : null,
    find: (
      kind: Check['kind'],
      found: { typed?: string; choice?: string; skipReason?: string; confirmed?: boolean; note?: string },
    ) =>
      actOrQueue(
        `check ${kind} ${JSON.stringify({ ...found, confirmed: undefined })}`,
        'check',
        checkWords(kind, found),
        (id) =>
          answer(
            api.POST('/api/bows/{id}/checks', {
              params: path,
              body: {
                id,
                kind,
                typed: found.typed ?? null,
                choice: found.choice ?? null,
                skipReason: found.skipReason ?? null,
                confirmed: found.confirmed ?? false,
                note: found.note ?? '',
              },
            }),
          ),
      ),
    withdraw: (entryId: string) =>
      act(`withdraw ${entryId}`, () =>
        answer(api.POST('/api/bows/{id}/withdrawals/{entryId}', { params: { path: { id: bowId, entryId } } })),
      ),
    change: (change: Schemas['BowChange'], note: string) =>
      actOrQueue(`change ${change} ${note}`, 'move', `Logged: ${named(change)}`, (id) =>
        answer(api.POST('/api/bows/{id}/changes', { params: path, body: { id, change, note, happenedAt: null } })),
      ),
    shoot: (count: number) =>
      actOrQueue(`shots ${count}`, 'shot', `${count} shots away from the papers`, (id) =>
        answer(api.POST('/api/bows/{id}/shots', { params: path, body: { id, count } })),
      ),
    plan: (plan: Schemas['StringPlan']) =>
      act(`plan ${JSON.stringify(plan)}`, () =>
        answer(
          api.PUT('/api/bows/{id}/string-plan', {
            params: path,
            body: plan,
            ...ifMatch(setup.data?.bowVersion ?? 0),
          }),
        ),
      ).then((done) => {
        // Changed in another place meanwhile: what stands there now is shown, and the plan is still in its fields.
        if (!done) void queries.invalidateQueries({ queryKey: ['setup', bowId] });
        return done;
      }),
    equip: (tool: NonNullable<Check['asks']>) =>
      act(`equip ${tool}`, () =>
        answer(api.POST('/api/bows/{id}/tools', { params: { path: { id: bowId } }, body: { tool } })),
      ).then((done) => {
        if (done) void queries.invalidateQueries({ queryKey: ['archers'] });
        return done;
      }),
    markGood: (arrowVersionId: string | null, note: string) =>
      act(`good ${arrowVersionId} ${note}`, (id) =>
        answer(api.POST('/api/bows/{id}/good-states', { params: path, body: { id, arrowVersionId, note } })),
      ),
    move: (move: MoveTold & { note?: string }) =>
      actOrQueue(`move ${JSON.stringify(move)}`, 'move', moveWords(move, null), (id) =>
        answer(api.POST('/api/bows/{id}/moves', { params: path, body: { ...move, id } })),
      ).then((moved) => {
        // It may have been moved in another place: where everything stands is read anew.
        if (!moved) refresh();
        return moved;
      }),
    undoMove: (moveId: string, loggedWrongly: boolean) =>
      act(`undo ${moveId} ${loggedWrongly}`, (id) =>
        answer(
          api.POST('/api/bows/{id}/moves/{moveId}/undo', {
            params: { path: { id: bowId, moveId } },
            body: { id, loggedWrongly },
          }),
        ),
      ),
  };
}

/** What is looked at first when something is wrong with a bow. */
export const useTroubles = (bowId: string, wanted = true) =>
  useQuery({
    queryKey: ['setup', bowId, 'troubles'],
    queryFn: () => answer(api.GET('/api/bows/{id}/troubles', { params: { path: { id: bowId } } })),
    enabled: wanted,
  });

export type SetupWork = ReturnType<typeof useSetup>;
