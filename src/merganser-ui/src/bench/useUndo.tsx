import { ButtonBase } from '@mui/material';
import { useEffect, useState } from 'react';

const SHOWN = 10_000;

/** After an act the foot offers to take it back for ten seconds; Ctrl Z does the same. */
export function useUndo() {
  const [offered, setOffered] = useState<{ label: string; run: () => void } | null>(null);
  useEffect(() => {
    if (!offered) return;
    const timer = setTimeout(() => setOffered(null), SHOWN);
    const press = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.shiftKey || event.key.toLowerCase() !== 'z') return;
      if (event.target instanceof HTMLInputElement) return;
      event.preventDefault();
      setOffered(null);
      offered.run();
    };
    window.addEventListener('keydown', press);
    return () => {
      clearTimeout(timer);
      window.removeEventListener('keydown', press);
    };
  }, [offered]);
  return {
    offer: (label: string, run: () => void) => setOffered({ label, run }),
    key: offered && (
      <ButtonBase
        className="plain"
        data-testid="undo"
        onClick={() => {
          setOffered(null);
          offered.run();
        }}
      >
        {offered.label}
      </ButtonBase>
    ),
  };
}
