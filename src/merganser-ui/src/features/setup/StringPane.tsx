import { ButtonBase } from '@mui/material';
import { useState } from 'react';
import { Field } from '../../parts/Field';
import { ReadingField } from '../../parts/ReadingField';
import { useWidth } from '../../parts/useWidth';
import type { Setup, SetupWork } from './useSetup';

const TALLIES = [6, 12, 30, 60];

/** The string's life: what was shot on it, what is due, how it is looked after. */
export function StringPane({ setup, work, compound }: { setup: Setup; work: SetupWork; compound: boolean }) {
  const { string, due } = setup;
  const [checks, setChecks] = useState(string.plan.checksAt.join(', '));
  const [settle, setSettle] = useState(String(string.plan.settlingShots));
  const shoot = (shots: number) => void work.shoot(shots);
  const plan = (school: 'breakIn' | 'preStretched') =>
    void work.plan({
      school,
      checksAt: checks
        .split(/[^\d]+/)
        .filter(Boolean)
        .map(Number),
      settlingShots: Number(settle) || 0,
    });
  return (
    <div className="history">
      <section aria-label="String life">
        <h2>Shots on this string</h2>
        <p className="count n">
          {string.shots} <small>read{string.settling > 0 ? `, ${string.settling} more that settled it` : ''}</small>
        </p>
        <StringDrawing setup={setup} />
        {string.settlingLeft > 0 && (
          <p className="caution" role="note">
            <span>
              <b>Settling.</b>The next {string.settlingLeft} shots settle new string work: they are counted apart and
              not read.
            </span>
          </p>
        )}
        {due.map((item) => (
          <p key={item.what} className={item.now ? 'caution' : undefined} role="note">
            <span>
              <b>{item.now ? 'Due.' : 'Soon.'}</b> {item.what}
              {item.shotsLeft !== null && item.shotsLeft > 0 && `, ${item.shotsLeft} shots to go`}
              {item.on && `, ${new Date(item.on).toLocaleDateString('en-GB', { day: 'numeric', month: 'short' })}`}
            </span>
          </p>
        ))}
        {due.length === 0 && <p className="muted">Nothing is due.</p>}
      </section>
      <section aria-label="Shots away from the papers">
        <h2>Shots away from the papers</h2>
        <p className="muted">Papers count by themselves.</p>
        <div className="row">
          {TALLIES.map((ends) => (
            <ButtonBase key={ends} className="key" disabled={work.busy} onClick={() => shoot(ends)}>
              +{ends}
            </ButtonBase>
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
        <ol className="moves">
          {string.entries
            .filter((e) => e.source === 'entered')
            .toReversed()
            .slice(0, 6)
            .map((entry) => (
              <li key={entry.id}>
                <p>
                  {entry.count} shots{entry.settling ? ', settling' : ''}
                </p>
                <ButtonBase className="plain" onClick={() => void work.withdraw(entry.id)}>
                  Entered wrongly
                </ButtonBase>
              </li>
            ))}
        </ol>
      </section>
      <section aria-label="School of the string">
        <h2>How it is looked after</h2>
        <p className="muted">
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
        <div className="row" role="group" aria-label="School of the string">
          <ButtonBase className="key" aria-pressed={string.plan.school === 'breakIn'} onClick={() => plan('breakIn')}>
            Break in
          </ButtonBase>
          <ButtonBase
            className="key"
            aria-pressed={string.plan.school === 'preStretched'}
            onClick={() => plan('preStretched')}
          >
            Pre-stretched
          </ButtonBase>
        </div>
      </section>
    </div>
  );
}

/** The string itself: thick is shot, cross marks are checks, the pointer is now. */
function StringDrawing({ setup }: { setup: Setup }) {
  const { ref, width } = useWidth<HTMLDivElement>(380);
  const { string } = setup;
  const checks = string.plan.school === 'breakIn' ? string.plan.checksAt : [];
  const end = Math.max(400, string.shots * 1.15, ...checks.map((c) => c * 1.15));
  const x = (shots: number) => 10 + ((width - 20) * shots) / end;
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
