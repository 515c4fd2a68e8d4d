import { useCallback, useRef } from 'react';

/** Jobs one after the other: each begins when the one before has ended. */
export function useInTurn() {
  const last = useRef<Promise<unknown>>(Promise.resolve());
  return useCallback(<T>(job: () => Promise<T>): Promise<T> => {
    const done = last.current.then(job);
    last.current = done;
    return done;
  }, []);
}
