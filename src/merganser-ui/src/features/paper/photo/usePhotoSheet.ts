import { useState } from 'react';
import { keptAs, readKept, writeKept } from '../../../api/bench';
import { answer, api, type Schemas } from '../../../api/client';
import { useActs } from '../../../api/useActs';
import { usePhotographs, type Photograph } from '../../../pictures/usePhotographs';
import type { Hole } from '../paperTypes';
import { focusSheet } from '../sheetHands';

/** A photograph that lies under the sheet, and which place of it lies in the middle: inches from its upper left. */
interface Under {
  id: string;
  middle: Hole;
}

/** A sheet of a size that is known. */
export type Known = NonNullable<Schemas['SheetInput']['sheet']>;

/** What was pressed on a photograph: four corners unless it was taken straight on, then both ends of a length. */
interface Presses {
  straight: boolean;
  known: Known | null;
  points: Hole[];
  length: string;
}

const CORNERS = 4;
const NONE: Presses = { straight: false, known: null, points: [], length: '' };

const slot = (paperId: string) => keptAs(`under-${paperId}`);

/** The photographs of a set, and the one that lies under its sheet: it outlives a reload. */
export function usePhotoSheet(bowId: string, paperId: string, setId: string) {
  const photographs = usePhotographs(bowId, 'set', setId);
  const acts = useActs(`photo sheet ${setId}`);
  const [under, setUnderState] = useState(() => readKept<Under>(slot(paperId)));
  const [placing, setPlacing] = useState<Photograph | null>(null);
  const [presses, setPresses] = useState(NONE);
  const corners = presses.straight ? 0 : CORNERS;
  const wanted = corners + (presses.known ? 0 : 2);
  const [moving, setMoving] = useState(false);
  const setUnder = (next: Under | null) => {
    writeKept(slot(paperId), next);
    setUnderState(next);
    if (!next) setMoving(false);
  };
  const lay = ({ id, sheet }: Photograph) => {
    if (sheet) setUnder({ id, middle: { x: sheet.width / 2, y: sheet.height / 2 } });
  };
  const place = (picture: Photograph | null) => {
    acts.clear();
    setPresses(NONE);
    setPlacing(picture);
  };
  const lies = photographs.all.find((one) => one.id === under?.id && one.sheet !== null) ?? null;
  return {
    photographs,
    /** The one under the sheet. */
    lies,
    under:
      lies && under
        ? {
            id: lies.id,
            middle: under.middle,
            ...lies.sheet!,
            src: `/api/pictures/${lies.id}/sheet.jpg?${lies.sheet!.width}x${lies.sheet!.height}`,
          }
        : null,
    /** The one whose sheet is being shown to the program. */
    placing,
    place,
    presses,
    /** So many of the presses are corners, and so many are wanted in all. */
    corners,
    wanted,
    press: (changed: Partial<Presses>) => {
      acts.clear();
      setPresses({ ...presses, ...changed });
    },
    moving,
    setMoving,
    moveTo: (middle: Hole) => under && setUnder({ ...under, middle }),
    lay: (picture: Photograph) => (picture.sheet ? lay(picture) : place(picture)),
    takeAway: () => setUnder(null),
    faults: acts.faults,
    problem: acts.problem,
    busy: acts.busy,
    /** The presses are all there is: the sheet is squared, and lies under the other. */
    keep: async () => {
      if (!placing) return;
      const { known, points, length } = presses;
      const picture = placing;
      const pressed = {
        corners: points.slice(0, corners),
        sheet: known,
        from: known ? null : (points[corners] ?? null),
        to: known ? null : (points[corners + 1] ?? null),
        length: known ? null : length,
      };
      const placed = await acts.act(`sheet ${picture.id} ${JSON.stringify(pressed)}`, () =>
        answer(api.POST('/api/pictures/{id}/sheet', { params: { path: { id: picture.id } }, body: pressed })),
      );
      if (!placed) return;
      await photographs.told();
      place(null);
      lay(placed);
      setTimeout(focusSheet);
    },
  };
}

export type PhotoSheet = ReturnType<typeof usePhotoSheet>;
