import { useRef, useState } from 'react';
import { newId, Refusal, Unreachable } from './client';

/** Acts on the server, one at a time: each has one id until it has gone through, so that trying it again is safe. */
export function useActs() {
  const [problem, setProblem] = useState<Error | null>(null);
  const [busy, setBusy] = useState(false);
  const pending = useRef<{ what: string; id: string } | null>(null);
  return {
    problem,
    busy,
    clear: () => setProblem(null),
    unreachable: problem instanceof Unreachable,
    faults: problem instanceof Refusal ? problem.errors : {},
    /** The id of this very act: the same again until it has gone through. */
    idFor: (what: string) => {
      if (pending.current?.what !== what) pending.current = { what, id: newId() };
      return pending.current.id;
    },
    act: async <T>(call: () => Promise<T>): Promise<T | null> => {
      setBusy(true);
      try {
        const done = await call();
        pending.current = null;
        setProblem(null);
        return done;
      } catch (error) {
        if ((error as Error).name !== 'AbortError') setProblem(error as Error);
        return null;
      } finally {
        setBusy(false);
      }
    },
  };
}
