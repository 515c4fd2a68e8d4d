import type { Marking, Paper } from './paperTypes';
import { MarkingPanel } from './MarkingPanel';
import { MarkingSheet } from './MarkingSheet';
import { HitPanel } from './target/HitPanel';
import { TargetMarking } from './target/TargetMarking';
import type { PaperWork } from './usePaperWork';
import { PhotoPlacing } from './photo/PhotoPlacing';
import type { PhotoSheet } from './photo/usePhotoSheet';

interface Props {
  marking: Marking;
  paper: Paper;
  work: PaperWork;
  photo: PhotoSheet;
  /** Shots of the set, with those that wait in this browser. */
  count: number;
  /** Pixels to the inch of a sheet, and half the width of a face in inches. */
  scale: { px: number; half: number };
  onScale: (scale: { px: number; half: number }) => void;
  onChange: (marking: Marking) => void;
  onKeep: (marking?: Marking) => void;
  onCancel: () => void;
}

/** A shot that is being marked: its sheet or face, and what is said of it beside. */
export function SessionMarking({
  marking,
  paper,
  work,
  photo,
  count,
  scale,
  onScale,
  onChange,
  onKeep,
  onCancel,
}: Props) {
  const last = paper.sets.at(-1)!;
  const nock = last.nockEnd !== null;
  const both = { marking, onChange, faults: work.faults, arrowNumbers: paper.plan.arrowNumbers };
  if (!marking.arrow && photo.placing)
    return <PhotoPlacing key={photo.placing.id} picture={photo.placing} photo={photo} />;
  return marking.arrow ? (
    <>
      <TargetMarking
        marking={marking}
        set={last}
        half={scale.half}
        onChange={onChange}
        onKeep={onKeep}
        onCancel={onCancel}
      />
      <HitPanel
        key={count}
        {...both}
        set={last}
        half={scale.half}
        onHalf={(half) => onScale({ ...scale, half })}
        onKeep={() => onKeep()}
      />
    </>
  ) : (
    <>
      <MarkingSheet
        nock={nock}
        marking={marking}
        px={scale.px}
        photo={nock ? undefined : photo}
        onChange={onChange}
        onKeep={() => onKeep()}
        onCancel={onCancel}
      />
      <MarkingPanel
        {...both}
        nock={nock}
        number={count + 1}
        px={scale.px}
        photo={nock ? undefined : photo}
        sizes={work.choices.data?.sizes ?? []}
        onScale={(px) => onScale({ ...scale, px })}
        onKeep={() => onKeep()}
      />
    </>
  );
}
