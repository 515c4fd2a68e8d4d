import type { ReactNode } from 'react';
import { Fold } from '../../parts/Fold';
import l from '../../parts/layout.module.css';
import s from './BowPage.module.css';

interface Props {
  words: string;
  /** What stands in it, in a few words; nothing while all of it is empty. */
  holds?: (string | null | undefined | false)[];
  /** The fields in it: where one of them is at fault it is open. */
  fields: string[];
  faults: Record<string, string[]>;
  children: ReactNode;
}

/** A part of the bow's form that is seldom needed: it says what it holds, and unfolds on press or where a fault is. */
export function More({ words, holds = [], fields, faults, children }: Props) {
  const held = holds.filter(Boolean).join(', ');
  return (
    <div className={s.more}>
      <Fold words={held ? `${words}: ${held}` : words} open={fields.some((field) => field in faults) || undefined}>
        <div className={l.fields}>{children}</div>
      </Fold>
    </div>
  );
}
