import type { Paper, ShotSet } from '../paperTypes';
import type { MarkTold, PaperWork } from '../usePaperWork';
import { Conditions } from './Conditions';
import { HeadsPanel } from './HeadsPanel';
import { WalkPanel } from './WalkPanel';

interface Props {
  paper: Paper;
  set: ShotSet;
  work: PaperWork;
  onMoved: (told: MarkTold) => Promise<void>;
}

/** What a set at a target shows besides its reading: what heads ask for, how a walk-back drifts, how it was shot. */
export function AtTarget({ paper, set, work, onMoved }: Props) {
  const both = { paper, work, onMoved: (told: MarkTold) => void onMoved(told) };
  return (
    <>
      {paper.heads && set === paper.sets.at(-1) && <HeadsPanel key={paper.heads.sight?.words} {...both} />}
      {set.walk && <WalkPanel key={paper.walkSight?.sight?.words} {...both} set={set} />}
      <Conditions key={set.id} paper={paper} set={set} work={work} />
    </>
  );
}
