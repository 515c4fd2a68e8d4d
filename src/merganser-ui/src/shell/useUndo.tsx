import { useEffect, useState } from 'react';
import { Plain } from '../parts/Buttons';
import w from '../parts/words.module.css';

interface Offer {
  /** What is taken back, in words: the foot's key and Ctrl Z name the same thing. */
  what: string;
  run: () => void;
}

/** Undo takes back the newest act, whatever it was: the foot names it before, and says so after. Ctrl Z does the same. */
export function useUndo() {
  const [offered, setOffered] = useState<Offer | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  useEffect(() => {
    if (!offered) return;
    const press = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.shiftKey || event.key.toLowerCase() !== 'z') return;
      if (event.target instanceof HTMLInputElement) return;
      event.preventDefault();
      setOffered(null);
      offered.run();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [offered]);
  return {
    /** The newest act: it takes the place of what was offered before. */
    offer: (what: string, run: () => void) => {
      setSaid(null);
      setOffered({ what, run });
    },
    /** Something was done that cannot be taken back this way: nothing older is. */
    forget: () => setOffered(null),
    /** What was taken back, once it has been. */
    done: (what: string) => setSaid(`Taken back: ${what}.`),
    /** What waited was sent before it could be taken back. */
    tooLate: (what: string) => setSaid(`Sent already: ${what}.`),
    key: offered ? (
      <Plain
        data-testid="undo"
        onClick={() => {
          setOffered(null);
          offered.run();
        }}
      >
        Undo: {offered.what}
      </Plain>
    ) : said ? (
      <span className={w.taken} role="status">
        {said}
      </span>
    ) : null,
  };
}
