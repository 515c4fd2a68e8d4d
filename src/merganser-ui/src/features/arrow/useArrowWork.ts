import { keptAs, readKept } from '../../api/bench';
import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { answer, api, faultsOf, ifMatch, Refusal, type Schemas } from '../../api/client';
import { askAgain } from '../../api/connection';
import { useActs } from '../../api/useActs';
import { useRefresh } from '../../api/queries';
import { useSteady } from '../../parts/useSteady';
import type { Draft } from './parts';

const SAVE_AFTER = 350;
const UNDO_DEPTH = 100;

/** Keys of one field that come faster than this are one entry, and are taken back together. */
const ONE_ENTRY = 1000;

export type SaveState = { kind: 'saved' | 'saving' | 'conflict' } | { kind: 'lost'; message: string };

const slot = (id: string) => keptAs(`arrow-${id}`);

/** The arrow on the bench: a draft that is kept as typed, its figures, undo and redo. */
export function useArrowWork(bowId: string, row: Schemas['ArrowRow']) {
  const [draft, setDraft] = useState<Draft>(() => unsaved(row) ?? row.draft);
  const [past, setPast] = useState<Draft[]>([]);
  const [future, setFuture] = useState<Draft[]>([]);
  const entry = useRef<{ field: string | null; at: number }>({ field: null, at: 0 });
  const saving = useActs(`arrow ${row.id}`);
  const keeping = useActs(`version ${row.id}`);
  const version = useRef(row.version);
  const savedText = useRef(JSON.stringify(row.draft));
  const sending = useRef<Promise<boolean> | null>(null);
  const wanted = useRef(draft);
  const [openedId, setOpenedId] = useState(row.kept?.id ?? null);
  const queries = useQueryClient();
  const refresh = useRefresh(bowId);

  const figuresOf = (of: Draft) => ({
    queryKey: ['figures', bowId, of, openedId],
    queryFn: ({ signal }: { signal: AbortSignal }) =>
      answer(api.POST('/api/figures', { body: { bowId, draft: of, openedVersionId: openedId }, signal })),
    staleTime: 60_000,
    meta: { ofWhatIsSent: true },
  });
  const figures = useQuery({ ...figuresOf(draft), placeholderData: keepPreviousData });

  const { act } = saving;
  /** Sends what is wanted until that is what is kept; a sending that waits for the server takes the newest along. */
  const send = useCallback((): Promise<boolean> => {
    const run = async () => {
      while (JSON.stringify(wanted.current) !== savedText.current) {
        const done = await act('draft', async () => {
          const body = wanted.current;
          const kept = await answer(
            api.PUT('/api/arrows/{id}/draft', { params: { path: { id: row.id } }, body, ...ifMatch(version.current) }),
          );
          return { version: kept.version, text: JSON.stringify(body) };
        });
        if (!done) return false;
        version.current = done.version;
        savedText.current = done.text;
        // What came meanwhile stands on the version that is kept now: a reload finds it.
        keepHere(row.id, version.current, wanted.current);
      }
      localStorage.removeItem(slot(row.id));
      return true;
    };
    sending.current ??= run().finally(() => (sending.current = null));
    return sending.current;
  }, [act, row.id]);

  useEffect(() => {
    wanted.current = draft;
    // Undone before it was sent: what a reload would bring back is gone as well.
    if (JSON.stringify(draft) === savedText.current && sending.current === null) {
      localStorage.removeItem(slot(row.id));
      return;
    }
    keepHere(row.id, version.current, draft);
    const timer = setTimeout(() => void send(), SAVE_AFTER);
    return () => clearTimeout(timer);
  }, [draft, row.id, send]);

  const change = useSteady((next: Draft) => {
    // Asked for at once: the server computes while the page draws what was typed.
    void queries.prefetchQuery(figuresOf(next));
    const [field, at] = [typedField(draft, next), Date.now()];
    const goesOn = field !== null && field === entry.current.field && at - entry.current.at < ONE_ENTRY;
    entry.current = { field, at };
    if (!goesOn) setPast((all) => [...all.slice(-UNDO_DEPTH), draft]);
    setFuture([]);
    setDraft(next);
  });
  const undo = useSteady(() => {
    const last = past.at(-1);
    if (!last) return;
    entry.current.field = null;
    setPast(past.slice(0, -1));
    setFuture([draft, ...future]);
    setDraft(last);
  });
  const redo = useSteady(() => {
    const [next, ...rest] = future;
    if (!next) return;
    entry.current.field = null;
    setFuture(rest);
    setPast([...past, draft]);
    setDraft(next);
  });

  const { problem } = saving;
  const theirs = problem instanceof Refusal && problem.status === 412 ? (problem.current as Schemas['ArrowRow']) : null;
  const kind = theirs ? 'conflict' : problem ? 'lost' : saving.busy ? 'saving' : 'saved';
  const message = problem?.message ?? '';
  const save = useMemo((): SaveState => (kind === 'lost' ? { kind, message } : { kind }), [kind, message]);

  const resolve = useSteady((mine: boolean) => {
    if (!theirs) return;
    version.current = theirs.version;
    savedText.current = JSON.stringify(theirs.draft);
    saving.clear();
    if (mine) void send();
    else setDraft(theirs.draft);
  });

  const keep = useSteady(async () => {
    wanted.current = draft;
    if (!(await send())) return;
    const kept = await keeping.act(`keep ${version.current}`, (id) =>
      answer(api.POST('/api/arrows/{id}/versions', { params: { path: { id: row.id } }, body: { id } })),
    );
    if (!kept) return;
    setOpenedId(kept.kept!.id);
    await queries.invalidateQueries({ queryKey: ['arrows', bowId] });
    refresh();
  });
  /** The server is back: what was typed is sent, and the figures that could not be had are asked for again. */
  const retry = useSteady(async () => {
    if (saving.unreachable && !(await askAgain())) return;
    if ((await send()) && figures.isError) await figures.refetch();
  });

  const faults = faultsOf(figures.error);
  return {
    draft,
    change,
    undo,
    redo,
    canUndo: past.length > 0,
    canRedo: future.length > 0,
    figures,
    faults,
    save,
    retry,
    resolve,
    keep,
    /** Why the version could not be kept. */
    notKept: keeping.problem?.message ?? null,
    openedId,
  };
}

/** The field that was typed into, where nothing else differs. */
function typedField(before: Draft, after: Draft): string | null {
  const [field, ...others] = (Object.keys(after) as (keyof Draft)[]).filter((name) => before[name] !== after[name]);
  return field !== undefined && others.length === 0 && TYPED.includes(field) ? field : null;
}

const TYPED: (keyof Draft)[] = ['name', 'cutLength', 'vaneFront', 'glue'];

/** What is not saved yet, in this browser. */
const keepHere = (id: string, version: number, draft: Draft) =>
  localStorage.setItem(slot(id), JSON.stringify({ version, draft }));

function unsaved(row: Schemas['ArrowRow']): Draft | null {
  const kept = readKept<{ version: number; draft: Draft }>(slot(row.id));
  return kept && kept.version === row.version ? kept.draft : null;
}
