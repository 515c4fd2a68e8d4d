import type { Schemas } from '../../api/client';
import { Key, Plain } from '../../parts/Buttons';
import { Note } from '../../parts/Note';
import l from '../../parts/layout.module.css';
import s from './TakeBack.module.css';

interface Props {
  moves: Schemas['MoveView'][];
  onTake: (loggedWrongly: boolean) => void;
  onLeave: () => void;
}

export const wordsOf = (moves: Schemas['MoveView'][]) => moves.map((m) => m.words).join('; ');

/** What was moved in one act is taken back as entries that were wrong, or as real moves the other way. */
export function TakeBack({ moves, onTake, onLeave }: Props) {
  return (
    <div className={s.taking} role="group" aria-label="How is it taken back?">
      <p>
        <b>{wordsOf(moves)}.</b> Was it logged wrongly, or turned back on the bow?
      </p>
      <p className={l.row}>
        <Key autoFocus onClick={() => onTake(true)}>
          It was logged wrongly
        </Key>
        <Key onClick={() => onTake(false)}>I turned it back on the bow</Key>
        <Plain onClick={() => onLeave()}>Leave it</Plain>
      </p>
    </div>
  );
}

/** Said when a shot or a move opened an accepted paper again. */
export function OpenAgain() {
  return (
    <Note word="Open again." role="status">
      This paper was accepted: that the bow shot well so is taken back until you accept it anew.
    </Note>
  );
}
