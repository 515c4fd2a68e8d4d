import { useQueryClient } from '@tanstack/react-query';
import { answer, api } from '../../api/client';
import { useRefresh } from '../../api/queries';
import { useActs } from '../../api/useActs';
import type { Draft } from './parts';

/** Begins an arrow of a bow with a draft: answers with its id, or null when it was refused. */
export function useNewArrow(bowId: string) {
  const { act, problem, busy } = useActs(`arrows ${bowId}`);
  const queries = useQueryClient();
  const refresh = useRefresh(bowId);
  return {
    problem,
    busy,
    begin: async (draft: Draft): Promise<string | null> => {
      const added = await act(`start ${JSON.stringify(draft)}`, (id) =>
        answer(api.POST('/api/arrows', { body: { id, bowId, draft } })),
      );
      if (!added) return null;
      await queries.invalidateQueries({ queryKey: ['arrows', bowId] });
      refresh();
      return added.id;
    },
  };
}
