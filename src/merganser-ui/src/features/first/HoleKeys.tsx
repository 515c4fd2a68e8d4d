import { ButtonBase } from '@mui/material';
import type { Schemas } from '../../api/client';
import { Key } from '../../parts/Buttons';
import { tearPath } from '../../drawing/tear';
import { useFigures } from '../../units/UnitsContext';
import { holes, holeWords, type Pressed } from './questions';
import w from '../../parts/words.module.css';
import s from './FirstPage.module.css';

const offered = ['quarter', 'half', 'inch', 'two'];
const PX = 26;
const LONG = 0.8;

interface Props {
  /** The hole is the question that is open: the keyboard's hand comes here. */
  asked: boolean;
  hole: Pressed | null;
  size: string;
  sizes: readonly Schemas['SaidSize'][];
  onPress: (hole: Pressed) => void;
  onSize: (size: string) => void;
}

/** Nine holes as they look in the paper, to press; then how long it is. */
export function HoleKeys({ asked, hole, size, sizes, onPress, onSize }: Props) {
  const { rule } = useFigures();
  return (
    <>
      <div className={s.holes} role="group" tabIndex={-1} data-first={asked || undefined} aria-label="The hole">
        {holes.map((one) => {
          const words = holeWords(one);
          return (
            <ButtonBase
              key={words}
              className={s.hole}
              aria-pressed={hole?.x === one.x && hole.y === one.y}
              onClick={() => onPress(one)}
            >
              <svg viewBox="-40 -28 80 56" aria-hidden="true">
                <g transform={`translate(${-one.x * 10} ${one.y * 10})`}>
                  <path
                    d={tearPath({ x: one.x * LONG, y: one.y * LONG }, PX, words, 3)}
                    fill="var(--hole)"
                    fillRule="nonzero"
                  />
                </g>
              </svg>
              {words}
            </ButtonBase>
          );
        })}
      </div>
      {hole && (hole.x !== 0 || hole.y !== 0) && (
        <div className={s.hanging} role="group" aria-label="How far apart">
          <p className={w.muted}>How far is the tail’s hole from the point’s?</p>
          <div className={s.usual}>
            {sizes
              .filter((one) => offered.includes(one.code))
              .map((one) => (
                <Key key={one.code} aria-pressed={size === one.code} onClick={() => onSize(one.code)}>
                  {rule(one.inches)}
                </Key>
              ))}
          </div>
        </div>
      )}
    </>
  );
}
