import { Plain } from '../../parts/Buttons';
import { classes } from '../../parts/classes';
import { show } from '../../units/units';
import { useFigures, useUnits } from '../../units/UnitsContext';
import type { Dozen } from './useDozen';
import tray from './Tray.module.css';
import w from '../../parts/words.module.css';

type Piece = Dozen['heads']['pieces'][number];

interface Props {
  kind: string;
  pieces: Piece[];
  /** How many places are drawn. */
  places: number;
  /** The place that is weighed next. */
  next: number;
  /** The lightest and the heaviest, grains. */
  between: [number, number] | null;
  onAgain: (number: number) => void;
  onBack: (piece: Piece) => void;
}

/** The pieces of a class in their places: any of them is weighed again or taken back. */
export function PieceTray({ kind, pieces, places, next, between, onAgain, onBack }: Props) {
  const units = useUnits();
  const { figure } = useFigures();
  return (
    <section aria-label="The tray">
      <h2>
        Tray{' '}
        <small className={w.muted}>
          {between && `${figure(between[0], 'gr', 1)} to ${figure(between[1], 'gr', 1)}`}
        </small>
      </h2>
      <ol className={tray.tray} data-testid="tray">
        {Array.from({ length: places }, (_, i) => {
          const piece = pieces.find((p) => p.number === i + 1);
          return (
            <li
              key={i}
              className={classes(piece && tray.filled, piece?.odd && tray.odd, i + 1 === next && tray.here)}
              data-odd={piece?.odd || undefined}
              data-filled={piece !== undefined || undefined}
            >
              <small>{i + 1}</small>
              {piece && (
                <Plain
                  className={classes(tray.act, w.tabular)}
                  aria-label={`Weigh ${kind} ${piece.number} again, ${show(piece.grains, 'gr', 1, units).value}`}
                  title="weigh it again"
                  onClick={() => onAgain(piece.number)}
                >
                  <b>{show(piece.grains, 'gr', 1, units).value}</b>
                </Plain>
              )}
              {piece?.odd && <em>odd</em>}
              {piece && (
                <Plain
                  className={tray.act}
                  aria-label={`Take back ${kind} ${piece.number}`}
                  onClick={() => onBack(piece)}
                >
                  back
                </Plain>
              )}
            </li>
          );
        })}
      </ol>
      <p className={w.muted}>
        A weight pressed is weighed again. <kbd>Enter</kbd> takes at once, <kbd>Backspace</kbd> takes the last one back,{' '}
        <kbd>0</kbd> tares, <kbd>T</kbd> tone.
      </p>
    </section>
  );
}
