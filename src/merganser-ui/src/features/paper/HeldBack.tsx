import { askAgain } from '../../api/connection';
import type { Entry } from '../../api/outbox';
import { Key } from '../../parts/Buttons';
import { Note } from '../../parts/Note';
import { WaitingList } from '../../shell/WaitingKey';
import { Pane } from './Pane';

/**
 * What is read and advised waits, while something that was entered is not in it yet; with `other` what is shot next goes
 * on another sheet.
 */
export function HeldBack({ entries, other }: { entries: readonly Entry[]; other: boolean }) {
  const refused = entries.some((entry) => entry.refused !== null);
  return (
    <Pane label="Advice is held back" testId="held-back">
      <h2>Advice is held back</h2>
      <Note
        word={refused ? 'Refused.' : 'Not sent yet.'}
        act={!refused && !other && <Key onClick={() => void askAgain()}>Ask the server now</Key>}
      >
        {refused
          ? 'Something that was entered while the server was away is not as it could be. Settle it first.'
          : other
            ? 'What was entered while the server was away is sent by itself; what is shot next goes on another sheet.'
            : 'What was entered while the server was away is not in the reading. Go on marking: it is sent by itself.'}
      </Note>
      <WaitingList entries={entries} />
    </Pane>
  );
}
