import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import { Field } from '../../parts/Field';
import { isPageKey, ownsEnter } from '../../shell/keys';
import { ReadingField } from '../../parts/ReadingField';
import { useFigures } from '../../units/UnitsContext';
import { Key } from '../../parts/Buttons';
import { ListRow } from '../../parts/List';
import { Note } from '../../parts/Note';
import { Question } from '../../parts/Question';
import { useInTurn } from '../../parts/useInTurn';
import { LiveReading } from '../../instruments/LiveReading';
import type { Dozen, DozenWork } from './useDozen';
import { ASKED, beep, TAKEN } from '../../instruments/tone';
import { useInstrument } from '../../instruments/useInstrument';
import { PieceTray } from './PieceTray';
import { Simulated } from '../../instruments/Simulated';
import { WeightsTable } from './WeightsTable';
import l from '../../parts/layout.module.css';
import panes from './Panes.module.css';
import s from './WeighPane.module.css';

interface Props {
  dozen: Dozen;
  work: DozenWork;
  kind: string;
  /** The piece that is weighed again; null for the next one. */
  again: number | null;
  onKind: (kind: string, again?: number) => void;
}

/** What was sent last: it is kept all the same when it was asked about. */
interface Tried {
  value: string;
  source: string;
  of: string;
  again: number | null;
}

const CHECK = 'check';
const NOMINAL: Record<string, number> = { Shaft: 252, Insert: 25, Point: 100, Nock: 9, Vanes: 6, Wrap: 5, Head: 100 };

/** One class after the other, hands on the parts: the reading takes itself when it stands still and the pan was empty. */
export function WeighPane({ dozen, work, kind, again, onKind }: Props) {
  const { figure } = useFigures();
  const [tone, setTone] = useState(() => localStorage.getItem('merganser-tone') !== 'off');
  const [nominal, setNominal] = useState('100');
  const [tried, setTried] = useState<Tried | null>(null);
  const asked = work.asked === null ? null : tried;
  const checking = kind === CHECK;
  const chosen = useRef({ kind, again });
  const inTurn = useInTurn();
  useLayoutEffect(() => {
    chosen.current = { kind, again };
  }, [kind, again]);
  /** What is typed next is the weight of what was pressed, at once, and also when it was chosen already. */
  const choose = (name: string, number?: number) => {
    chosen.current = { kind: name, again: number ?? null };
    onKind(name, number);
    document.querySelector<HTMLInputElement>('input[name=weight]')?.focus();
  };
  const group = kind === 'Head' ? null : dozen.classes.find((c) => c.name === kind);
  const pieces = kind === 'Head' ? dozen.heads.pieces : (group?.pieces ?? []);
  const wanted = group?.wanted ?? Math.max(6, pieces.length + 1);
  const next = again ?? firstFree(pieces.map((p) => p.number));
  const keep = async ({ value, source, of, again: number }: Tried, sure = false): Promise<string | null> => {
    setTried({ value, source, of, again: number });
    // The server numbers the piece, so that two at once are two.
    const after =
      of === CHECK
        ? await work.enter(dozen.id, { ...blank, kind: 'check', value, second: nominal, sure })
        : await work.enter(dozen.id, {
            ...blank,
            kind: 'piece',
            class: of,
            number,
            again: number !== null,
            value,
            word: source,
            sure,
          });
    if (tone) beep(after ? TAKEN : ASKED);
    if (!after) return null;
    if (of === CHECK) return `taken: the check weight reads ${value}`;
    const now = after.classes.find((c) => c.name === of);
    if (now && now.pieces.length >= now.wanted) {
      const open = after.classes.find((c) => c.name !== of && c.missing > 0);
      if (open) choose(open.name);
      else if (number !== null) choose(of);
    } else if (number !== null) choose(of);
    const piece = now?.pieces.find((p) => p.number === number) ?? newest(now?.pieces ?? after.heads.pieces, pieces);
    return piece ? `taken: ${of} ${piece.number}, ${figure(piece.grains, 'gr', 1)}` : `taken: ${value}`;
  };
  /** One after the other: a piece is of the class that stands there when its turn has come. */
  const enter = (value: string, source: string): Promise<string | null> =>
    inTurn(() => {
      const { kind: of, again: number } = chosen.current;
      // Typed once more it is meant; another piece that weighs the same is asked about as well.
      const meant = source === 'typed' && asked?.source === 'typed';
      const sure = meant && value === asked.value && of === asked.of;
      return keep({ value, source, of, again: number }, sure);
    });
  const scale = useInstrument('scale', true, (value) => void enter(String(value), 'scale'));
  const lastPiece = pieces.toSorted((a, b) => a.number - b.number).at(-1);
  const takeNow = () => {
    if (asked) {
      void keep(asked, true);
      return;
    }
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
        <h1>
          {checking
            ? `Check weight, ${figure(Number(nominal) || 0, 'gr', 1)}`
            : `${kind} ${next}${again === null ? '' : ', again'}`}
        </h1>
        <LiveReading last={scale.last} trouble={scale.trouble} unit="gr" />
        {asked && (
          <Question keep="Yes, it is one: keep it" onKeep={() => void keep(asked, true)} onLeave={work.clear}>
            {work.asked}
          </Question>
        )}
        {dozen.check?.off && (
          <Note word="Caution.">
            The scale is {figure(dozen.check.error, 'gr', 1)} off its check weight: it is kept and marked. The match
            does not mind, speed and FOC do.
          </Note>
        )}
        <div className={l.entry}>
          {checking && (
            <Field label="The check weight" name="nominal" quantity="weight" value={nominal} onChange={setNominal} />
          )}
          <ReadingField
            label="Or type it, one after the other"
            name="weight"
            quantity="weight"
            fault={
              work.asked
                ? `${work.asked} Enter once more keeps it.`
                : (work.faults.value?.[0] ?? work.faults.number?.[0] ?? work.problem?.message)
            }
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
        {!checking && <WeightsTable key={kind} dozen={dozen} work={work} kind={kind} />}
      </section>
      <PieceTray
        kind={kind}
        pieces={pieces}
        places={checking ? 0 : Math.max(wanted, pieces.length)}
        next={next}
        of={group ?? null}
        onAgain={(number) => choose(kind, number)}
        onBack={(piece) => void work.withdraw(dozen.id, piece.entryId)}
      />
    </div>
  );
}

export const blank = {
  class: null,
  number: null,
  value: null,
  second: null,
  word: null,
  note: null,
  sure: false,
  again: false,
};

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
