import { useState } from 'react';
import type { Schemas } from '../api/client';
import { Key } from './Buttons';
import { Stepper } from './Stepper';
import w from './words.module.css';
import s from './MoveSteps.module.css';

/** A move as a technician tells it: one adjuster to a step, both legs of a yoke, or the spacers of both cams. */
export type MoveTold =
  | {
      adjuster: Schemas['AdjusterKind'];
      to: number;
      from: number | null;
      also?: { adjuster: Schemas['AdjusterKind']; to: number; from: number | null } | null;
    }
  | { yoke: { left: number; right: number } }
  | { spacers: { top: number; bottom: number; seats: Schemas['SeatsInput'] | null } };

const isYoke = (kind: string) => kind === 'yokePair' || kind === 'yokeLeftLeg' || kind === 'yokeRightLeg';

/** Two parts that are moved each for itself: the legs of a yoke, the spacers of two cams. */
export const isPair = (kind: string) => isYoke(kind) || kind === 'camSpacer';

const MIDDLE = 3;
const seatNames = [
  ['topLeft', 'Top cam, left'],
  ['topRight', 'Top cam, right'],
  ['bottomLeft', 'Bottom cam, left'],
  ['bottomRight', 'Bottom cam, right'],
] as const;

/**
 * What was moved by how much, and the move that it is; null while nothing was moved. It begins with the steps that were
 * advised: one leg shorter and the other longer, both cams the same way.
 */
export function useMoveSteps(adjuster: Schemas['AdjusterView'], advised = 0) {
  const [first, setFirst] = useState(advised);
  const [second, setSecond] = useState(isYoke(adjuster.kind) ? -advised : advised);
  const [seats, setSeats] = useState({ topLeft: MIDDLE, topRight: MIDDLE, bottomLeft: MIDDLE, bottomRight: MIDDLE });
  const unseated = adjuster.kind === 'camSpacer' && adjuster.seats === null;
  const told: MoveTold | null =
    first === 0 && second === 0
      ? null
      : isYoke(adjuster.kind)
        ? { yoke: { left: first, right: second } }
        : adjuster.kind === 'camSpacer'
          ? { spacers: { top: first, bottom: second, seats: unseated ? seats : null } }
          : { adjuster: adjuster.kind, from: adjuster.position, to: adjuster.position + first };
  return { first, setFirst, second, setSecond, seats, setSeats, unseated, told };
}

/** Where an adjuster stands at a step, in the hand's own words; nothing beyond its travel. */
export const placeOf = (adjuster: Schemas['AdjusterView'], at: number): string | undefined =>
  adjuster.places[(at - adjuster.lower) * (adjuster.halves ? 2 : 1)];

interface HalfProps {
  adjuster: Schemas['AdjusterView'];
  at: number;
  onChange: (at: number) => void;
}

/** Half a click more, and the same again without it; only where the adjuster stands between two clicks. */
export function HalfKey({ adjuster, at, onChange }: HalfProps) {
  const half = at !== Math.floor(at);
  return adjuster.halves ? (
    <Key aria-label="Half a click" aria-pressed={half} onClick={() => onChange(half ? Math.floor(at) : at + 0.5)}>
      ½
    </Key>
  ) : null;
}

interface Props {
  adjuster: Schemas['AdjusterView'];
  steps: ReturnType<typeof useMoveSteps>;
}

/** Steps by hand: one adjuster, both legs of a yoke, or both cams with the pieces in their seats. */
export function MoveSteps({ adjuster, steps }: Props) {
  const pair = isPair(adjuster.kind);
  const words = isYoke(adjuster.kind)
    ? ['Left leg', 'Right leg', 'shorter', 'longer', 'half twist']
    : pair
      ? ['Top cam', 'Bottom cam', 'left', 'right', 'size']
      : [adjuster.name, '', adjuster.plus, adjuster.minus, adjuster.stepUnit];
  const done = (what: string, by: number) =>
    by === 0 ? '' : `${what} ${Math.abs(by)} ${words[4]}${Math.abs(by) > 1 ? 's' : ''} ${words[by > 0 ? 2 : 3]}`;
  const { first, second } = steps;
  return (
    <>
      {steps.unseated && (
        <fieldset className={s.seats}>
          <legend>Which piece stood in each seat before? Read them off the cams.</legend>
          {seatNames.map(([seat, label]) => (
            <Stepper
              key={seat}
              label={label}
              value={steps.seats[seat]}
              onChange={(piece) => steps.setSeats({ ...steps.seats, [seat]: Math.min(5, Math.max(1, piece)) })}
            />
          ))}
        </fieldset>
      )}
      <Stepper label={words[0]!} value={first} onChange={steps.setFirst} bare halves={adjuster.halves}>
        <HalfKey adjuster={adjuster} at={first} onChange={steps.setFirst} />
      </Stepper>
      {pair && <Stepper label={words[1]!} value={second} onChange={steps.setSecond} bare />}
      <p className={w.muted} data-testid="move-words">
        {pair
          ? [done(words[0]!, first), done(words[1]!, second)].filter(Boolean).join('; ') ||
            `+ is one ${words[4]} ${words[2]}, − one ${words[4]} ${words[3]}.`
          : first === 0
            ? `+ ${adjuster.plus.toLowerCase()}; − ${adjuster.minus.toLowerCase()}.`
            : `It stands then: ${placeOf(adjuster, adjuster.position + first) ?? 'beyond its travel'}.`}
        {isYoke(adjuster.kind) &&
          first * second >= 0 &&
          first !== second &&
          ' One leg alone: timing will be asked again.'}
        {adjuster.needsPress && ' Only in the right press, by its manual.'}
      </p>
    </>
  );
}
