import { useState, type Ref } from 'react';
import { Empty } from '../../parts/Empty';
import { Field } from '../../parts/Field';
import { scale } from '../../drawing/chart';
import { useWidth } from '../../parts/useWidth';
import { number, withUnit } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import { Key, Plain } from '../../parts/Buttons';
import { Fault } from '../../parts/Note';
import { Table } from '../../parts/Table';
import { Tick } from '../../parts/Tick';
import type { Dozen, DozenWork } from './useDozen';
import w from '../../parts/words.module.css';
import l from '../../parts/layout.module.css';
import panes from './Panes.module.css';
import s from './MatchPane.module.css';

/** Pieces into arrows: what was found, what cannot be beaten, and what it buys. */
export function MatchPane({
  dozen,
  work,
  form,
}: {
  dozen: Dozen;
  work: DozenWork;
  /** What matches when it is sent, from here or by the foot's key. */
  form?: Ref<HTMLFormElement>;
}) {
  const units = useUnits();
  const [spineSets, setSpineSets] = useState(false);
  const [straightest, setStraightest] = useState(false);
  const [leaveOut, setLeaveOut] = useState('0');
  const [glued, setGlued] = useState('');
  const match = dozen.match;
  const stay = dozen.tray.filter((arrow) => arrow.stays).map((arrow) => arrow.number);
  const rest = stay.length > 0;
  const gluedAlready = dozen.shafts.filter((shaft) => shaft.glued);
  const nothingLoose = rest && stay.length === dozen.tray.length;
  const go = () =>
    void work.match(dozen.id, {
      spineSets,
      straightest,
      leaveOut: Number(leaveOut) || 0,
      gluedShafts: glued.split(/\D+/).filter(Boolean).map(Number),
    });
  const fault = Object.values(work.faults)[0]?.[0];
  return (
    <div className={panes.match}>
      <form
        ref={form}
        aria-label="How it is matched"
        onSubmit={(event) => {
          event.preventDefault();
          if (!work.busy && !nothingLoose) go();
        }}
      >
        <h2>Match</h2>
        <Tick checked={spineSets} onChange={setSpineSets}>
          Shafts measured alike go together
        </Tick>
        <Tick checked={straightest} onChange={setStraightest}>
          Of too many shafts the straightest
        </Tick>
        <Field
          label="Arrows fewer, the worst pieces left out"
          name="leaveOut"
          value={leaveOut}
          onChange={setLeaveOut}
        />
        <Field
          label="Shafts with their insert glued in"
          name="glued"
          value={glued}
          onChange={setGlued}
          hint="numbers; insert 3 sits in shaft 3"
        />
        {gluedAlready.length > 0 && (
          <p className={l.row} data-testid="glued">
            Glued, and one piece from now on:
            {gluedAlready.map((shaft) => (
              <Plain
                key={shaft.number}
                disabled={work.busy}
                aria-label={`${shaft.number} back: its insert is loose`}
                onClick={() => void work.withdraw(dozen.id, shaft.gluedId!)}
              >
                {shaft.number} <small>back</small>
              </Plain>
            ))}
          </p>
        )}
        <div className={l.row}>
          <Key type="submit" disabled={work.busy || nothingLoose} data-testid="match">
            {work.busy ? 'Matching …' : rest ? 'Match the rest again' : 'Match the pieces'}
          </Key>
          {work.busy && <Plain onClick={work.cancel}>Cancel</Plain>}
        </div>
        {rest && (
          <p className={w.muted} data-testid="stay">
            {nothingLoose
              ? 'All arrows are begun or locked: nothing is loose to be matched again.'
              : stay.length === 1
                ? `Arrow ${stay[0]} is begun or locked: it stays as it is, and counts with what it weighs.`
                : `Arrows ${stay.join(', ')} are begun or locked: they stay as they are, and count with what they weigh.`}
          </p>
        )}
        {fault && <Fault>{fault}</Fault>}
      </form>
      {match && (
        <section data-testid="match-found" aria-label="What was found">
          <h2 className={s.spread}>{withUnit(match.spread, 'gr', 1, units)} apart</h2>
          <p>
            <b data-testid="match-words">{match.words}</b>
            {match.stale && ` ${match.stale}`}
          </p>
          <Table>
            <tbody>
              <tr>
                <th scope="row">By chance</th>
                <td>{withUnit(match.byChance, 'gr', 1, units)}</td>
              </tr>
              <tr>
                <th scope="row">Light with heavy</th>
                <td>{withUnit(match.oppositeOrder, 'gr', 1, units)}</td>
              </tr>
              <tr>
                <th scope="row">Merganser</th>
                <td>{withUnit(match.spread, 'gr', 1, units)}</td>
              </tr>
              <tr>
                <th scope="row">Cannot be less than</th>
                <td>{withUnit(match.bound, 'gr', 1, units)}</td>
              </tr>
            </tbody>
          </Table>
          <Stairs dozen={dozen} />
          <h2>What it buys</h2>
          <p>
            Speed {withUnit(match.bought.speedSpread, 'ft/s', 2, units)} apart in place of{' '}
            {withUnit(match.chance.speedSpread, 'ft/s', 2, units)}; front of center{' '}
            {number(match.frontOfCenterSpread, 2)} % apart.
          </p>
          <Table>
            <thead>
              <tr>
                <th scope="col">at</th>
                <th scope="col">height apart</th>
                <th scope="col">by chance</th>
              </tr>
            </thead>
            <tbody>
              {match.bought.heights.map((at, i) => (
                <tr key={at.yards}>
                  <th scope="row">{withUnit(at.yards, 'yd', 0, units)}</th>
                  <td>{withUnit(at.inches, 'in', 2, units)}</td>
                  <td>{withUnit(match.chance.heights[i]!.inches, 'in', 2, units)}</td>
                </tr>
              ))}
            </tbody>
          </Table>
        </section>
      )}
      {!match && (
        <section aria-label="What was found">
          <Empty of="stairs">
            Nothing is matched yet. Many say it is not critical: the match shows what is gained.
          </Empty>
        </section>
      )}
    </div>
  );
}

