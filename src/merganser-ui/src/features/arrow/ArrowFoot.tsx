import { memo } from 'react';
import type { Schemas } from '../../api/client';
import { Foot } from '../../shell/Foot';
import type { SaveState } from './useArrowWork';

/** What is next of the arrow, or what is wrong with its keeping. */
export const ArrowFoot = memo(function ArrowFoot({
  save,
  fault,
  notKept,
  unread,
  next,
  kept,
  same,
  undo,
  act,
  resolve,
  retry,
  again,
}: {
  save: SaveState;
  /** What is wrong with an entry. */
  fault?: string;
  /** Why the version could not be kept. */
  notKept: string | null;
  /** Why there are no figures. */
  unread?: string;
  next?: Schemas['ArrowReading']['next'];
  kept: Schemas['ArrowVersion'] | null;
  /** True where the arrow is as the version that is kept. */
  same: boolean;
  /** Null where there is nothing to undo. */
  undo: (() => void) | null;
  act: (action: string | null | undefined) => void;
  resolve: (mine: boolean) => void;
  retry: () => Promise<void>;
  /** Asks for the figures once more. */
  again: () => void;
}) {
  if (save.kind === 'conflict')
    return (
      <Foot
        trouble
        sentence="This arrow was changed in another place meanwhile."
        reason="Your build is still here. Keep yours, or take the other."
        button="Keep mine"
        onGo={() => resolve(true)}
        alternative="Take the other"
        onAlternative={() => resolve(false)}
      />
    );
  if (save.kind === 'lost')
    return (
      <Foot
        trouble
        sentence="Kept here, not yet saved."
        reason={save.message}
        button="Try again"
        onGo={() => void retry()}
      />
    );
  if (fault)
    return (
      <Foot
        trouble
        sentence="One entry needs another look."
        reason={fault}
        button="Undo it"
        onGo={undo ?? (() => undefined)}
        busy={undo === null}
      />
    );
  if (notKept)
    return <Foot trouble sentence={notKept} reason="Nothing is lost." button="Try again" onGo={() => act('keep')} />;
  if (unread)
    return (
      <Foot trouble sentence="The figures could not be computed." reason={unread} button="Try again" onGo={again} />
    );
  if (!next) return <Foot sentence="Opening the arrow …" reason="" button="Wait" busy onGo={() => undefined} />;
  if (kept && same && next.action === 'keep')
    return (
      <Foot
        sentence={`Version ${kept.number} is kept: shoot it through paper.`}
        reason="Cut one shaft first. Eye protection and a dust mask for carbon."
        button="To the paper"
        onGo={() => act('paper')}
      />
    );
  if (kept && same && next.alternativeAction === 'keep')
    return (
      <Foot
        sentence={`Version ${kept.number} is kept as it is.`}
        reason={`${next.sentence} ${next.reason}`}
        button="To the paper"
        onGo={() => act('paper')}
        alternative={next.button}
        onAlternative={() => act(next.action)}
      />
    );
  return (
    <Foot
      sentence={next.sentence}
      reason={next.reason}
      button={next.button}
      onGo={() => act(next.action)}
      alternative={next.alternative}
      onAlternative={() => act(next.alternativeAction)}
    />
  );
});
