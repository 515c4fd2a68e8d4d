import { useEffect, useRef, useState } from 'react';
import { NoteField } from '../../parts/NoteField';
import type { Schemas } from '../../api/client';
import { useEscape } from '../../shell/focus';
import { number } from '../../units/units';
import { Key, Plain } from '../../parts/Buttons';
import { Fault } from '../../parts/Note';
import type { SetupWork } from './useSetup';
import w from '../../parts/words.module.css';
import l from '../../parts/layout.module.css';
import s from './MoveForm.module.css';

interface Props {
  adjuster: Schemas['AdjusterView'];
  work: SetupWork;
  onDone: () => void;
}

const isYoke = (kind: string) => kind === 'yokePair' || kind === 'yokeLeftLeg' || kind === 'yokeRightLeg';

/** Logs a move as it was made: steps, both legs of a yoke, or the pieces in the four seats of the spacers. */
export function MoveForm({ adjuster, work, onDone }: Props) {
  const form = useRef<HTMLDivElement>(null);
  useEscape(true, onDone);
  useEffect(() => {
    form.current?.querySelector('button')?.focus();
  }, []);
  const [first, setFirst] = useState(0);
  const [second, setSecond] = useState(0);
  const [note, setNote] = useState('');
  const yoke = isYoke(adjuster.kind);
  const spacers = adjuster.kind === 'camSpacer';
  const log = async () => {
    const rest = { note, happenedAt: null };
    const none = { adjuster: null, to: null, yoke: null, spacers: null, from: null };
    const ok = yoke
      ? await work.move({ ...none, yoke: { left: first, right: second }, ...rest })
      : spacers
        ? await work.move({ ...none, spacers: { top: first, bottom: second }, ...rest })
        : await work.move({
            ...none,
            adjuster: adjuster.kind,
            from: adjuster.position,
            to: adjuster.position + first,
            ...rest,
          });
    if (ok) onDone();
  };
  const words = yoke
    ? ['Left leg', 'Right leg', 'shorter', 'longer', 'half twist']
    : spacers
      ? ['Top cam', 'Bottom cam', 'left', 'right', 'size']
      : [adjuster.name, '', adjuster.plus, adjuster.minus, adjuster.stepUnit];
  const done = (what: string, steps: number) =>
    steps === 0
      ? ''
      : `${what} ${Math.abs(steps)} ${words[4]}${Math.abs(steps) > 1 ? 's' : ''} ${words[steps > 0 ? 2 : 3]}`;
  const stepper = (label: string, value: number, set: (next: number) => void) => (
    <div className={s.stepper}>
      <span className={w.label}>{label}</span>
      <Key onClick={() => set(value - 1)} aria-label={`${label}: one less`}>
        −
      </Key>
      <b className={w.tabular}>{number(Math.abs(value), 0)}</b>
      <Key onClick={() => set(value + 1)} aria-label={`${label}: one more`}>
        +
      </Key>
    </div>
  );
  const fault = Object.values(work.faults)[0]?.[0] ?? work.problem?.message;
  return (
    <div ref={form} className={s.form} data-testid="move-form">
      {stepper(words[0]!, first, setFirst)}
      {(yoke || spacers) && stepper(words[1]!, second, setSecond)}
      <p className={w.muted} data-testid="move-words">
        {yoke || spacers
          ? [done(words[0]!, first), done(words[1]!, second)].filter(Boolean).join('; ') ||
            `+ is one ${words[4]} ${words[2]}, − one ${words[4]} ${words[3]}.`
          : first === 0
            ? `+ ${adjuster.plus.toLowerCase()}; − ${adjuster.minus.toLowerCase()}.`
            : `It stands then: ${adjuster.places[adjuster.position + first - adjuster.lower] ?? 'beyond its travel'}.`}
        {yoke && first * second >= 0 && first !== second && ' One leg alone: timing will be asked again.'}
        {adjuster.needsPress && ' Only in the right press, by its manual.'}
      </p>
      <NoteField label="Note on the move" value={note} onChange={setNote} />
      {fault && <Fault>{fault}</Fault>}
      <div className={l.row}>
        <Key disabled={work.busy || (first === 0 && second === 0)} onClick={() => void log()} data-testid="log-move">
          Log this move
        </Key>
        <Plain onClick={onDone}>Nothing was moved</Plain>
      </div>
    </div>
  );
}
