import { useState, type KeyboardEvent, type MouseEvent } from 'react';
import { discPlaces, nearestPlace, stairPath, tradeOff } from '../../../drawing/finder';
import { Pick } from '../../../parts/Pick';
import { useSize } from '../../../parts/useWidth';
import { show } from '../../../units/units';
import { useUnits } from '../../../units/UnitsContext';
import type { Figure, Finder, Row, Scale } from './useFinder';
import w from '../../../parts/words.module.css';
import s from './Finder.module.css';

const DISCS = 6;
const NEAR = 24;

interface Props {
  finder: Finder;
  scales: Scale[];
  present: string | null;
  chosen: Row | null;
  onChoose: (row: Row) => void;
  /** A build of the picture, by where it is in the search. */
  onPress: (at: string) => void;
}

/** Two figures against each other: builds as dots, the edge that none beats in both, what is wanted in green. */
export function TradeOff({ finder, scales, present, chosen, onChoose, onPress }: Props) {
  const units = useUnits();
  const { ref, width, height } = useSize<HTMLDivElement>(500, 480);
  const [walked, setWalked] = useState<number | null>(null);
  const { search, wish, rows } = finder;
  if (!search || !wish)
    return (
      <figure className={s.trade}>
        <div className={s.picture} ref={ref} />
      </figure>
    );
  const of = (figure: Figure) => scales.find((scale) => scale.figure === figure)!;
  const [along, up] = [of(wish.x), of(wish.y)];
  const here = along.here !== null && up.here !== null ? { x: along.here, y: up.here } : null;
  const listed = rows.slice(0, DISCS);
  const box = { left: 52, right: width - 12, top: 30, bottom: height - 46 };
  const points = [...search.dots, ...search.edge, ...listed, ...(here ? [here] : []), ...(chosen ? [chosen] : [])];
  const { x, y } = tradeOff(points.length > 0 ? points : [{ x: 0, y: 0 }], box);
  const place = <T extends { x: number; y: number }>(at: T) => ({ ...at, x: x(at.x), y: y(at.y) });
  const dots = search.dots.map(place);
  const edge = search.edge.map(place);
  const discs = listed.map(place);
  const leftward = here !== null && x(here.x) > width - 160;
  const named = here ? [0, 30, 60, 90, 120].map((n) => ({ x: x(here.x) + (leftward ? -n : n), y: y(here.y) + 4 })) : [];
  const places = discPlaces(discs, box, named);
  const range = (figure: Figure) => finder.read.find((r) => r.figure === figure);
  const [wantX, wantY] = [range(wish.x), range(wish.y)];
  const [left, right] = [x(wantX?.low ?? x.domain()[0]!), x(wantX?.high ?? x.domain()[1]!)];
  const [bottom, top] = [y(wantY?.low ?? y.domain()[0]!), y(wantY?.high ?? y.domain()[1]!)];
  const inBox = (value: number, low: number, high: number) => Math.max(low, Math.min(high, value));
  const label = (scale: Scale) => {
    const { unit } = show(0, scale.unit, scale.decimals, units);
    return unit === '' ? scale.label : `${scale.label}, ${unit}`;
  };
  const number = (scale: Scale, value: number) =>
    show(value, scale.unit, Math.max(0, scale.decimals - (scale.unit === '%' ? 1 : 0)), units).value;
  const press = (event: MouseEvent<SVGSVGElement>) => {
    const at = event.currentTarget.getBoundingClientRect();
    const pointer = {
      x: ((event.clientX - at.left) * width) / at.width,
      y: ((event.clientY - at.top) * height) / at.height,
    };
    const disc = nearestPlace(
      listed.map((row, i) => ({ ...places[i]!, row })),
      pointer,
      NEAR,
    );
    if (disc) return onChoose(disc.row);
    const dot = nearestPlace([...edge, ...dots], pointer, NEAR);
    if (dot) onPress(dot.at);
  };
  const at = walked === null ? null : (edge[Math.min(walked, edge.length - 1)] ?? null);
  const walk = (event: KeyboardEvent) => {
    const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
    if (by === undefined || edge.length === 0) return;
    event.preventDefault();
    const next = Math.max(0, Math.min(edge.length - 1, (walked ?? (by > 0 ? -1 : edge.length)) + by));
    setWalked(next);
    onPress(edge[next]!.at);
  };
  const mark = chosen ? place(chosen) : null;
  return (
    <figure className={s.trade}>
      <div className={s.picture} ref={ref}>
        <svg
          viewBox={`0 0 ${width} ${height}`}
          role="group"
          aria-label={`${up.label} against ${along.label}. ${search.drawn}`}
          data-testid="trade-off"
          onClick={press}
        >
          <rect width={width} height={height} fill="var(--paper)" />
          {(wantX || wantY) && (
            <g>
              <rect
                x={inBox(left, box.left, box.right)}
                y={inBox(top, box.top, box.bottom)}
                width={Math.max(0, inBox(right, box.left, box.right) - inBox(left, box.left, box.right))}
                height={Math.max(0, inBox(bottom, box.top, box.bottom) - inBox(top, box.top, box.bottom))}
                className={s.wantedBox}
              />
              {[wantX?.low, wantX?.high].map(
                (end) =>
                  typeof end === 'number' &&
                  x(end) > box.left &&
                  x(end) < box.right && (
                    <path key={end} d={`M${x(end)} ${box.top}V${box.bottom}`} className={s.wantedEnd} />
                  ),
              )}
              {[wantY?.low, wantY?.high].map(
                (end) =>
                  typeof end === 'number' &&
                  y(end) > box.top &&
                  y(end) < box.bottom && (
                    <path key={end} d={`M${box.left} ${y(end)}H${box.right}`} className={s.wantedEnd} />
                  ),
              )}
            </g>
          )}
          <path
            d={`M${box.left} ${box.top - 8}V${box.bottom}H${box.right}`}
            fill="none"
            stroke="var(--paper-ink)"
            strokeWidth="1.5"
          />
          {x.ticks(5).map((tick) => (
            <g key={tick}>
              <path d={`M${x(tick)} ${box.bottom}v6`} stroke="var(--paper-ink)" />
              <text x={x(tick)} y={box.bottom + 22} fontSize="14" textAnchor="middle">
                {number(along, tick)}
              </text>
            </g>
          ))}
          {y.ticks(5).map((tick) => (
            <g key={tick}>
              <path d={`M${box.left} ${y(tick)}h-6`} stroke="var(--paper-ink)" />
              <text x={box.left - 10} y={y(tick) + 5} fontSize="14" textAnchor="end">
                {number(up, tick)}
              </text>
            </g>
          ))}
          <text x="8" y="18" fontSize="14" fontWeight="620">
            {label(up)}
          </text>
          <text x={box.right} y={height - 8} fontSize="14" fontWeight="620" textAnchor="end">
            {label(along)}
          </text>
          {dots.map((dot) => (
            <circle
              key={dot.at}
              cx={dot.x}
              cy={dot.y}
              r={dot.inside ? 4 : 3.5}
              className={dot.inside ? (dot.near ? s.near : s.farther) : s.outside}
            />
          ))}
          <path d={stairPath(edge)} fill="none" stroke="var(--paper-ink)" strokeWidth="2.5" />
          {edge.map((dot) => (
            <circle key={dot.at} cx={dot.x} cy={dot.y} r="3.5" fill="var(--paper-ink)" />
          ))}
          <g
            tabIndex={0}
            role="slider"
            data-owns-keys
            aria-label="Along the edge"
            aria-valuemin={0}
            aria-valuemax={Math.max(0, edge.length - 1)}
            aria-valuenow={walked ?? 0}
            aria-valuetext={
              at === null
                ? 'press an arrow key'
                : `${along.label} ${number(along, x.invert(at.x))}, ${up.label} ${number(up, y.invert(at.y))}`
            }
            className={s.walk}
            onKeyDown={walk}
          >
            <rect x={box.left} y={box.top - 6} width="48" height="48" fill="transparent" />
            {at && <circle cx={at.x} cy={at.y} r="9" fill="none" stroke="var(--paper-bill)" strokeWidth="2.5" />}
          </g>
          {here && present && (
            <g>
              <path
                d={`M${x(here.x)} ${y(here.y) - 9}l-9 16h18z`}
                fill="var(--paper)"
                stroke="var(--paper-ink)"
                strokeWidth="2"
              />
              <text
                x={x(here.x) + (leftward ? -14 : 14)}
                y={y(here.y) + 10}
                fontSize="14"
                fontWeight="620"
                textAnchor={leftward ? 'end' : 'start'}
                className={s.over}
              >
                {present} now
              </text>
            </g>
          )}
          {discs.map((disc, i) => (
            <g key={disc.at}>
              <path
                d={`M${disc.x} ${disc.y}L${places[i]!.x} ${places[i]!.y}`}
                stroke="var(--paper-ink)"
                strokeWidth="1.25"
              />
              <circle cx={disc.x} cy={disc.y} r="4" fill="var(--paper-ink)" />
              <circle
                cx={places[i]!.x}
                cy={places[i]!.y}
                r="14"
                fill="var(--paper)"
                stroke="var(--paper-ink)"
                strokeWidth={disc.at === chosen?.at ? 3.5 : 1.75}
              />
              <text x={places[i]!.x} y={places[i]!.y + 5} fontSize="15" fontWeight="680" textAnchor="middle">
                {disc.rank}
              </text>
            </g>
          ))}
          {mark && <path d={`M${mark.x - 5} ${mark.y}l-16 -9v18z`} fill="var(--paper-bill)" />}
        </svg>
      </div>
      <figcaption>
        <ul className={s.legend}>
          <li>
            <i className={s.near} /> fit near the best
          </li>
          <li>
            <i className={s.farther} /> fit good, farther off
          </li>
          <li>
            <i className={s.outside} /> misses a wanted range
          </li>
          <li>
            <i className={s.stair} /> the edge: more of one only for less of the other
          </li>
        </ul>
        <p className={w.muted}>{search.drawn}</p>
        <div className={s.axes}>
          <Pick label="Up the picture" value={wish.y} onChange={(y) => finder.say({ y: y as Figure })}>
            {axes(scales, wish.x).map((scale) => (
              <option key={scale.figure} value={scale.figure}>
                {scale.label}
              </option>
            ))}
          </Pick>
          <span>against</span>
          <Pick label="Along the picture" value={wish.x} onChange={(x) => finder.say({ x: x as Figure })}>
            {axes(scales, wish.y).map((scale) => (
              <option key={scale.figure} value={scale.figure}>
                {scale.label}
              </option>
            ))}
          </Pick>
        </div>
      </figcaption>
    </figure>
  );
}

/** The honest range is asked only of builds that are inside all else: it is no figure of the picture. */
const axes = (scales: Scale[], other: Figure) =>
  scales.filter((scale) => scale.figure !== 'honestRange' && scale.figure !== other);
