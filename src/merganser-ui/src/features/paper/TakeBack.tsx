import { ButtonBase } from '@mui/material';
import type { Schemas } from '../../api/client';

interface Props {
  move: Schemas['MoveView'];
  onTake: (loggedWrongly: boolean) => void;
  onLeave: () => void;
}

/** A move is taken back as an entry that was wrong, or as a real move the other way. */
export function TakeBack({ move, onTake, onLeave }: Props) {
  return (
    <div className="taking" role="group" aria-label="How is it taken back?">
      <p>
        <b>{move.words}.</b> Was it logged wrongly, or turned back on the bow?
      </p>
      <p className="row">
        <ButtonBase className="key" autoFocus onClick={() => onTake(true)}>
          It was logged wrongly
        </ButtonBase>
        <ButtonBase className="key" onClick={() => onTake(false)}>
          I turned it back on the bow
        </ButtonBase>
        <ButtonBase className="plain" onClick={() => onLeave()}>
          Leave it
        </ButtonBase>
      </p>
    </div>
  );
}

/** Said when a shot or a move opened an accepted paper again. */
export function OpenAgain() {
  return (
    <p className="caution" role="status">
      <span>
        <b>Open again.</b>This paper was accepted: that the bow shot well so is taken back until you accept it anew.
      </span>
    </p>
  );
}
