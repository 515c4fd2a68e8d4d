import { useState } from 'react';
import { Field } from '../../parts/Field';
import { number } from '../../units/units';
import { Plain } from '../../parts/Buttons';
import { ChoiceRow } from '../../parts/ChoiceRow';
import { Note } from '../../parts/Note';
import type { Dozen, DozenWork } from './useDozen';
import { blank } from './WeighPane';
import w from '../../parts/words.module.css';
import tray from './Tray.module.css';
import panes from './Panes.module.css';

const grades = ['good', 'fair', 'poor'];

/** Each shaft spun and looked at: run-out, spine, its stiff side, and whether it is sound. */
export function SpinPane({ dozen, work }: { dozen: Dozen; work: DozenWork }) {
  const weighed = dozen.classes.find((c) => c.name === 'Shaft')?.pieces.map((p) => p.number) ?? [];
  const numbers =
    weighed.length > 0
      ? weighed
      : Array.from({ length: dozen.plan.arrows + (dozen.plan.spares?.Shaft ?? dozen.plan.spare) }, (_, i) => i + 1);
  const [at, setAt] = useState(numbers[0] ?? 1);
  const [runOut, setRunOut] = useState<string | null>(null);
  const [spine, setSpine] = useState<string | null>(null);
  const [index, setIndex] = useState<string | null>(null);
  const shaft = dozen.shafts.find((s) => s.number === at);
  const keep = (word: string, value: string | null, note: string | null = null) =>
    work.enter(dozen.id, { ...blank, kind: 'spin', number: at, word, value, note });
  const go = (n: number) => {
    setAt(n);
    setRunOut(null);
    setSpine(null);
    setIndex(null);
  };
  return (
    <div className={panes.tray}>
      <section aria-label="Shafts">
        <h2>Spin, spine and inspect</h2>
        <ul className={tray.tray} data-testid="shafts">
          {numbers.map((n) => {
            const known = dozen.shafts.find((s) => s.number === n);
            return (
              <li key={n} className={n === at ? tray.here : known ? tray.filled : undefined}>
                <Plain className={tray.act} onClick={() => go(n)} aria-pressed={n === at}>
                  {n}
                </Plain>
                <small>
                  {known?.damaged
                    ? 'damaged'
                    : known
                      ? [
                          known.runOut === null ? known.grade : number(known.runOut, 4),
                          known.spine && number(known.spine, 3).slice(1),
                        ]
                          .filter(Boolean)
                          .join(' ')
                      : ''}
                </small>
              </li>
            );
          })}
        </ul>
        <p className={w.muted}>The straightest four to six get broadheads; the best spinners are used for paper.</p>
      </section>
      <section aria-label={`Shaft ${at}`}>
        <h2>Shaft {at}</h2>
        {shaft?.damaged && (
          <Note word="Caution.">
            A damaged carbon shaft is destroyed, not shot: it can injure the hand. It is never assigned.
          </Note>
        )}
        <ChoiceRow
          label="Inspection"
          value={shaft?.finding ?? null}
          choices={dozen.findings.map((found) => [found.code, found.words] as const)}
          onChange={(found) => void keep('inspection', null, found)}
        />
        <ChoiceRow
          label="Run-out by eye"
          value={shaft?.grade ?? null}
          choices={grades.map((grade) => [grade, `spins ${grade}`] as const)}
          onChange={(grade) => void keep('grade', null, grade)}
        />
        <Field
          label="Run-out from the dial"
          name="runOut"
          quantity="length"
          value={runOut ?? (shaft?.runOut ?? '').toString()}
          onChange={setRunOut}
          fault={work.faults.value?.[0]}
          onEnter={() => runOut !== null && void keep('runOut', runOut).then((ok) => ok && setRunOut(null))}
          hint="Enter keeps it"
        />
        <Field
          label="Spine, by the standard’s span and load"
          name="spine"
          value={spine ?? (shaft?.spine ?? '').toString()}
          onChange={setSpine}
          onEnter={() => spine !== null && void keep('spine', spine).then((ok) => ok && setSpine(null))}
          hint="Enter keeps it"
        />
        <Field
          label="Mark of the stiff side"
          name="index"
          value={index ?? shaft?.indexMark ?? ''}
          onChange={setIndex}
          onEnter={() => index !== null && void keep('index', null, index).then((ok) => ok && setIndex(null))}
          hint="Enter keeps it"
        />
      </section>
    </div>
  );
}
