import { useWidth } from '../../parts/useWidth';
import { trialLanes } from '../../drawing/trial';
import type { Schemas } from '../../api/client';
import { useFigures } from '../../units/UnitsContext';
import s from './TrialPage.module.css';

type Shaft = Schemas['TrialShaftView'];
type Point = Schemas['TrialPointView'];

interface Props {
  view: Schemas['TrialView'];
  chosen: (shaft: Shaft, point: Point) => boolean;
  onTurn: (shaft: Shaft, point: Point) => void;
}

/** What papers found, by its shape: a disc needs no move, a ring is open, a cross wants one. */
function Found({ x, y, held }: { x: number; y: number; held: boolean | null | undefined }) {
  if (held === false) return <path d={`M${x - 6} ${y - 6}l12 12m0 -12l-12 12`} className={s.cross} />;
  return <circle cx={x} cy={y} r="7" className={held ? s.held : s.open} />;
}

/** Points over shafts: by figures as a bar, those that can be had on it, what papers found beneath. */
export function TrialPicture({ view, chosen, onTurn }: Props) {
  const { ref, width } = useWidth<HTMLDivElement>(760);
  const { figure } = useFigures();
  const { x, lanes, narrow, ruler, height } = trialLanes(view.low, view.high, width, view.shafts.length);
  // What is owned lies above what is not, and what is chosen above both.
  const shown = (shaft: Shaft) =>
    shaft.points
      .filter((point) => point.grains >= view.low && point.grains <= view.high)
      .map((point) => ({ point, on: chosen(shaft, point) }))
      .toSorted((a, b) => Number(a.on) - Number(b.on) || Number(a.point.owned) - Number(b.point.owned));
  return (
    <div ref={ref} className={s.picture}>
      <svg
        width={width}
        height={height}
        role="group"
        aria-label={`Points over shafts. ${view.shafts.map((shaft) => `${shaft.name}: ${shaft.words}`).join('. ')}`}
        data-testid="trial-picture"
      >
        <rect width={width} height={height} fill="var(--paper)" />
        {view.shafts.map((shaft, i) => {
          const lane = lanes[i]!;
          return (
            <g key={shaft.arrowId}>
              <text x="24" y={lane.name} fontSize="16" fontWeight="640">
                {shaft.name}
              </text>
              <text x={narrow ? 24 : width - 24} y={lane.words} fontSize="14" textAnchor={narrow ? 'start' : 'end'}>
                {shaft.words}
              </text>
              <path d={`M24 ${lane.bar}H${width - 24}`} stroke="var(--paper-line)" strokeWidth="2" />
              {typeof shaft.lightest === 'number' && typeof shaft.heaviest === 'number' && (
                <path
                  d={`M${Math.max(24, x(shaft.lightest))} ${lane.bar}H${Math.min(width - 24, x(shaft.heaviest))}`}
                  className={s.figures}
                />
              )}
              {shown(shaft).map(({ point, on }) => {
                const cx = x(point.grains);
                return (
                  <g key={`${point.pointId}-${point.broken}`} onClick={() => onTurn(shaft, point)} className={s.point}>
                    <rect x={cx - 12} y={lane.bar - 20} width="24" height="40" fill="transparent" />
                    <circle cx={cx} cy={lane.bar} r={on ? 9 : 6} className={point.owned ? s.owned : s.bought} />
                    {on && <circle cx={cx} cy={lane.bar} r="13" className={s.chosen} />}
                  </g>
                );
              })}
              {typeof shaft.toleratedFrom === 'number' && typeof shaft.toleratedTo === 'number' && (
                <path
                  d={`M${x(shaft.toleratedFrom)} ${lane.found}H${x(shaft.toleratedTo)}`}
                  stroke="var(--paper-ink)"
                  strokeWidth="4"
                />
              )}
              {shaft.found.map((found) => (
                <Found key={found.grains} x={x(found.grains)} y={lane.found} held={found.needsNoMove} />
              ))}
              <path
                d={`M${x(shaft.here)} ${lane.bar + 16}l-6 11h12z`}
                fill="var(--paper)"
                stroke="var(--paper-ink)"
                strokeWidth="1.5"
              />
              {shaft.toleratedWords && (
                <text x="24" y={lane.found + 24} fontSize="14">
                  needed no move on paper: {shaft.toleratedWords.split(': ')[1]}
                </text>
              )}
            </g>
          );
        })}
        <path d={`M24 ${ruler}H${width - 24}`} stroke="var(--paper-ink)" strokeWidth="1.5" />
        {x.ticks(6).map((tick) => (
          <g key={tick}>
            <path d={`M${x(tick)} ${ruler}v7`} stroke="var(--paper-ink)" />
            <text x={x(tick)} y={ruler + 24} fontSize="14" textAnchor="middle">
              {figure(tick, 'gr', 0)}
            </text>
          </g>
        ))}
      </svg>
      <ul className={s.legend}>
        <li>
          <i className={s.bar} /> fit good by figures
        </li>
        <li>
          <i className={s.full} /> a point you own
        </li>
        <li>
          <i className={s.hollow} /> a point to buy
        </li>
        <li>
          <i className={s.ring} /> chosen
        </li>
        <li>triangle: the point it has now</li>
      </ul>
    </div>
  );
}
