import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { answer, api, ifMatch, newId, Refusal, type Schemas } from '../../api/client';
import { useBow, useRefresh } from '../../bench/queries';
import { emptyForm, formOf, merged, readDraft, saveDraft, type BowForm } from './bowForm';

const NEW = 'new';

/** The bow's form: what is kept on the server, under what has been typed since. */
export function useBowForm(bowId: string | undefined) {
  const bow = useBow(bowId);
  const archers = useQuery({ queryKey: ['archers'], queryFn: () => answer(api.GET('/api/archers')) });
  const slot = bowId ?? NEW;
  const [ids] = useState(() => ({ bow: newId(), archer: newId() }));
  const [drafts, setDrafts] = useState<Record<string, BowForm | null>>({});
  const [problem, setProblem] = useState<Error | null>(null);
  const [busy, setBusy] = useState(false);
  const navigate = useNavigate();
  const refresh = useRefresh(bowId);

  const archerRow = archers.data?.find((a) => a.id === bow.data?.archerId);
  const kept: BowForm | null =
    bowId === undefined
      ? archers.data
        ? emptyForm(ids, archers.data)
        : null
      : bow.data && archerRow
        ? formOf(bow.data, archerRow.archer)
        : null;
  // Read once: what another tab types meanwhile is that tab's.
  const found = useMemo(() => readDraft(slot), [slot]);
  const draft = slot in drafts ? drafts[slot]! : found;
  const current = draft ?? kept;

  const change = (next: BowForm | null) => {
    saveDraft(slot, next);
    setDrafts((all) => ({ ...all, [slot]: next }));
  };

  const keepArcher = async (now: BowForm, row: Schemas['ArcherRow'] | undefined) => {
    const input = { ...now.archer, id: now.archerId };
    if (now.newArcher && !row) await answer(api.POST('/api/archers', { body: input }));
    else if (row && JSON.stringify(row.archer) !== JSON.stringify(now.archer))
      await answer(
        api.PUT('/api/archers/{id}', { params: { path: { id: now.archerId } }, body: input, ...ifMatch(row.version) }),
      );
  };

  const keep = async (form: BowForm | null = current): Promise<boolean> => {
    if (!form || busy) return false;
    setBusy(true);
    try {
      await keepArcher(
        form,
        archers.data?.find((a) => a.id === form.archerId),
      );
      const body = { id: form.bowId, archerId: form.archerId, entry: form.entry, adjusters: form.adjusters };
      const saved =
        bowId === undefined
          ? await answer(api.POST('/api/bows', { body }))
          : await answer(
              api.PUT('/api/bows/{id}', { params: { path: { id: bowId } }, body, ...ifMatch(form.base!.version) }),
            );
      change(null);
      setProblem(null);
      await Promise.all([archers.refetch(), bow.data ? bow.refetch() : Promise.resolve()]);
      refresh();
      if (bowId === undefined) void navigate(`/bows/${saved.id}/bow?way=measures`);
      return true;
    } catch (error) {
      setProblem(error as Error);
      return false;
    } finally {
      setBusy(false);
    }
  };

  const conflict =
    problem instanceof Refusal && problem.status === 412 ? (problem.current as Schemas['BowView'] | null) : null;
  const takeTheirs = async () => {
    change(null);
    setProblem(null);
    await bow.refetch();
  };

  return {
    bow: bow.data,
    missing: bow.error instanceof Refusal && bow.error.status === 404,
    archers: archers.data ?? [],
    form: current,
    dirty: draft !== null,
    problem,
    conflict,
    busy,
    change,
    keep: () => keep(),
    keepMine: () => {
      if (!current || !conflict) return;
      const both = {
        ...current,
        entry: merged(current, conflict.typed),
        base: { version: conflict.version, entry: conflict.typed },
      };
      change(both);
      return keep(both);
    },
    takeTheirs,
    archive: async (archived: boolean) => {
      try {
        await answer(api.POST('/api/bows/{id}/archive', { params: { path: { id: bowId! } }, body: { archived } }));
        await bow.refetch();
        refresh();
        if (archived) void navigate('/');
      } catch (error) {
        setProblem(error as Error);
      }
    },
    ids,
  };
}
