import type { Schemas } from '../../api/client';
import { Pick } from '../../parts/Pick';
import { stageOf } from './stages';
import { counted, type Paper } from './paperTypes';
import type { NextSet } from './usePaperWork';

/** The next arrow of a trial: the bow stays as it is. */
export function NextArrow({
  paper,
  arrows,
  onTake,
}: {
  paper: Paper;
  arrows: Schemas['ArrowRow'][];
  onTake: (set: NextSet) => void;
}) {
  const last = paper.sets.at(-1)!;
  return (
    <Pick
      label="Next arrow of the trial"
      value=""
      disabled={counted(last).length === 0}
      onChange={(arrowVersionId) => onTake({ ...stageOf(last), arrowVersionId })}
    >
      <option value="" disabled>
        Take the next arrow
      </option>
      {arrows
        .filter((a) => a.kept)
        .map((a) => (
          <option key={a.id} value={a.kept!.id}>
            {a.kept!.typed.name}
          </option>
        ))}
    </Pick>
  );
}
