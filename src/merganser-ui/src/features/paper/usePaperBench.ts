import { useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../../api/client';
import { useRefresh } from '../../bench/queries';
import { useActs } from '../../bench/useActs';
import type { Marking, Paper, Shot } from './paperTypes';
import type { Plan } from './PaperPlan';

/** The papers of a bow and every act on them. Each act has one id, so that trying it again is safe. */
export function usePaperBench(bowId: string) {
  const queries = useQueryClient();
  const refresh = useRefresh(bowId);
  const acts = useActs();
  const { idFor } = acts;
  const papers = useQuery({
    queryKey: ['papers', bowId],
    queryFn: () => answer(api.GET('/api/bows/{bowId}/papers', { params: { path: { bowId } } })),
  });

  const act = async (call: () => Promise<Paper>): Promise<Paper | null> => {
    const paper = await acts.act(call);
    if (!paper) return null;
    queries.setQueryData<Paper[]>(['papers', bowId], (all) => [paper, ...(all ?? []).filter((p) => p.id !== paper.id)]);
    refresh();
    return paper;
  };

  return {
    papers,
    problem: acts.problem,
    busy: acts.busy,
    clear: acts.clear,
    unreachable: acts.unreachable,
    faults: acts.faults,
    start: (plan: Plan) =>
      act(() =>
        answer(
          api.POST('/api/papers', {
            body: {
              id: idFor(`paper ${JSON.stringify(plan)}`),
              bowId,
              arrowVersionId: plan.arrowId,
              distance: plan.distance,
              fletched: plan.fletched,
              tolerance: plan.tolerance,
            },
          }),
        ),
      ),
    newSet: (paper: Paper, distance: string, fletched: boolean) =>
      act(() =>
        answer(
          api.POST('/api/papers/{id}/sets', {
            params: { path: { id: paper.id } },
            body: { id: idFor(`set ${paper.id} ${distance} ${fletched}`), distance, fletched },
          }),
        ),
      ),
    keepShot: (setId: string, marking: Marking) =>
      act(() => {
        const typed = marking.right.trim() !== '' || marking.up.trim() !== '';
        const body = {
          id: idFor(`shot ${setId} ${JSON.stringify(marking)}`),
          point: marking.point ?? { x: 0, y: 0 },
          tail: typed ? null : marking.tail,
          typed: typed ? { right: marking.right, up: marking.up } : null,
          side: marking.side,
        };
        return answer(api.POST('/api/sets/{id}/shots', { params: { path: { id: setId } }, body }));
      }),
    voidShot: (shot: Shot, reason: string | null) =>
      act(() =>
        answer(
          api.POST('/api/shots/{id}/marks', {
            params: { path: { id: shot.id } },
            body: { id: idFor(`void ${shot.id} ${reason}`), reason },
          }),
        ),
      ),
    move: (paper: Paper, adjuster: Schemas['AdjusterKind'], to: number, note: string, corrects: string | null) =>
      act(() =>
        answer(
          api.POST('/api/papers/{id}/moves', {
            params: { path: { id: paper.id } },
            body: {
              id: idFor(`move ${paper.id} ${adjuster} ${to} ${corrects}`),
              adjuster,
              to,
              note,
              corrects,
              happenedAt: null,
            },
          }),
        ),
      ),
    accept: (paper: Paper, accepted: boolean) =>
      act(() =>
        answer(api.POST('/api/papers/{id}/accept', { params: { path: { id: paper.id } }, body: { accepted } })),
      ),
  };
}
