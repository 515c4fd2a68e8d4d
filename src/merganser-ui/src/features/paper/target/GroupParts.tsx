import { percent } from '../../../units/units';
import type { Schemas } from '../../../api/client';
import w from '../../../parts/words.module.css';
import s from './GroupParts.module.css';

/** Chance that so many of each show what matters: what is shot in ink, what more would do in outline. */
export function Powers({ groups }: { groups: Schemas['GroupsView'] }) {
  if (groups.powers.length === 0) return null;
  return (
    <div data-testid="powers">
      <h2>Would an offset of {groups.toleranceText} be seen?</h2>
      <ol className={s.powers}>
        {groups.powers.map((power, i) => (
          <li key={power.pairs} title={power.words} data-now={i === 0 || undefined}>
            <b className={w.tabular}>{percent(power.chance)}</b>
            <svg width="34" height="44" aria-hidden="true">
              <rect
                x="1"
                y={43 - 42 * power.chance}
                width="32"
                height={42 * power.chance}
                fill={i === 0 ? 'var(--ink)' : 'none'}
                stroke={i === 0 ? 'var(--ink)' : 'var(--pred)'}
                strokeWidth="2"
              />
            </svg>
            <span className={w.tabular}>
              {power.pairs} + {power.pairs}
            </span>
          </li>
        ))}
      </ol>
      {groups.more && <p>{groups.more}</p>}
      {groups.bareHigh && <p className={w.muted}>{groups.bareHigh}</p>}
      {groups.slants && <p className={w.muted}>{groups.slants}</p>}
    </div>
  );
}
