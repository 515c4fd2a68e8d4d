import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import { Field } from '../../parts/Field';
import { isPageKey, ownsEnter } from '../../shell/keys';
import { ReadingField } from '../../parts/ReadingField';
import { show } from '../../units/units';
import { useFigures, useUnits } from '../../units/UnitsContext';
import { Key, Plain } from '../../parts/Buttons';
import { Fold } from '../../parts/Fold';
import { ListRow } from '../../parts/List';
import { Fault, Note } from '../../parts/Note';
import { TextBlock } from '../../parts/TextLine';
import { classes } from '../../parts/classes';
import { LiveReading } from './LiveReading';
import type { Dozen, DozenWork } from './useDozen';
import { useInstrument } from './useInstrument';
import { Simulated } from './Simulated';
import w from '../../parts/words.module.css';
import l from '../../parts/layout.module.css';
import tray from './Tray.module.css';
import panes from './Panes.module.css';
import s from './WeighPane.module.css';

interface Props {
  dozen: Dozen;
  work: DozenWork;
  kind: string;
  onKind: (kind: string) => void;
}

const CHECK = 'check';
const NOMINAL: Record<string, number> = { Shaft: 252, Insert: 25, Point: 100, Nock: 9, Vanes: 6, Wrap: 5, Head: 100 };