const hatches = ['var(--ink)', 'var(--ink2)', 'var(--edge)', 'var(--line)', 'var(--sheet)', 'var(--greenwash)'];

/** Per arrow the deviations of its classes, one after the other; they must all end at the gate. */
function Stairs({ dozen }: { dozen: Dozen }) {
  const units = useUnits();
  const { ref, width } = useWidth<HTMLDivElement>(620);
  const names = dozen.classes.map((c) => c.name);
  const most = Math.max(0.5, ...dozen.tray.flatMap((a) => names.map((n) => Math.abs(a.deviations[n] ?? 0)))) * 1.6;
  const x = scale(-most, most, 70, width - 20);
  const rows = dozen.tray.slice(0, 24);
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={rows.length * 20 + 34}
        role="img"
        aria-label={`Each arrow's deviations by class, ending ${rows.map((a) => withUnit(a.deviation, 'gr', 1, units)).join(', ')} from the mean`}
      >
        <line
          x1={x(0)}
          x2={x(0)}
          y1="0"
          y2={rows.length * 20 + 6}
          stroke="var(--bill)"
          strokeWidth="2"
          strokeDasharray="3 4"
        />
        {rows.map((arrow, i) => {
          const steps = names.reduce<number[]>(
            (all, name) => [...all, all.at(-1)! + (arrow.deviations[name] ?? 0)],
            [0],
          );
          return (
            <g key={arrow.number} transform={`translate(0 ${i * 20})`}>
              <text x="0" y="15" fontSize="14">
                {arrow.number}
                {arrow.stays && ' stays'}
              </text>
              {names.map((name, k) => (
                <rect
                  key={name}
                  x={Math.min(x(steps[k]!), x(steps[k + 1]!))}
                  y={3 + k * (14 / names.length)}
                  width={Math.max(1, Math.abs(x(steps[k + 1]!) - x(steps[k]!)))}
                  height={Math.max(2, 14 / names.length)}
                  fill={hatches[k % hatches.length]}
                  stroke="var(--ink)"
                  strokeWidth="0.6"
                />
              ))}
              <circle cx={x(steps.at(-1)!)} cy="10" r="4" fill="var(--bench)" stroke="var(--ink)" strokeWidth="2" />
            </g>
          );
        })}
        <text x={x(0)} y={rows.length * 20 + 26} fontSize="14" textAnchor="middle">
          mean
        </text>
      </svg>
      <p className={w.muted}>
        Each arrow from the top of its row down: {names.map((n) => n.toLowerCase()).join(', ')}. A bar is how far that
        piece is from the mean of its class.
      </p>
    </div>
  );
}
