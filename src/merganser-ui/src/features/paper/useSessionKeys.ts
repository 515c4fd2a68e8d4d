import { useEffect } from 'react';
import { isPageKey } from '../../shell/keys';
import { markOfKey } from './target/groupTypes';
import type { Marking, ShotSet } from './paperTypes';

interface Acts {
  setMarking: (marking: Marking) => void;
  look: (way: 'move' | 'shots') => void;
  mark: () => void;
}

/** The page's own keys: what a mark is while one is set, else where to look and the next mark. */
export function useSessionKeys(last: ShotSet, marking: Marking | null, { setMarking, look, mark }: Acts) {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (!isPageKey(event)) return;
      const key = event.key.toLowerCase();
      if (marking?.arrow) {
        const marked = markOfKey(last, marking, key);
        if (marked) setMarking(marked);
      } else if (marking) {
        // A nock end in a target has one face.
        if (key === 'f' && last.nockEnd === null)
          setMarking({ ...marking, side: marking.side === 'shootingSide' ? 'targetSide' : 'shootingSide' });
      } else if (key === 'm') look('move');
      else if (key === 'v') look('shots');
      else if (key === 'n') {
        event.preventDefault();
        mark();
      }
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  });
}
