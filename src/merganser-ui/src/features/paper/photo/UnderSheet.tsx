import { Plain } from '../../../parts/Buttons';
import { ChoiceRow } from '../../../parts/ChoiceRow';
import { Fold } from '../../../parts/Fold';
import { AddPhotograph, Thumbs } from '../../../pictures/Photographs';
import l from '../../../parts/layout.module.css';
import w from '../../../parts/words.module.css';
import type { PhotoSheet } from './usePhotoSheet';

/** A photograph of the paper under the sheet, to mark its holes on. */
export function UnderSheet({ photo }: { photo: PhotoSheet }) {
  const { lies, photographs } = photo;
  return (
    <Fold words="A photograph of the paper" open={lies !== null || undefined}>
      {/* Until it is known whether one lies there, neither is said. */}
      {!photographs.reading && (
        <div data-testid="under-sheet">
          {lies ? (
            <>
              <p>{lies.sheet!.words}</p>
              <ChoiceRow
                label="What a press on the sheet does"
                value={photo.moving}
                choices={[
                  [false, 'Marks a hole'],
                  [true, 'Moves the photograph'],
                ]}
                onChange={photo.setMoving}
              />
              <p className={w.muted}>
                {photo.moving
                  ? 'Drag the next tear into the middle; arrow keys move it as well.'
                  : 'Holes are marked on it in true size.'}
              </p>
              <div className={l.row}>
                <Plain onClick={() => photo.place(lies)}>Say anew where its sheet lies</Plain>
                <Plain onClick={photo.takeAway}>Take it away</Plain>
              </div>
            </>
          ) : (
            <>
              <p className={w.muted}>
                Lay a photograph of this paper under the sheet and mark the holes on it: its corners square it, a length
                that you know gives its scale.
              </p>
              <Thumbs
                pictures={photographs.all}
                open={null}
                onOpen={(id) => photo.lay(photographs.all.find((one) => one.id === id)!)}
              />
              <AddPhotograph work={photographs} onAdded={photo.lay} />
            </>
          )}
        </div>
      )}
    </Fold>
  );
}
