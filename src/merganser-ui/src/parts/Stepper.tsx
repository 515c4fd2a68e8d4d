import { useEffect, useRef, useState, type ReactNode } from 'react';
import { number } from '../units/units';
import { Key } from './Buttons';
import { useSteady } from './useSteady';
import w from './words.module.css';
import s from './Stepper.module.css';

interface Props {
  label: string;
  value: number;
  onChange: (next: number) => void;
  /** What a step either way is, for those who do not see the signs. */
  less?: string;
  more?: string;
  /** Shown without its sign: words beside it say which way. */
  bare?: boolean;
  /** Halves may be typed too. */
  halves?: boolean;
  children?: ReactNode;
}

/** A count of steps, a half as it is read: 2½. */
const shownAs = (count: number) => {
  const whole = Math.trunc(count);
  return count === whole ? number(count, 0) : `${whole || (count < 0 ? '−' : '')}½`;
};

/** What was typed as a count of steps, or null. */
export function stepsOf(text: string, halves: boolean): number | null {
  const plain = text.trim().replace('−', '-').replace(',', '.').replace(/\.5$/, '½');
  const found = /^([+-]?)(\d{0,3})(½?)$/.exec(plain);
  if (!found || (found[2] === '' && found[3] === '') || (found[3] !== '' && !halves)) return null;
  const count = Number(found[2]) + (found[3] === '' ? 0 : 0.5);
  return found[1] === '-' ? -count : count;
}

/** Steps by keys that may be held, by the arrow keys, or typed as a number. */
export function Stepper({ label, value, onChange, less, more, bare = false, halves = false, children }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const down = useHeld(() => onChange(value - 1));
  const up = useHeld(() => onChange(value + 1));
  const type = (text: string) => {
    setTyped(text);
    const count = stepsOf(text, halves);
    if (count === null) return;
    // A bare count goes the way that it went already.
    onChange(bare && value < 0 && !/^\s*[-+−]/.test(text) ? -count : count);
  };
  const wrong = typed !== null && stepsOf(typed, halves) === null && typed.trim() !== '';
  return (
    <div className={s.stepper}>
      <span className={w.label}>{label}</span>
      <Key {...down} aria-label={less ?? `${label}: one less`}>
        −
      </Key>
      <input
        className={s.count}
        inputMode="numeric"
        aria-label={`${label}: how many`}
        aria-invalid={wrong || undefined}
        value={typed ?? shownAs(bare ? Math.abs(value) : value)}
        onFocus={(event) => event.target.select()}
        onBlur={() => setTyped(null)}
        onChange={(event) => type(event.target.value)}
        onKeyDown={(event) => {
          if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
          event.preventDefault();
          setTyped(null);
          onChange(value + (event.key === 'ArrowUp' ? 1 : -1));
        }}
      />
      <Key {...up} aria-label={more ?? `${label}: one more`}>
        +
      </Key>
      {children}
    </div>
  );
}

const BEFORE_REPEAT = 450;
const REPEAT = 110;

/** A key that acts once when it is pressed, and again and again while it is held. */
function useHeld(act: () => void) {
  const now = useSteady(act);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const held = useRef(false);
  const stop = () => {
    if (timer.current) clearTimeout(timer.current);
    timer.current = null;
  };
  useEffect(() => stop, []);
  const again = () => {
    held.current = true;
    now();
    timer.current = setTimeout(again, REPEAT);
  };
  return {
    onPointerDown: () => {
      held.current = false;
      stop();
      timer.current = setTimeout(again, BEFORE_REPEAT);
    },
    onPointerUp: stop,
    onPointerLeave: stop,
    onPointerCancel: stop,
    // A long press on a phone opens no menu of the browser.
    onContextMenu: (event: { preventDefault: () => void }) => event.preventDefault(),
    onClick: () => {
      if (!held.current) now();
      held.current = false;
    },
  };
}
