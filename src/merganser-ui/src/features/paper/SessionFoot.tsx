import type { ReactNode } from 'react';
import { askAgain } from '../../api/connection';
import type { Entry } from '../../api/outbox';
import { Foot } from '../../shell/Foot';
import { Plain } from '../../parts/Buttons';
import { kindName, toldBy, walkDistances } from './target/groupTypes';
import { isMarked, type Marking, type Paper } from './paperTypes';
import { sheetWords } from './sheetWords';
import type { PhotoSheet } from './photo/usePhotoSheet';
import type { PaperWork } from './usePaperWork';

interface Props {
  paper: Paper;
  work: PaperWork;
  marking: Marking | null;
  /** A photograph whose sheet is being shown. */
  photo: PhotoSheet | null;
  lookingAtMoves: boolean;
  /** What waits in this browser: what is next goes by the server's reading of it. */
  waits: readonly Entry[];
  /** What waits is shot on another sheet: nothing is marked before the server lays it out. */
  other: boolean;
  onMark: () => void;
  undoKey: ReactNode;
  act: (action: string | null | undefined) => void;
  onKeep: () => void;
  onLeave: () => void;
}

/** What is next of the paper, of a shot that is being marked, or what is wrong. */
export function SessionFoot({
  paper,
  work,
  marking,
  photo,
  lookingAtMoves,
  waits,
  other,
  onMark,
  undoKey,
  act,
  onKeep,
  onLeave,
}: Props) {
  if (work.unreachable)
    return (
      <Foot
        trouble
        sentence="Kept here, not yet saved."
        reason="The bench’s server does not answer. What you marked stays in this browser."
        button="Try again"
        busy={work.busy}
        onGo={() => (marking ? onKeep() : void work.newest.refetch().then(work.clear))}
      />
    );
  if (photo)
    return (
      <Foot
        trouble={photo.problem !== null}
        sentence={photo.problem?.message ?? 'Show where the sheet lies in the photograph.'}
        reason={
          photo.problem
            ? 'Your presses are still here.'
            : 'Its corners square it, a length that is known gives its scale.'
        }
        button="Lay it under the sheet"
        busy={photo.busy || photo.presses.points.length < photo.wanted}
        onGo={() => void photo.keep()}
        alternative="Leave it"
        onAlternative={() => photo.place(null)}
      />
    );
  if (marking)
    return (
      <Foot
        trouble={work.problem !== null}
        sentence={work.problem?.message ?? sentenceOf(marking, paper)}
        reason={
          work.problem ? 'Your marks are still here.' : 'A fault is kept and voided with its reason, not left out.'
        }
        button={marking.arrow ? 'Set it here' : 'Keep this shot'}
        busy={!isMarked(marking) || work.busy}
        onGo={onKeep}
        alternative={marking.arrow ? null : 'Leave it'}
        onAlternative={onLeave}
        extra={
          marking.arrow && (
            <>
              {undoKey}
              <Plain onClick={onLeave}>{leaving(paper)}</Plain>
            </>
          )
        }
      />
    );
  if (work.problem && !lookingAtMoves)
    return (
      <Foot trouble sentence={work.problem.message} reason="Nothing was changed." button="I see" onGo={work.clear} />
    );
  if (waits.length > 0)
    return (
      <Foot
        trouble
        sentence={
          waits.some((entry) => entry.refused !== null) ? 'Settle what was refused.' : 'Kept here, not yet sent.'
        }
        reason={
          other
            ? 'What is shot next goes on another sheet: the server lays it out.'
            : 'Advice is held back until the server has read what was entered. Marking and logging go on.'
        }
        button={other ? 'Ask the server now' : 'Mark the next shot'}
        busy={work.busy}
        onGo={other ? () => void askAgain() : onMark}
        extra={undoKey}
      />
    );
  return (
    <Foot
      sentence={paper.next.sentence}
      reason={paper.next.reason}
      button={paper.next.button}
      guarded={paper.next.action === 'madeMove'}
      busy={work.busy}
      onGo={() => act(paper.next.action)}
      alternative={paper.next.alternative}
      onAlternative={() => act(paper.next.alternativeAction)}
      extra={undoKey}
    />
  );
}

/** The key that leaves the marking at a target. */
function leaving(paper: Paper): string {
  const last = paper.sets.at(-1)!;
  if (last.walk) return 'Read the walk';
  if (last.sighting || last.rangeTrial) return 'Read the hits';
  return 'Read the groups';
}

function sentenceOf(marking: Marking, paper: Paper): string {
  if (marking.arrow) {
    const from = walkDistances(paper.sets.at(-1)!).find((d) => d.typed === marking.distance)?.name;
    const told = toldBy(paper.sets.at(-1)!, marking).find((t) => t.chosen);
    const what = told?.words ?? (marking.distance ? `from ${from ?? marking.distance}` : kindName[marking.arrow]);
    return isMarked(marking) ? `Set this hit: ${what}.` : `Mark where it struck: ${what}.`;
  }
  if (isMarked(marking)) return 'Keep this shot.';
  const words = sheetWords(paper.sets.at(-1)!.nockEnd !== null);
  return marking.point ? words.footEnd : words.footPoint;
}
