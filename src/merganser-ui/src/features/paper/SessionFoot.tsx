import type { ReactNode } from 'react';
import { Foot } from '../../shell/Foot';
import { kindName, toldBy, walkDistances } from './target/groupTypes';
import { isMarked, type Marking, type Paper } from './paperTypes';
import { sheetWords } from './sheetWords';
import type { PaperWork } from './usePaperWork';

interface Props {
  paper: Paper;
  work: PaperWork;
  marking: Marking | null;
  lookingAtMoves: boolean;
  undoKey: ReactNode;
  act: (action: string | null | undefined) => void;
  onKeep: () => void;
  onLeave: () => void;
}

/** What is next of the paper, of a shot that is being marked, or what is wrong. */
export function SessionFoot({ paper, work, marking, lookingAtMoves, undoKey, act, onKeep, onLeave }: Props) {
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
        alternative={leaving(marking, paper)}
        onAlternative={onLeave}
        extra={marking.arrow ? undoKey : undefined}
      />
    );
  if (work.problem && !lookingAtMoves)
    return (
      <Foot trouble sentence={work.problem.message} reason="Nothing was changed." button="I see" onGo={work.clear} />
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

/** The key that leaves the marking. */
function leaving(marking: Marking, paper: Paper): string {
  const last = paper.sets.at(-1)!;
  if (last.walk) return 'Read the walk';
  if (last.sighting || last.rangeTrial) return 'Read the hits';
  return marking.arrow ? 'Read the groups' : 'Leave it';
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
