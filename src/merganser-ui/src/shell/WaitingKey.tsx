import { useState } from 'react';
import { giveUp, isHeld, sendAgain, type Entry } from '../api/outbox';
import { useOutbox } from '../api/useOutbox';
import { Key, Plain } from '../parts/Buttons';
import { Popover } from '../parts/Popover';
import w from '../parts/words.module.css';
import s from './WaitingKey.module.css';

/** How much waits in this browser for the server; pressed, what it is. */
export function WaitingKey() {
  const entries = useOutbox();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  if (entries.length === 0) return null;
  const refused = entries.filter((entry) => entry.refused !== null).length;
  return (
    <>
      <Plain
        data-testid="waiting"
        aria-haspopup="dialog"
        aria-expanded={anchor !== null}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        {refused > 0 ? `${refused} refused` : `${entries.length} ${entries.length === 1 ? 'waits' : 'wait'}`}
      </Plain>
      <Popover anchor={anchor} onClose={() => setAnchor(null)} label="What waits for the server" at="above">
        <WaitingList entries={entries} />
      </Popover>
    </>
  );
}

/** Entries that wait, in order; what was refused stands with what the server says beside what was entered. */
export const WaitingList = ({ entries }: { entries: readonly Entry[] }) => (
  <ol className={s.list}>
    {entries.map((entry) => (
      <li key={entry.id} data-refused={entry.refused !== null || undefined}>
        <b>{entry.words}</b>
        <small className={w.muted}>{stands(entry)}</small>
        <span className={s.acts}>
          {entry.refused !== null && (
            <Key onClick={() => void sendAgain(entry)}>{entry.asked ? 'Yes, keep it' : 'Send it once more'}</Key>
          )}
          <Plain onClick={() => void giveUp(entry.id)}>Give it up</Plain>
        </span>
      </li>
    ))}
  </ol>
);

function stands(entry: Entry): string {
  if (entry.refused !== null) return `Entered ${clock(entry.at)}. The server says: ${entry.refused}`;
  if (isHeld(entry)) return `Entered ${clock(entry.at)}; held until the one before it is settled`;
  return `Entered ${clock(entry.at)}; sent by itself once the server is back`;
}

const clock = (at: string) => new Date(at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
