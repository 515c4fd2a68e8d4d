import { useCallback, useLayoutEffect, useRef } from 'react';

/** The same function from one drawing to the next, which does what the newest one would: what is given it can stand. */
export function useSteady<Args extends unknown[], Done>(act: (...args: Args) => Done): (...args: Args) => Done {
  const newest = useRef(act);
  useLayoutEffect(() => {
    newest.current = act;
  });
  return useCallback((...args: Args) => newest.current(...args), []);
}
