import type { Schemas } from '../../../api/client';
import { scale } from '../../../drawing/chart';
import { shapes } from '../../../drawing/walk';
import { useFigures } from '../../../units/UnitsContext';
import type { ShotSet } from '../paperTypes';
import w from '../../../parts/words.module.css';
import s from './WalkPanel.module.css';

type Walk = NonNullable<ShotSet['walk']>;

/** What a walk-back shows besides its drift: what each cause would look like, each walk by itself. */
export function WalkPanel({ set }: { set: ShotSet }) {
  const walk = set.walk!;
  return (
    <section className={s.walk} data-testid="walk">
      {walk.more && <p>{walk.more}</p>}
      <h2>What each cause would look like, and whether it is there</h2>
      <ul className={s.causes}>
        {walk.causes.map((cause) => (
          <Cause key={cause.cause} cause={cause} />
        ))}
      </ul>
      {walk.wind && <p>{walk.wind}</p>}
      {walk.drop && <p>{walk.drop}</p>}
      {walk.alone.length > 1 && walk.together && <Alone walk={walk} />}
    </section>
  );
}

const BOX = { width: 116, height: 92 };

/** A cause as a type of drift over three distances: whether it is there is said in words and by a filled square. */
function Cause({ cause }: { cause: Schemas['CauseView'] }) {
  const x = scale(0, 1, 44, BOX.width - 12);
  const y = scale(0, 2, BOX.height - 18, 18);
  const points = shapes[cause.cause].map((at, i) => `${x(at)} ${y(i)}`);
  const there = cause.seen === 'shown';
  return (
    <li data-seen={cause.seen}>
      <svg viewBox={`0 0 ${BOX.width} ${BOX.height}`} aria-hidden="true">
        <path d={`M${x(0)} 4V${BOX.height - 4}`} stroke="var(--paper-green)" strokeWidth="2" />
        <path d={`M${points.join('L')}`} fill="none" stroke="var(--paper-ink)" strokeWidth="2" strokeDasharray="5 4" />
        {points.map((point) => {
          const [cx, cy] = point.split(' ');
          return (
            <circle key={point} cx={cx} cy={cy} r="5" fill="var(--paper)" stroke="var(--paper-ink)" strokeWidth="2.5" />
          );
        })}
      </svg>
      <span>
        <svg width="14" height="14" aria-hidden="true">
          <rect
            x="1.5"
            y="1.5"
            width="11"
            height="11"
            fill={there ? 'var(--ink)' : 'none'}
            stroke="var(--ink)"
            strokeWidth="2"
          />
        </svg>{' '}
        {there ? <b>{cause.words}</b> : cause.words}
      </span>
    </li>
  );
}

/** Each walk's own drift, and that of all of them, with 95 %. */
function Alone({ walk }: { walk: Walk }) {
  const { figure } = useFigures();
  const rows = [...walk.alone.map((a) => ({ ...a, name: `set ${a.set}` })), { ...walk.together!, name: 'together' }];
  const far = Math.max(1, ...rows.map((r) => Math.abs(r.drift) + r.plus));
  const x = scale(-far, far, 8, 292);
  return (
    <>
      <h2>Each walk by itself</h2>
      <table className={s.alone} data-testid="walks-alone">
        <tbody>
          {rows.map((r) => (
            <tr key={r.name} data-together={r.name === 'together' || undefined}>
              <th scope="row">{r.name}</th>
              <td className={w.tabular}>{r.words}</td>
              <td>
                <svg viewBox="0 0 300 24" role="img" aria-label={`${r.words}, ± ${figure(r.plus, 'in', 1)}`}>
                  <path d={`M${x(0)} 0v24`} stroke="var(--edge)" />
                  <path
                    d={`M${x(r.drift - r.plus)} 12H${x(r.drift + r.plus)}M${x(r.drift - r.plus)} 5v14M${x(r.drift + r.plus)} 5v14`}
                    stroke="var(--ink)"
                    strokeWidth="2.5"
                  />
                  <circle
                    cx={x(r.drift)}
                    cy="12"
                    r="6"
                    fill={r.name === 'together' ? 'var(--ink)' : 'var(--bench)'}
                    stroke="var(--ink)"
                    strokeWidth="2.5"
                  />
                </svg>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {walk.among && <p>{walk.among}</p>}
    </>
  );
}
