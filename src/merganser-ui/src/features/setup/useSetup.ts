import { useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api, ifMatch, Refusal, type Schemas } from '../../api/client';
import { useRefresh } from '../../api/queries';
import { useActs } from '../../api/useActs';
import type { MoveTold } from '../../parts/MoveSteps';

export type Setup = Schemas['SetupView'];
export type Check = Schemas['CheckView'];

/** The set-up of a bow and every act on it. Each act has one id, so that trying it again is safe. */
export function useSetup(bowId: string) {
  const queries = useQueryClient();
  const refresh = useRefresh(bowId);
  const acts = useActs(`setup ${bowId}`);
  const { problem } = acts;
  const setup = useQuery({
    queryKey: ['setup', bowId],
    queryFn: () => answer(api.GET('/api/bows/{id}/setup', { params: { path: { id: bowId } } })),
  });

  const act = async (what: string, call: (id: string) => Promise<unknown>): Promise<boolean> => {
    const done = await acts.act(what, async (id) => ({ done: await call(id) }));
    if (!done) return false;
    await queries.invalidateQueries({ queryKey: ['setup', bowId] });
    refresh();
    return true;
  };

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
      act(`check ${kind} ${JSON.stringify({ ...found, confirmed: undefined })}`, (id) =>
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
      act(`change ${change} ${note}`, (id) =>
        answer(api.POST('/api/bows/{id}/changes', { params: path, body: { id, change, note, happenedAt: null } })),
      ),
    shoot: (count: number) =>
      act(`shots ${count}`, (id) => answer(api.POST('/api/bows/{id}/shots', { params: path, body: { id, count } }))),
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
    markGood: (arrowVersionId: string | null, note: string) =>
      act(`good ${arrowVersionId} ${note}`, (id) =>
        answer(api.POST('/api/bows/{id}/good-states', { params: path, body: { id, arrowVersionId, note } })),
      ),
    move: (move: MoveTold & { note?: string }) =>
      act(`move ${JSON.stringify(move)}`, (id) =>
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

export type SetupWork = ReturnType<typeof useSetup>;
