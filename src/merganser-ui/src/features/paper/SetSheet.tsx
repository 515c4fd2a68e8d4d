import type { Paper, ShotSet } from './paperTypes';
import { ReadingSheet } from './ReadingSheet';
import { SightingSheet, TargetSheet } from './target/TargetSheet';
import { WalkSheet } from './target/WalkSheet';
import { RangeSheet, WaysSheet } from './target/WaysSheet';

/** A set as it was shot: the paper with its tears, or the target by what it was shot for. */
export function SetSheet({ paper, set }: { paper: Paper; set: ShotSet }) {
  if (set.walk) return <WalkSheet paper={paper} set={set} />;
  if (set.sighting) return <SightingSheet set={set} />;
  if (set.ways) return <WaysSheet paper={paper} set={set} />;
  if (set.rangeTrial) return <RangeSheet paper={paper} set={set} />;
  if (set.groups) return <TargetSheet set={set} />;
  return <ReadingSheet paper={paper} set={set} />;
}
