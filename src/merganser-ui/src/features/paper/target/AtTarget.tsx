import type { Paper, ShotSet } from '../paperTypes';
import { isOfSight } from '../stages';
import type { MarkTold, PaperWork } from '../usePaperWork';
import { Conditions } from './Conditions';
import { HeadsPanel } from './HeadsPanel';
import { RangingPanel } from './RangingPanel';
import { SightingPanel } from './SightingPanel';
import { SightPart } from './SightPart';
import { WalkPanel } from './WalkPanel';
import l from '../../../parts/layout.module.css';

interface Props {
  paper: Paper;
  archerId: string;
  set: ShotSet;
  work: PaperWork;
  onMoved: (told: MarkTold) => Promise<void>;
}

/** What a set at a target shows besides its reading: what heads ask for, how a walk-back drifts, how it was shot. */
export function AtTarget({ paper, archerId, set, work, onMoved }: Props) {
  const both = { paper, work, onMoved: (told: MarkTold) => void onMoved(told) };
  return (
    <div className={l.column} data-testid="at-target">
      {paper.heads && set === paper.sets.at(-1) && <HeadsPanel key={paper.heads.sight?.words} {...both} />}
      {set.walk && <WalkPanel set={set} />}
      {set.sighting && <SightingPanel paper={paper} set={set} />}
      {set.rangeTrial && <RangingPanel archerId={archerId} trial={set.rangeTrial} />}
      {isOfSight(set) && set === paper.sets.at(-1) && paper.sightAnswer?.sight && (
        <SightPart key={paper.sightAnswer.sight.words} heads={false} sight={paper.sightAnswer.sight} {...both} />
      )}
      <Conditions key={set.id} paper={paper} set={set} work={work} />
    </div>
  );
}
