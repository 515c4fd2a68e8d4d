import { useQuery } from '@tanstack/react-query';
import { useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { answer, api, ifMatch, newId, Refusal } from '../../api/client';
import { useActs } from '../../api/useActs';
import { archersQuery, useBow, useRefresh } from '../../api/queries';
import { emptyForm, formOf, merged, readDraft, saveDraft, type AdjusterEntry, type BowForm } from './bowForm';

const NEW = 'new';

/** The bow's form: what is kept on the server, under what has been typed since. */
export function useBowForm(bowId: string | undefined) {
  const bow = useBow(bowId);
  const archers = useQuery(archersQuery);
  const slot = bowId ?? NEW;
  const acts = useActs(`bow ${slot}`);
  /** The id of the new archer of one submission: the same for a retry of the same form, another for any other. */
  const submission = useRef<{ what: string; archer: string } | null>(null);
  const [drafts, setDrafts] = useState<Record<string, BowForm | null>>({});
  const navigate = useNavigate();
  const refresh = useRefresh(bowId);

  const archerRow = archers.data?.find((a) => a.id === bow.data?.archerId);
  const kept: BowForm | null =
    bowId === undefined
      ? archers.data
        ? emptyForm(archers.data)
        : null
      : bow.data && archerRow
        ? formOf(bow.data, archerRow.archer)
        : null;
  // Read once: what another tab types meanwhile is that tab's.
  const found = useMemo(() => readDraft(slot), [slot]);
  const draft = slot in drafts ? drafts[slot]! : found;
  const current = draft ?? kept;

  const change = (next: BowForm | null) => {
    // What waits for the server is what was typed before.
    if (acts.unreachable) acts.clear();
    saveDraft(slot, next);
    setDrafts((all) => ({ ...all, [slot]: next }));
  };

  const keep = async (usual: AdjusterEntry[], form: BowForm | null = current): Promise<boolean> => {
    if (!form || acts.busy) return false;
    const adjusters = form.adjusters ?? usual;
    const what = JSON.stringify(form);
    if (submission.current?.what !== what) submission.current = { what, archer: newId() };
    const newArcher = { ...form.archer, id: submission.current.archer };
    const edited = archerRow && JSON.stringify(archerRow.archer) !== JSON.stringify(form.archer);
    const saved = await acts.act(what, (id) =>
      bowId === undefined
        ? answer(
            api.POST('/api/bows', {
              body: {
                id,
                archerId: form.archerId,
                entry: form.entry,
                adjusters,
                archer: form.archerId === null ? newArcher : null,
                archerVersion: null,
              },
            }),
          )
        : answer(
            api.PUT('/api/bows/{id}', {
              params: { path: { id: bowId } },
              body: {
                id: bowId,
                archerId: form.archerId,
                entry: form.entry,
                adjusters,
                archer: edited ? { ...form.archer, id: archerRow.id } : null,
                archerVersion: edited ? archerRow.version : null,
              },
              ...ifMatch(form.base!.version),
            }),
          ),
    );
    if (!saved) return false;
    change(null);
    await Promise.all([archers.refetch(), bow.data ? bow.refetch() : Promise.resolve()]);
    refresh();
    if (bowId === undefined) void navigate(`/bows/${saved.id}/bow?way=measures`);
    return true;
  };

  const { problem } = acts;
  const conflict =
    problem instanceof Refusal && problem.status === 412 && isBow(problem.current) ? problem.current : null;
  const takeTheirs = async () => {
    change(null);
    acts.clear();
    await bow.refetch();
  };

  return {
    bow: bow.data,
    failed: [bow.error, archers.error],
    archers: archers.data ?? [],
    form: current,
    dirty: draft !== null,
    problem,
    conflict,
    busy: acts.busy,
    change,
    keep: (usual: AdjusterEntry[]) => keep(usual),
    keepMine: () => {
      if (!current || !conflict) return;
      const both = {
        ...current,
        entry: merged(current, conflict.typed),
        base: { version: conflict.version, entry: conflict.typed },
      };
      change(both);
      return keep([], both);
    },
    takeTheirs,
    archive: async (archived: boolean) => {
      const done = await acts.act(`archive ${archived}`, async () => {
        await answer(api.POST('/api/bows/{id}/archive', { params: { path: { id: bowId! } }, body: { archived } }));
        return true;
      });
      if (!done) return;
      await bow.refetch();
      refresh();
      if (archived) void navigate('/');
    },
  };
}

interface BowRow {
  version: number;
  typed: BowForm['entry'];
}

const isBow = (row: unknown): row is BowRow => typeof row === 'object' && row !== null && 'typed' in row;
