import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { answer, api, ifMatch, newId, Refusal, Unreachable, type Schemas } from '../../api/client';
import { useRefresh } from '../../api/queries';
import type { Draft } from './parts';

const SAVE_AFTER = 350;
const UNDO_DEPTH = 100;
const NO_FAULTS: Record<string, string[]> = {};

type SaveState =
  { kind: 'saved' | 'saving' } | { kind: 'lost'; message: string } | { kind: 'conflict'; theirs: Schemas['ArrowRow'] };

const slot = (id: string) => `merganser-arrow-${id}`;

/** The arrow on the bench: a draft that is kept as typed, its figures, undo and redo. */
export function useArrowWork(bowId: string, row: Schemas['ArrowRow']) {
  const [draft, setDraft] = useState<Draft>(() => unsaved(row) ?? row.draft);
  const [past, setPast] = useState<Draft[]>([]);
  const [future, setFuture] = useState<Draft[]>([]);
  const [save, setSave] = useState<SaveState>({ kind: 'saved' });
  const version = useRef(row.version);
  const savedText = useRef(JSON.stringify(row.draft));
  const sending = useRef(false);
  const wanted = useRef(draft);
  const [openedId, setOpenedId] = useState(row.kept?.id ?? null);
  const queries = useQueryClient();
  const refresh = useRefresh(bowId);

  const figuresOf = (of: Draft) => ({
    queryKey: ['figures', bowId, of, openedId],
    queryFn: ({ signal }: { signal: AbortSignal }) =>
      answer(api.POST('/api/figures', { body: { bowId, draft: of, openedVersionId: openedId }, signal })),
    staleTime: 60_000,
  });
  const figures = useQuery({ ...figuresOf(draft), placeholderData: keepPreviousData });

  const send = useCallback(async () => {
    if (sending.current) return true;
    sending.current = true;
    try {
      while (JSON.stringify(wanted.current) !== savedText.current) {
        setSave({ kind: 'saving' });
        const body = wanted.current;
        const kept = await answer(
          api.PUT('/api/arrows/{id}/draft', { params: { path: { id: row.id } }, body, ...ifMatch(version.current) }),
        );
        version.current = kept.version;
        savedText.current = JSON.stringify(body);
      }
      localStorage.removeItem(slot(row.id));
      setSave({ kind: 'saved' });
      return true;
    } catch (error) {
      if (error instanceof Refusal && error.status === 412)
        setSave({ kind: 'conflict', theirs: error.current as Schemas['ArrowRow'] });
      else
        setSave({
          kind: 'lost',
          message: error instanceof Unreachable ? 'The bench’s server does not answer.' : (error as Error).message,
        });
      return false;
    } finally {
      sending.current = false;
    }
  }, [row.id]);

  useEffect(() => {
    wanted.current = draft;
    if (JSON.stringify(draft) === savedText.current) return;
    localStorage.setItem(slot(row.id), JSON.stringify({ version: version.current, draft }));
    const timer = setTimeout(() => void send(), SAVE_AFTER);
    return () => clearTimeout(timer);
  }, [draft, row.id, send]);

  const change = (next: Draft) => {
    // Asked for at once: the server computes while the page draws what was typed.
    void queries.prefetchQuery(figuresOf(next));
    setPast((all) => [...all.slice(-UNDO_DEPTH), draft]);
    setFuture([]);
    setDraft(next);
  };
  const undo = () => {
    const last = past.at(-1);
    if (!last) return;
    setPast(past.slice(0, -1));
    setFuture([draft, ...future]);
    setDraft(last);
  };
  const redo = () => {
    const [next, ...rest] = future;
    if (!next) return;
    setFuture(rest);
    setPast([...past, draft]);
    setDraft(next);
  };

  const resolve = (mine: boolean) => {
    if (save.kind !== 'conflict') return;
    version.current = save.theirs.version;
    savedText.current = JSON.stringify(save.theirs.draft);
    setSave({ kind: 'saved' });
    if (mine) void send();
    else setDraft(save.theirs.draft);
  };

  const keep = async () => {
    wanted.current = draft;
    if (!(await send())) return null;
    const kept = await answer(
      api.POST('/api/arrows/{id}/versions', { params: { path: { id: row.id } }, body: { id: newId() } }),
    );
    setOpenedId(kept.kept!.id);
    await queries.invalidateQueries({ queryKey: ['arrows', bowId] });
    refresh();
    return kept.kept!;
  };

  const faults = figures.error instanceof Refusal ? figures.error.errors : NO_FAULTS;
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
    /** The server is back: what was typed is sent, and the figures that could not be had are asked for again. */
    retry: async () => {
      if ((await send()) && figures.isError) await figures.refetch();
    },
    resolve,
    keep,
    openedId,
  };
}

function unsaved(row: Schemas['ArrowRow']): Draft | null {
  try {
    const kept = JSON.parse(localStorage.getItem(slot(row.id)) ?? 'null') as { version: number; draft: Draft } | null;
    return kept && kept.version === row.version ? kept.draft : null;
  } catch {
    return null;
  }
}
