import { useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../../api/client';
import { useActs } from '../../api/useActs';

export type Plan = Schemas['SeasonPlanView'];
type ReminderKind = Schemas['ReminderKind'];

/** A reminder as it is typed. */
export interface Draft {
  kind: ReminderKind;
  text: string;
  bowId: string;
  on: string;
  shots: string;
}

export const NOTHING_TYPED: Draft = { kind: 'byDate', text: '', bowId: '', on: '', shots: '' };

/** The plan, and what can be put on it and ticked off. */
export function usePlan() {
  const queries = useQueryClient();
  const acts = useActs('plan');
  const read = useQuery({ queryKey: ['plan'], queryFn: () => answer(api.GET('/api/plan')) });
  const seen = async (doing: Promise<Plan | null>) => {
    const plan = await doing;
    if (!plan) return false;
    queries.setQueryData(['plan'], plan);
    void queries.invalidateQueries({ queryKey: ['rack'] });
    void queries.invalidateQueries({ queryKey: ['story'] });
    return true;
  };
  return {
    plan: read.data,
    failed: read.error,
    retry: () => void read.refetch(),
    problem: acts.problem,
    faults: acts.faults,
    busy: acts.busy,
    clear: acts.clear,
    add: (draft: Draft) =>
      seen(
        acts.act(`add ${JSON.stringify(draft)}`, (id) =>
          answer(
            api.POST('/api/plan', {
              body: {
                id,
                kind: draft.kind,
                text: draft.text,
                bowId: draft.kind === 'shoot' || draft.bowId === '' ? null : draft.bowId,
                on: draft.kind === 'byShots' || draft.on === '' ? null : draft.on,
                afterShots: draft.kind === 'byShots' ? draft.shots : null,
              },
            }),
          ),
        ),
      ),
    put: (id: string, state: Schemas['ReminderState']) =>
      seen(
        acts.act(`${state} ${id}`, () =>
          answer(api.POST('/api/plan/{id}/state', { params: { path: { id } }, body: { state } })),
        ),
      ),
  };
}

export type PlanWork = ReturnType<typeof usePlan>;
