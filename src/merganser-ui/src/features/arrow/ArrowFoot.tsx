import type { Schemas } from '../../api/client';
import { Foot } from '../../shell/Foot';
import type { useArrowWork } from './useArrowWork';

/** What is next of the arrow, or what is wrong with its keeping. */
export function ArrowFoot({
  work,
  kept,
  act,
}: {
  work: ReturnType<typeof useArrowWork>;
  kept: Schemas['ArrowVersion'] | null;
  act: (action: string | null | undefined) => void;
}) {
  const { save, figures, faults } = work;
  if (save.kind === 'conflict')
    return (
      <Foot
        trouble
        sentence="This arrow was changed in another place meanwhile."
        reason="Your build is still here. Keep yours, or take the other."
        button="Keep mine"
        onGo={() => work.resolve(true)}
        alternative="Take the other"
        onAlternative={() => work.resolve(false)}
      />
    );
  if (save.kind === 'lost')
    return (
      <Foot
        trouble
        sentence="Kept here, not yet saved."
        reason={save.message}
        button="Try again"
        onGo={() => void work.retry()}
      />
    );
  const fault = Object.values(faults)[0]?.[0];
  if (fault)
    return (
      <Foot
        trouble
        sentence="One entry needs another look."
        reason={fault}
        button="Undo it"
        onGo={work.undo}
        busy={!work.canUndo}
      />
    );
  if (work.notKept)
    return (
      <Foot trouble sentence={work.notKept} reason="Nothing is lost." button="Try again" onGo={() => act('keep')} />
    );
  if (figures.isError)
    return (
      <Foot
        trouble
        sentence="The figures could not be computed."
        reason={figures.error.message}
        button="Try again"
        onGo={() => void figures.refetch()}
      />
    );
  const next = figures.data?.reading.next;
  if (!next) return <Foot sentence="Opening the arrow …" reason="" button="Wait" busy onGo={() => undefined} />;
  const same = kept !== null && JSON.stringify(kept.typed) === JSON.stringify(work.draft);
  if (same && next.action === 'keep')
    return (
      <Foot
        sentence={`Version ${kept.number} is kept: shoot it through paper.`}
        reason="Cut one shaft first. Eye protection and a dust mask for carbon."
        button="To the paper"
        onGo={() => act('paper')}
      />
    );
  if (same && next.alternativeAction === 'keep')
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
}
