import { useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../../api/client';
import { useRefresh } from '../../api/queries';
import { useActs } from '../../api/useActs';

export type BowVisits = Schemas['BowVisits'];
export type Visit = Schemas['VisitView'];
type LineKind = Schemas['VisitLineKind'];

/** A line of parts or labour as it is typed. */
export interface TypedLine {
  kind: LineKind;
  text: string;
  quantity: string;
  price: string;
  fromBowId: string;
}

/** A bow's visits, one of them whole, and what can be done with it. */
export function useVisits(bowId: string, visitId: string | null) {
  const queries = useQueryClient();
  const refresh = useRefresh(bowId);
  const acts = useActs(`visits ${bowId}`);
  const path = { id: bowId };
  const read = useQuery({
    queryKey: ['visits', bowId, visitId],
    queryFn: () =>
      answer(api.GET('/api/bows/{id}/visits', { params: { path, query: { visit: visitId ?? undefined } } })),
  });
  const seen = async (doing: Promise<BowVisits | null>) => {
    const view = await doing;
    if (!view) return null;
    const shown = view.shown?.line.id ?? null;
    await queries.invalidateQueries({ queryKey: ['visits'] });
    for (const key of [shown, visitId]) queries.setQueryData(['visits', bowId, key], view);
    void queries.invalidateQueries({ queryKey: ['plan'] });
    refresh();
    return shown;
  };
  const of = (visitId: string) => ({ params: { path: { ...path, visitId } } });
  const ofLine = (visitId: string, lineId: string) => ({ params: { path: { ...path, visitId, lineId } } });
  return {
    view: read.data,
    failed: read.error,
    retry: () => void read.refetch(),
    problem: acts.problem,
    faults: acts.faults,
    busy: acts.busy,
    clear: acts.clear,
    begin: (wants: string) =>
      seen(
        acts.act(`begin ${wants}`, (id) =>
          answer(api.POST('/api/bows/{id}/visits', { params: { path }, body: { id, wants } })),
        ),
      ),
    addLine: (visit: string, line: TypedLine) =>
      seen(
        acts.act(`line ${JSON.stringify(line)}`, (id) =>
          answer(
            api.POST('/api/bows/{id}/visits/{visitId}/lines', {
              ...of(visit),
              body: {
                id,
                kind: line.kind,
                text: line.text,
                quantity: line.kind === 'carried' ? '1' : line.quantity,
                price: line.kind === 'carried' ? null : line.price,
                fromBowId: line.kind === 'carried' ? line.fromBowId : null,
              },
            }),
          ),
        ),
      ),
    takeBack: (visit: string, lineId: string) =>
      seen(
        acts.act(`take back ${lineId}`, () =>
          answer(api.DELETE('/api/bows/{id}/visits/{visitId}/lines/{lineId}', ofLine(visit, lineId))),
        ),
      ),
    takeFacts: (visit: string, lineId: string) =>
      seen(
        acts.act(`facts ${lineId}`, () =>
          answer(api.POST('/api/bows/{id}/visits/{visitId}/lines/{lineId}/facts', ofLine(visit, lineId))),
        ),
      ),
    handOver: (visit: string, watch: string, nextOn: string) =>
      seen(
        acts.act(`hand over ${visit}`, () =>
          answer(
            api.POST('/api/bows/{id}/visits/{visitId}/hand-over', {
              ...of(visit),
              body: { watch, nextOn: nextOn === '' ? null : nextOn },
            }),
          ),
        ),
      ),
    toOwner: async (archerId: string | null, name: string) => {
      const done = await acts.act(`owner ${archerId ?? name}`, (id) =>
        answer(
          api.POST('/api/bows/{id}/owner', {
            params: { path },
            body: archerId ? { id, archerId } : { id, name },
          }),
        ),
      );
      if (!done) return false;
      await queries.invalidateQueries();
      return true;
    },
  };
}

export type VisitWork = ReturnType<typeof useVisits>;
