import { Plain } from '../../parts/Buttons';
import { classes } from '../../parts/classes';
import { middleTick, PLACE, pieceMark, pieceOutline } from '../../drawing/tray';
import { show, showChange } from '../../units/units';
import { useFigures, useUnits } from '../../units/UnitsContext';
import type { Dozen } from './useDozen';
import tray from './Tray.module.css';
import s from './PieceTray.module.css';
import w from '../../parts/words.module.css';

type PieceClass = Dozen['classes'][number];
type Piece = PieceClass['pieces'][number];

interface Props {
  kind: string;
  pieces: Piece[];
  /** How many places are drawn. */
  places: number;
  /** The place that is weighed next. */
  next: number;
  /** What the class weighs; null where nothing of it was weighed. */
  of: Pick<PieceClass, 'lightest' | 'middle' | 'heaviest'> | null;
  onAgain: (number: number) => void;
  onBack: (piece: Piece) => void;
}

/** The pieces of a class in their places, each beside the middle one: any of them is weighed again or taken back. */
export function PieceTray({ kind, pieces, places, next, of, onAgain, onBack }: Props) {
  const units = useUnits();
  const { figure } = useFigures();
  const most = Math.max(0, ...pieces.map((p) => Math.abs(p.fromMiddle)));
  return (
    <section aria-label="The tray">
      <h2>
        Tray{' '}
        <small className={w.muted}>
          {of?.middle != null &&
            `${figure(of.lightest!, 'gr', 1)} to ${figure(of.heaviest!, 'gr', 1)}, the middle one ${figure(of.middle, 'gr', 1)}`}
        </small>
      </h2>
      <ol className={classes(tray.tray, s.places)} data-testid="tray">
        {Array.from({ length: places }, (_, i) => {
          const piece = pieces.find((p) => p.number === i + 1);
          return (
            <li
              key={i}
              className={classes(s.place, piece && tray.filled, piece?.odd && tray.odd, i + 1 === next && tray.here)}
              data-odd={piece?.odd || undefined}
              data-filled={piece !== undefined || undefined}
            >
              <small>{i + 1}</small>
              <svg
                className={classes(s.piece, !piece && s.open)}
                viewBox={`0 0 ${PLACE.width} ${PLACE.height}`}
                width={PLACE.width}
                height={PLACE.height}
                aria-hidden="true"
              >
                <path d={pieceOutline(kind)} />
                {piece && <path className={s.tick} d={middleTick} />}
                {piece && <path className={s.mark} d={pieceMark(piece.fromMiddle, most)} data-testid="piece-mark" />}
              </svg>
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
              {piece && (
                <small className={classes(s.change, w.tabular)}>
                  {piece.odd && <em>odd </em>}
                  {showChange(piece.fromMiddle, 'gr', 1, units)}
                </small>
              )}
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
        The mark beside a piece: above the line it is heavier than the middle one. A weight pressed is weighed again.{' '}
        <kbd>Enter</kbd> takes at once, <kbd>Backspace</kbd> takes the last one back, <kbd>0</kbd> tares, <kbd>T</kbd>{' '}
        tone.
      </p>
    </section>
  );
}
