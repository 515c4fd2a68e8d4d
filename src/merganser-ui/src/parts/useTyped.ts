import { useState } from 'react';
import { flushSync } from 'react-dom';
import { afterPaint } from '../api/afterPaint';

let waiting: (() => void) | null = null;

/**
 * Tells of what was typed once it stands on the screen: what hangs on it does not hold up the key's own echo. Whatever
 * is pressed or left next finds it told, as if it had been told at once.
 */
function tellSoon(tell: () => void): void {
  tellNow();
  waiting = tell;
  void afterPaint().then(() => {
    if (waiting === tell) tellNow();
  });
}

function tellNow(): void {
  if (!waiting) return;
  const tell = waiting;
  waiting = null;
  flushSync(tell);
}

for (const what of ['keydown', 'pointerdown', 'click', 'wheel', 'focusout', 'popstate', 'pagehide', 'visibilitychange'])
  window.addEventListener(what, tellNow, { capture: true, passive: true });

/** A value that is typed into: what shows it changes with the key, who is told of it does after the frame. */
export function useTyped<T>(given: T, tell: (next: T) => void): [shown: T, type: (next: T) => void] {
  const [typed, setTyped] = useState<{ now: T } | null>(null);
  const type = (next: T) => {
    setTyped({ now: next });
    tellSoon(() => {
      setTyped(null);
      tell(next);
    });
  };
  return [typed ? typed.now : given, type];
}
