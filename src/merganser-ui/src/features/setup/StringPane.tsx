import { useState } from 'react';
import { Field } from '../../parts/Field';
import { ReadingField } from '../../parts/ReadingField';
import { scale } from '../../drawing/chart';
import { useWidth } from '../../parts/useWidth';
import { Key, Plain } from '../../parts/Buttons';
import { ChoiceRow } from '../../parts/ChoiceRow';
import { Column, Columns } from '../../parts/Columns';
import { Log } from '../../parts/List';
import { Note } from '../../parts/Note';
import { classes } from '../../parts/classes';
import type { Setup, SetupWork } from './useSetup';
import w from '../../parts/words.module.css';
import l from '../../parts/layout.module.css';
import s from './StringPane.module.css';

const TALLIES = [6, 12, 30, 60];

/** The string's life: what was shot on it, what is due, how it is looked after. */
export function StringPane({ setup, work, compound }: { setup: Setup; work: SetupWork; compound: boolean }) {
  const { string, due } = setup;
  const [checks, setChecks] = useState(string.plan.checksAt.join(', '));
  const [settle, setSettle] = useState(String(string.plan.settlingShots));
  const shoot = (shots: number) => void work.shoot(shots);
  const plan = (school: Setup['string']['plan']['school']) =>
    void work.plan({
      school,
      checksAt: checks
        .split(/[^\d]+/)
        .filter(Boolean)
        .map(Number),
      settlingShots: Number(settle) || 0,
    });
  return (
    <Columns>
      <Column label="String life">
        <h2>Shots on this string</h2>
        <p className={classes(s.count, w.tabular)} data-testid="shots-on-string">
          {string.shots} <small>read{string.settling > 0 ? `, ${string.settling} more that settled it` : ''}</small>
        </p>
        <StringDrawing setup={setup} />
        {string.settlingLeft > 0 && (
          <Note word="Settling.">
            The next {string.settlingLeft} shots settle new string work: they are counted apart and not read.
          </Note>
        )}
        {due.map((item) => (
          <DueLine key={item.what} item={item} />
        ))}
        {due.length === 0 && <p className={w.muted}>Nothing is due.</p>}
      </Column>
      <Column label="Shots away from the papers">
        <h2>Shots away from the papers</h2>
        <p className={w.muted}>Papers count by themselves.</p>
        <div className={l.row}>
          {TALLIES.map((ends) => (
            <Key key={ends} disabled={work.busy} onClick={() => shoot(ends)}>
              +{ends}
            </Key>
          ))}
        </div>
        <ReadingField
          label="Or so many"
          name="shots"
          fault={work.faults.count?.[0] ?? work.problem?.message}
          onTake={async (text) => {
            const shots = Number(text);
            return (await work.shoot(Number.isInteger(shots) ? shots : 0)) ? `taken: ${text} shots` : null;
          }}
        />
        <Log>
          {string.entries.map((entry) => (
            <li key={entry.id}>
              <p>
                {entry.count} shots{entry.settling ? ', settling' : ''}
              </p>
              <Plain onClick={() => void work.withdraw(entry.id)}>Entered wrongly</Plain>
            </li>
          ))}
        </Log>
      </Column>
      <Column label="School of the string">
        <h2>How it is looked after</h2>
        <p className={w.muted}>
          Break-in school: check {compound ? 'timing, peep' : 'brace height, nocking point'} and tune after so many
          shots. Pre-stretched school: none needed. The usual is one check at 100 and one at 300, because a check is
          cheap.
        </p>
        <Field
          label="Checks at so many shots"
          name="checksAt"
          value={checks}
          onChange={setChecks}
          fault={work.faults.checksAt?.[0]}
        />
        <Field
          label="Shots that settle string work"
          name="settlingShots"
          value={settle}
          onChange={setSettle}
          fault={work.faults.settlingShots?.[0]}
        />
        <ChoiceRow
          label="School of the string"
          value={string.plan.school}
          onChange={plan}
          choices={[
            ['breakIn', 'Break in'],
            ['preStretched', 'Pre-stretched'],
          ]}
        />
      </Column>
    </Columns>
  );
}

/** What is due of the string: now, or soon. */
function DueLine({ item }: { item: Setup['due'][number] }) {
  const words = [
    item.what,
    item.shotsLeft !== null && item.shotsLeft > 0 && `${item.shotsLeft} shots to go`,
    item.on && new Date(item.on).toLocaleDateString('en-GB', { day: 'numeric', month: 'short' }),
  ]
    .filter(Boolean)
    .join(', ');
  return item.now ? (
    <Note word="Due.">{words}</Note>
  ) : (
    <p role="note">
      <b>Soon.</b> {words}
    </p>
  );
}

/** The string itself: thick is shot, cross marks are checks, the pointer is now. */
function StringDrawing({ setup }: { setup: Setup }) {
  const { ref, width } = useWidth<HTMLDivElement>(380);
  const { string } = setup;
  const checks = string.plan.school === 'breakIn' ? string.plan.checksAt : [];
  const end = Math.max(400, string.shots * 1.15, ...checks.map((c) => c * 1.15));
  const x = scale(0, end, 10, width - 10);
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={64}
        role="img"
        aria-label={`${string.shots} shots on the string; checks at ${checks.join(' and ') || 'none'}`}
      >
        <line x1="10" x2={width - 10} y1="30" y2="30" stroke="var(--ink)" strokeWidth="1.5" />
        <line x1="10" x2={x(string.shots)} y1="30" y2="30" stroke="var(--ink)" strokeWidth="7" />
        {checks.map((at) => (
          <g key={at}>
            <path d={`M${x(at) - 6} 24l12 12M${x(at) + 6} 24l-12 12`} stroke="var(--ink)" strokeWidth="2.5" />
            <text x={x(at)} y="56" fontSize="14" textAnchor="middle">
              {at}
            </text>
          </g>
        ))}
        <path d={`M${x(string.shots)} 24l-8 -16h16z`} fill="var(--bill)" />
      </svg>
    </div>
  );
}
