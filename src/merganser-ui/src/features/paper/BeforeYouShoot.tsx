import { useState } from 'react';
import { Bullets } from '../../parts/List';
import s from './PaperPlan.module.css';

const SEEN = 'merganser-before-you-shoot';

export const seenBeforeYouShoot = () => localStorage.setItem(SEEN, 'seen');

/** Set-up notes: open until a paper was begun with them, or they were closed. */
export function BeforeYouShoot({ lines }: { lines: string[] }) {
  const [open, setOpen] = useState(localStorage.getItem(SEEN) === null);
  const close = (still: boolean) => {
    setOpen(still);
    if (!still) seenBeforeYouShoot();
  };
  return (
    <details className={s.before} open={open} onToggle={(event) => close(event.currentTarget.open)}>
      <summary>Before you shoot</summary>
      <Bullets>
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </Bullets>
    </details>
  );
}
