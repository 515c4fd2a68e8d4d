import { percent } from '../../../units/units';
import { useFigures } from '../../../units/UnitsContext';
import type { Schemas } from '../../../api/client';
import { headMap } from '../../../drawing/heads';
import { Table } from '../../../parts/Table';
import type { Paper, ShotSet } from '../paperTypes';
import type { MarkTold, PaperWork } from '../usePaperWork';
import { SightPart } from './SightPart';
import { Hit } from './TargetFace';
import w from '../../../parts/words.module.css';
import s from './HeadsPanel.module.css';

type Heads = NonNullable<Schemas['PaperView']['heads']>;

interface Props {
  paper: Paper;
  work: Pick<PaperWork, 'faults' | 'busy' | 'sight'>;
  onMoved: (told: MarkTold) => void;
}

const MAP = { width: 300, height: 250 };

/** What heads ask for: the map with the chance of each answer, each head by its number, both marks, the sight. */
export function HeadsPanel({ paper, work, onMoved }: Props) {
  const heads = paper.heads!;
  const set = paper.sets.at(-1)!;
  const { figure } = useFigures();
  const weighed = heads.each.some((head) => head.grains !== null);
  return (
    <section className={s.heads} data-testid="broadheads">
      {heads.map && (
        <>
          <h2>Leave it, the sight, or the bow?</h2>
          <div className={s.map}>
            <HeadMapPicture map={heads.map} set={set} />
            <dl className={s.shares}>
              <Share name="Leave it" chance={heads.map.leave} />
              <Share name="Move the sight" chance={heads.map.sight} />
              <Share name="Tune the bow" chance={heads.map.tune} />
            </dl>
          </div>
          <p className={w.muted}>{heads.map.words}</p>
        </>
      )}
      {heads.drag && <p className={w.muted}>{heads.drag}</p>}
      {heads.each.length > 0 && (
        <>
          <h2>Head by head</h2>
          <Table kind="card">
            <thead>
              <tr>
                <th scope="col">Head</th>
                {weighed && <th scope="col">Weight</th>}
                <th scope="col">Hits</th>
                <th scope="col">From all heads</th>
                <th scope="col">Flight</th>
              </tr>
            </thead>
            <tbody>
              {heads.each.map((head) => (
                <tr key={head.number}>
                  <th scope="row" className={s.number}>
                    <svg width="26" height="26" viewBox="-13 -13 26 26" aria-hidden="true">
                      <Hit kind="broadhead" x={0} y={0} number={head.number} />
                    </svg>{' '}
                    <span className="visually-hidden">{head.number}</span>
                    {head.apart && <b> apart</b>}
                  </th>
                  {weighed && <td className={w.tabular}>{head.grains === null ? '' : figure(head.grains, 'gr', 1)}</td>}
                  <td>{head.count}</td>
                  <td>{head.fromAll}</td>
                  <td>{head.flight}</td>
                </tr>
              ))}
            </tbody>
          </Table>
          {heads.compared && (
            <p>
              <b>{heads.compared}</b> <span className={w.muted}>{heads.test}</span>
            </p>
          )}
        </>
      )}
      {heads.noSight && <p className={w.muted}>{heads.noSight}</p>}
      {heads.sight && (
        <SightPart heads sight={heads.sight} mark={heads.mark} paper={paper} work={work} onMoved={onMoved} />
      )}
    </section>
  );
}

function Share({ name, chance }: { name: string; chance: number }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd>
        <b className={w.tabular}>{percent(chance)}</b>
        <span className={s.bar} aria-hidden="true">
          <span style={{ width: `${100 * chance}%` }} />
        </span>
      </dd>
    </div>
  );
}

/** Where the true offset may lie: the circle in which nothing is done, the ways about it, the offset with its region. */
function HeadMapPicture({ map, set }: { map: NonNullable<Heads['map']>; set: ShotSet }) {
  const { offset, radius, tolerance } = set.groups!;
  if (!offset || radius === null) return null;
  const { px, mark: at, rays, sectors } = headMap(MAP, tolerance, { ...offset, radius }, map.halfSector, map.straight);
  return (
    <svg
      className={s.picture}
      viewBox={`${-MAP.width / 2} ${-MAP.height / 2} ${MAP.width} ${MAP.height}`}
      role="img"
      aria-label={`Map of the offset: ${set.headline} ${map.words}`}
      data-testid="head-map"
    >
      <circle r={tolerance * px} fill="var(--paper-face)" stroke="var(--paper-green)" strokeWidth="3" />
      {rays.map((ray) => (
        <path key={ray} d={ray} stroke="var(--paper-line)" strokeWidth="1.5" strokeDasharray="5 4" />
      ))}
      {sectors.map((sector, i) => (
        <text key={i} x={sector.at.x} y={sector.at.y + 5} textAnchor="middle" fontSize="15" fontWeight="600">
          {sector.answer}
        </text>
      ))}
      <text y={-tolerance * px * 0.45} textAnchor="middle" fontSize="14">
        leave
      </text>
      <path d={`M0 0L${at.x} ${at.y}`} stroke="var(--paper-bill)" strokeWidth="3" />
      <circle cx={at.x} cy={at.y} r={radius * px} fill="none" stroke="var(--paper-ink)" strokeWidth="2.5" />
      <path
        d={`M${at.x - 9} ${at.y}h18 M${at.x} ${at.y - 9}v18`}
        stroke="var(--paper-bill)"
        strokeWidth="3"
        fill="none"
      />
    </svg>
  );
}
