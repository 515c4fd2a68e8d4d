import { startTransition, useEffect, useState, type ReactNode } from 'react';
import { afterPaint } from '../api/afterPaint';

/** What a page can be used without for a moment: it is drawn once the rest is on the screen, in the place that is kept for it. */
export function Later({ instead = null, children }: { instead?: ReactNode; children: ReactNode }) {
  const [there, setThere] = useState(false);
  useEffect(() => {
    let left = false;
    void afterPaint().then(() => {
      if (!left) startTransition(() => setThere(true));
    });
    return () => {
      left = true;
    };
  }, []);
  return there ? children : instead;
}
