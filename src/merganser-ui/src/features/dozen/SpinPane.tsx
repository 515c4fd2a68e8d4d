import { useState } from 'react';
import { Field } from '../../parts/Field';
import { number, withUnit } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import { LiveReading } from '../../instruments/LiveReading';
import { Simulated } from '../../instruments/Simulated';
import { ASKED, beep, TAKEN } from '../../instruments/tone';
import { useInstrument } from '../../instruments/useInstrument';
import { Key, Plain } from '../../parts/Buttons';
import { ChoiceRow } from '../../parts/ChoiceRow';
import { Note } from '../../parts/Note';
import type { Dozen, DozenWork } from './useDozen';
import { blank } from './WeighPane';
import l from '../../parts/layout.module.css';
import w from '../../parts/words.module.css';
import tray from './Tray.module.css';
import panes from './Panes.module.css';

const grades = ['good', 'fair', 'poor'];
const places = ['nock', 'middle', 'point'] as const;
type Place = (typeof places)[number];

/** Each shaft spun and looked at: run-out, spine, its stiff side, and whether it is sound. */
export function SpinPane({ dozen, work }: { dozen: Dozen; work: DozenWork }) {
  const weighed = dozen.classes.find((c) => c.name === 'Shaft')?.pieces.map((p) => p.number) ?? [];
  const numbers =
    weighed.length > 0
      ? weighed
      : Array.from({ length: dozen.plan.arrows + (dozen.plan.spares?.Shaft ?? dozen.plan.spare) }, (_, i) => i + 1);
  const units = useUnits();
  const [at, setAt] = useState(numbers[0] ?? 1);
  const [runOut, setRunOut] = useState<string | null>(null);
  const [spine, setSpine] = useState<string | null>(null);
  const [index, setIndex] = useState<string | null>(null);
  const [place, setPlace] = useState<Place>('nock');
  const [span, setSpan] = useState('');
  const [load, setLoad] = useState('');
  const [tool, setTool] = useState<'dial' | 'spine' | null>(null);
  const shaft = dozen.shafts.find((s) => s.number === at);
  const keep = (word: string, value: string | null, note: string | null = null, second: string | null = null) =>
    work.enter(dozen.id, { ...blank, kind: 'spin', number: at, word, value, note, second });
  const keepRunOut = async (value: string) => {
    const kept = await keep('runOut', value, place);
    beep(kept ? TAKEN : ASKED);
    if (!kept) return;
    setRunOut(null);
    setPlace(places[Math.min(places.indexOf(place) + 1, places.length - 1)]!);
  };
  const keepSpine = async (value: string) => {
    const kept = await keep('spine', value, load || null, span || null);
    beep(kept ? TAKEN : ASKED);
    if (kept) setSpine(null);
  };
  const go = (n: number) => {
    setAt(n);
    setRunOut(null);
    setSpine(null);
    setIndex(null);
    setPlace('nock');
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
        <ChoiceRow
          label="Dial stands at the"
          value={place}
          choices={places.map((p) => {
            const known = shaft?.places?.[p];
            return [p, known === undefined ? ends[p] : `${ends[p]} ${number(known, 4)}`] as const;
          })}
          onChange={(p) => setPlace(p as Place)}
        />
        <Field
          label={`Run-out from the dial, ${ends[place]}`}
          name="runOut"
          quantity="length"
          value={runOut ?? (shaft?.places?.[place] ?? (shaft?.places ? '' : shaft?.runOut) ?? '').toString()}
          onChange={setRunOut}
          fault={runOut !== null ? work.faults.value?.[0] : undefined}
          onEnter={() => runOut !== null && void keepRunOut(runOut)}
          hint="Enter keeps it"
        />
        <div className={l.smallFields}>
          <Field
            label="Spine"
            name="spine"
            value={spine ?? (shaft?.spine ?? '').toString()}
            onChange={setSpine}
            fault={spine !== null ? work.faults.value?.[0] : undefined}
            onEnter={() => spine !== null && void keepSpine(spine)}
            hint="Enter keeps it"
          />
          <Field
            label="on a span of"
            name="span"
            quantity="length"
            value={span}
            onChange={setSpan}
            fault={work.faults.second?.[0]}
            hint={`empty: the standard’s ${withUnit(28, 'in', 0, units)}`}
          />
          <Field
            label="under"
            name="load"
            quantity="drawWeight"
            value={load}
            onChange={setLoad}
            fault={work.faults.note?.[0]}
            hint={`empty: ${withUnit(1.94, 'lb', 2, units)}`}
          />
        </div>
        <div className={l.row}>
          {(['dial', 'spine'] as const).map((t) => (
            <Key key={t} aria-pressed={tool === t} onClick={() => setTool(tool === t ? null : t)}>
              {t === 'dial' ? 'Follow the dial' : 'Follow the spine tester'}
            </Key>
          ))}
        </div>
        {tool && (
          <ShaftTool
            key={tool}
            kind={tool}
            nominal={dozen.nominalSpine}
            onTake={(value) => void (tool === 'dial' ? keepRunOut(String(value)) : keepSpine(String(value)))}
          />
        )}
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

const ends: Record<Place, string> = { nock: 'nock end', middle: 'middle', point: 'point end' };

/** A dial or a spine tester on the line: a needle that stands still is taken once. */
function ShaftTool({
  kind,
  nominal,
  onTake,
}: {
  kind: 'dial' | 'spine';
  nominal: number;
  onTake: (value: number) => void;
}) {
  const tool = useInstrument(kind, true, onTake);
  return (
    <>
      <LiveReading last={tool.last} trouble={tool.trouble} unit="in" decimals={kind === 'dial' ? 4 : 3} />
      {(tool.last?.simulated ?? true) && (
        <div className={l.row}>
          <Simulated what={kind === 'dial' ? 'simulated dial' : 'simulated tester'} />
          <Key data-testid={`put-${kind}`} onClick={() => void tool.order({ order: 'put', value: nominal })}>
            {kind === 'dial' ? 'Turn it under the dial' : 'Hang the weight on it'}
          </Key>
        </div>
      )}
    </>
  );
}