/** One class after the other, hands on the parts: the reading takes itself when it stands still and the pan was empty. */
export function WeighPane({ dozen, work, kind, onKind }: Props) {
  const units = useUnits();
  const { figure } = useFigures();
  const [table, setTable] = useState('');
  const [tone, setTone] = useState(() => localStorage.getItem('merganser-tone') !== 'off');
  const [nominal, setNominal] = useState('100');
  const checking = kind === CHECK;
  const chosen = useRef(kind);
  useLayoutEffect(() => {
    chosen.current = kind;
  }, [kind]);
  /** What is typed next is the weight of what was pressed, at once, and also when it was chosen already. */
  const choose = (name: string) => {
    chosen.current = name;
    if (name !== kind) setTable('');
    onKind(name);
    document.querySelector<HTMLInputElement>('input[name=weight]')?.focus();
  };
  const group = kind === 'Head' ? null : dozen.classes.find((c) => c.name === kind);
  const pieces = kind === 'Head' ? dozen.heads.pieces : (group?.pieces ?? []);
  const wanted = group?.wanted ?? Math.max(6, pieces.length + 1);
  const next = firstFree(pieces.map((p) => p.number));
  const enter = async (value: string, source: string): Promise<string | null> => {
    const of = chosen.current;
    // The server numbers the piece, so that two at once are two.
    const after =
      of === CHECK
        ? await work.enter(dozen.id, { ...blank, kind: 'check', value, second: nominal })
        : await work.enter(dozen.id, { ...blank, kind: 'piece', class: of, value, word: source });
    if (!after) return null;
    if (tone) beep();
    if (of === CHECK) return `taken: the check weight reads ${value}`;
    const now = after.classes.find((c) => c.name === of);
    if (now && now.pieces.length >= now.wanted) {
      const open = after.classes.find((c) => c.name !== of && c.missing > 0);
      if (open) onKind(open.name);
    }
    const piece = newest(now?.pieces ?? after.heads.pieces, pieces);
    return piece ? `taken: ${of} ${piece.number}, ${figure(piece.grains, 'gr', 1)}` : `taken: ${value}`;
  };
  const scale = useInstrument('scale', true, (value) => void enter(String(value), 'scale'));
  const lastPiece = pieces.toSorted((a, b) => a.number - b.number).at(-1);
  const takeNow = () => {
    const value = scale.last?.value;
    if (value === null || value === undefined) return;
    // The pan says whether it may be taken, and does not take the same piece again.
    void scale.order({ order: 'take', value }).then((taken) => {
      if (taken !== null) void enter(String(taken), 'scale');
    });
  };
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (!isPageKey(event)) return;
      if (event.key === 'Backspace' && lastPiece) void work.withdraw(dozen.id, lastPiece.entryId);
      else if (event.key === '0') void scale.order({ order: 'tare', value: null });
      else if (event.key.toLowerCase() === 't') setTone(flip);
      else if (event.key === 'Enter' && !ownsEnter(event)) {
        event.preventDefault();
        takeNow();
      } else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  });
  const put = () => {
    const base = checking ? Number(nominal) || 100 : (pieces[0]?.grains ?? NOMINAL[kind] ?? 10);
    const sway = checking ? 0 : Math.sin(next * 12.9898 + kind.length * 78.233) * Math.max(0.2, base * 0.006);
    void scale.order({ order: 'put', value: Math.round((base + sway) * 10) / 10 });
  };
  return (
    <div className={panes.weigh}>
      <section aria-label="Classes">
        <h2>Weigh in</h2>
        <ul>
          <li>
            <ListRow ruled className={s.class} here={checking} aria-pressed={checking} onClick={() => choose(CHECK)}>
              <b>Check weight</b>
              <small>
                {dozen.check
                  ? `${figure(dozen.check.reading, 'gr', 1)} of ${figure(dozen.check.nominal, 'gr', 1)}${dozen.check.off ? ', off: marked' : ''}`
                  : 'not yet'}
              </small>
            </ListRow>
          </li>
          {[
            ...dozen.classes.map((c) => [c.name, `${c.pieces.length} of ${c.wanted}`]),
            ['Head', `${dozen.heads.pieces.length} heads`],
          ].map(([name, words]) => (
            <li key={name}>
              <ListRow
                ruled
                className={s.class}
                here={kind === name}
                aria-pressed={kind === name}
                onClick={() => choose(name!)}
                data-class={name}
              >
                <b>{name}</b>
                <small>{words}</small>
              </ListRow>
            </li>
          ))}
        </ul>
      </section>
      <section aria-label="The scale">
        <h1>{checking ? `Check weight, ${figure(Number(nominal) || 0, 'gr', 1)}` : `${kind} ${next}`}</h1>
        <LiveReading last={scale.last} trouble={scale.trouble} unit="gr" />
        {dozen.check?.off && (
          <Note word="Caution.">
            The scale is {figure(dozen.check.error, 'gr', 1)} off its check weight: it is kept and marked. The match
            does not mind, speed and FOC do.
          </Note>
        )}
        <div className={l.row}>
          {checking && (
            <Field label="The check weight" name="nominal" quantity="weight" value={nominal} onChange={setNominal} />
          )}
          <ReadingField
            label="Or type it, one after the other"
            name="weight"
            quantity="weight"
            fault={work.faults.value?.[0] ?? work.faults.number?.[0] ?? work.problem?.message}
            onTake={(value) => enter(value, 'typed')}
            onEmpty={takeNow}
            first
          />
          <Key onClick={takeNow}>Take now</Key>
          <Key onClick={() => void scale.order({ order: 'tare', value: null })}>Tare</Key>
          <Key aria-pressed={tone} onClick={() => setTone(flip)}>
            Tone
          </Key>
        </div>
        {(scale.last?.simulated ?? true) && (
          <div className={l.row}>
            <Simulated what="simulated pan" />
            <Key onClick={put} data-testid="put">
              Put the next piece on
            </Key>
            <Key onClick={() => void scale.order({ order: 'lift', value: null })} data-testid="lift">
              Lift it off
            </Key>
          </div>
        )}
        {!checking && (
          <Fold words="Or a table of weights">
            <TextBlock
              label={`Weights of ${kind}, one a line`}
              rows={5}
              value={table}
              placeholder={'one a line, or number;weight'}
              onChange={setTable}
            />
            {work.faults.text && <Fault>{work.faults.text[0]}</Fault>}
            <Key
              disabled={!table.trim()}
              onClick={() => void work.weights(dozen.id, kind, table).then((ok) => ok && setTable(''))}
            >
              Take these
            </Key>
          </Fold>
        )}
      </section>
      <section aria-label="The tray">
        <h2>
          Tray{' '}
          <small className={w.muted}>
            {group && group.lightest !== null
              ? `${figure(group.lightest, 'gr', 1)} to ${figure(group.heaviest!, 'gr', 1)}`
              : ''}
          </small>
        </h2>
        <ol className={tray.tray} data-testid="tray">
          {Array.from({ length: checking ? 0 : Math.max(wanted, pieces.length) }, (_, i) => {
            const piece = pieces.find((p) => p.number === i + 1);
            return (
              <li
                key={i}
                className={classes(piece && tray.filled, piece?.odd && tray.odd, !piece && i + 1 === next && tray.here)}
                data-odd={piece?.odd || undefined}
                data-filled={piece !== undefined || undefined}
              >
                <small>{i + 1}</small>
                <b className={w.tabular}>{piece ? show(piece.grains, 'gr', 1, units).value : ''}</b>
                {piece?.odd && <em>odd</em>}
                {piece && (
                  <Plain
                    className={tray.act}
                    aria-label={`Take back ${kind} ${piece.number}`}
                    onClick={() => void work.withdraw(dozen.id, piece.entryId)}
                  >
                    back
                  </Plain>
                )}
              </li>
            );
          })}
        </ol>
        <p className={w.muted}>
          <kbd>Enter</kbd> takes at once, <kbd>Backspace</kbd> takes the last one back, <kbd>0</kbd> tares, <kbd>T</kbd>{' '}
          tone.
        </p>
      </section>
    </div>
  );
}

export const blank = { class: null, number: null, value: null, second: null, word: null, note: null };

/** The piece that was not there before. */
const newest = (now: Dozen['heads']['pieces'], before: Dozen['heads']['pieces']) =>
  now.find((p) => !before.some((b) => b.entryId === p.entryId)) ?? now.at(-1);

function firstFree(taken: number[]): number {
  let n = 1;
  while (taken.includes(n)) n++;
  return n;
}

function flip(on: boolean): boolean {
  localStorage.setItem('merganser-tone', on ? 'off' : 'on');
  return !on;
}

function beep() {
  try {
    const audio = new AudioContext();
    const tone = audio.createOscillator();
    tone.frequency.value = 880;
    tone.connect(audio.destination);
    tone.start();
    tone.stop(audio.currentTime + 0.08);
  } catch {
    // No sound here: the reading says it too.
  }
}
