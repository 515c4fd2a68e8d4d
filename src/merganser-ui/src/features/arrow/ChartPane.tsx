import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { answer, api, type Schemas } from '../../api/client';
import { sixteenths } from '../../drawing/gauge';
import { linePath, nearestIndex, scale, ticksOf } from '../../drawing/chart';
import { useWidth } from '../../parts/useWidth';
import { number, ruled, withUnit } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import type { Draft } from './parts';
import w from '../../parts/words.module.css';
import s from './ChartPane.module.css';

const HEIGHT = 500;
const LEFT = 64;
const RIGHT = 30;

interface Props {
  bowId: string;
  draft: Draft;
  catalogue: Schemas['Catalogue'];
  arrow: Schemas['Arrow'];
  openedId: string | null;
  onChange: (draft: Draft) => void;
}

const fills: Record<string, string> = {
  weak: 'url(#cell-weak)',
  borderline: 'var(--sheet)',
  good: 'var(--greenwash)',
  stiff: 'url(#cell-stiff)',
};
const bandOf = (ratio: number) =>
  ratio < 0.9 ? 'weak' : ratio < 0.97 ? 'borderline' : ratio <= 1.15 ? 'good' : 'stiff';

/** Fit over length and point weight for this shaft; the other spines of its family as lines; the arrow as a dot to drag. */
export function ChartPane({ bowId, draft, catalogue, arrow, openedId, onChange }: Props) {
  const units = useUnits();
  const { ref, width } = useWidth<HTMLDivElement>(1180);
  const narrow = width < 620;
  const svg = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<{ length: number; grains: number } | null>(null);
  const chart = useQuery({
    queryKey: ['chart', bowId, draft],
    queryFn: () => answer(api.POST('/api/figures/chart', { body: { bowId, draft, openedVersionId: openedId } })),
    placeholderData: keepPreviousData,
  });
  const tolerated = useQuery({
    queryKey: ['tolerated', bowId],
    queryFn: () => answer(api.GET('/api/bows/{bowId}/tolerated', { params: { path: { bowId } } })),
  });
  const data = chart.data;
  const point = arrow.point.measuredGrains ?? arrow.point.grains;
  const here = held ?? { length: arrow.cutLength, grains: point };
  if (!data) return <div ref={ref} />;
  const { lengths, pointWeights } = data;
  const [l0, l1] = [lengths[0]!, lengths.at(-1)!];
  const [p0, p1] = [pointWeights[0]!, pointWeights.at(-1)!];
  const x = scale(l0, l1, LEFT, width - RIGHT);
  const y = scale(p0, p1, HEIGHT - 34, 16);
  const cellW = x(lengths[1]!) - x(l0);
  const cellH = y(p0) - y(pointWeights[1]!);
  const column = nearestIndex(lengths, here.length);
  const row = nearestIndex(pointWeights, here.grains);
  const ratio = data.ratios[row]![column]!;

  const place = (event: PointerEvent) => {
    const box = svg.current!.getBoundingClientRect();
    const k = width / box.width;
    const length = x.invert((event.clientX - box.left) * k);
    const grains = y.invert((event.clientY - box.top) * k);
    return {
      length: Math.round(Math.min(l1, Math.max(l0, length)) * 8) / 8,
      grains: Math.min(p1, Math.max(p0, grains)),
    };
  };
  const drop = (at: { length: number; grains: number }) => {
    const stock = catalogue.points.filter((p) => p.part.kind === arrow.point.kind);
    const nearest =
      stock[
        nearestIndex(
          stock.map((p) => p.part.grains),
          at.grains,
        )
      ];
    setHeld(null);
    onChange({
      ...draft,
      cutLength: sixteenths(at.length),
      pointId: nearest?.id ?? draft.pointId,
      pointBroken: 0,
    });
  };
  const press = (event: KeyboardEvent) => {
    const way: Record<string, [number, number]> = {
      ArrowLeft: [-0.125, 0],
      ArrowRight: [0.125, 0],
      ArrowUp: [0, 10],
      ArrowDown: [0, -10],
    };
    const move = way[event.key];
    if (move) {
      event.preventDefault();
      setHeld({
        length: Math.min(l1, Math.max(l0, here.length + move[0])),
        grains: Math.min(p1, Math.max(p0, here.grains + move[1])),
      });
    } else if (event.key === 'Enter' && held) {
      event.preventDefault();
      event.stopPropagation();
      drop(held);
    } else if (event.key === 'Escape') setHeld(null);
  };
  return (
    <div ref={ref}>
      <p data-testid="chart-place">
        <b className={w.tabular}>
          {ruled(here.length, units)}, {withUnit(here.grains, 'gr', 0, units)} point: fit {number(ratio, 2)}{' '}
          {bandOf(ratio)}
        </b>{' '}
        <span className={w.muted}>
          {held
            ? 'Let go, or press Enter, to cut and fit it so; Esc leaves it.'
            : 'Drag the dot, or use the arrow keys.'}{' '}
          {arrow.shaft.name} fills the ground; a line is where another spine of its family fits just right.
        </span>
      </p>
      <svg
        ref={svg}
        className={s.chart}
        width={width}
        height={HEIGHT}
        viewBox={`0 0 ${width} ${HEIGHT}`}
        tabIndex={0}
        role="application"
        data-owns-keys
        data-testid="spine-chart"
        aria-label={`Fit over length and point weight. ${ruled(here.length, units)} and ${withUnit(here.grains, 'gr', 0, units)} give ${number(ratio, 2)}, ${bandOf(ratio)}. Arrow keys move, Enter keeps.`}
        onKeyDown={press}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture?.(event.pointerId);
          setHeld(place(event));
        }}
        onPointerMove={(event) => held && event.buttons > 0 && setHeld(place(event))}
        onPointerUp={(event) => held && drop(place(event))}
      >
        <defs>
          <pattern id="cell-weak" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <rect width="7" height="7" fill="var(--bench)" />
            <line x1="0" x2="0" y1="0" y2="7" stroke="var(--edge)" strokeWidth="2" />
          </pattern>
          <pattern id="cell-stiff" width="8" height="8" patternUnits="userSpaceOnUse">
            <rect width="8" height="8" fill="var(--bench)" />
            <circle cx="2" cy="2" r="1.2" fill="var(--edge)" />
          </pattern>
        </defs>
        {data.ratios.map((cells, r) =>
          cells.map((cell, c) => (
            <rect
              key={`${r}-${c}`}
              x={x(lengths[c]!) - cellW / 2}
              y={y(pointWeights[r]!) - cellH / 2}
              width={cellW + 0.6}
              height={cellH + 0.6}
              fill={fills[bandOf(cell)]}
            />
          )),
        )}
        {data.least > l0 && (
          <>
            <rect
              x={x(l0) - cellW / 2}
              y="0"
              width={x(data.least) - x(l0) + cellW / 2}
              height={HEIGHT - 34}
              fill="var(--crestwash)"
              opacity="0.75"
            />
            <text x={x(l0)} y="20" fontSize="14">
              shaft ends too near the rest
            </text>
          </>
        )}
        {data.lines.map((line) => {
          const path = line.points.map((p, i) => (p === null ? null : ([x(lengths[i]!), y(p)] as const)));
          const last = path.findLast((p) => p !== null);
          return (
            <g key={line.label}>
              <path
                d={linePath(path)}
                fill="none"
                stroke={line.label === arrow.shaft.name ? 'var(--green)' : 'var(--ink)'}
                strokeWidth={line.label === arrow.shaft.name ? 4 : 1.8}
              />
              {last && (!narrow || line.label === arrow.shaft.name) && (
                <text
                  x={Math.max(LEFT + 110, last[0] - 6)}
                  y={last[1] - 8}
                  fontSize="14"
                  textAnchor="end"
                  fontWeight="620"
                >
                  {line.label}
                </text>
              )}
            </g>
          );
        })}
        {ticksOf(x, narrow ? 2 : 0.5).map((tick) => (
          <text key={tick} x={x(tick)} y={HEIGHT - 10} fontSize="14" textAnchor="middle">
            {sixteenths(tick)}
          </text>
        ))}
        {ticksOf(y, 50).map((tick) => (
          <text key={tick} x={LEFT - 10} y={y(tick) + 5} fontSize="14" textAnchor="end">
            {withUnit(tick, 'gr', 0, units)}
          </text>
        ))}
        <circle
          cx={x(here.length)}
          cy={y(here.grains)}
          r="11"
          fill="var(--sheet)"
          stroke="var(--bill)"
          strokeWidth="4"
        />
      </svg>
      <p className={w.muted}>
        Hatched weak, plain borderline, {'\u200a'}tinted good, dotted stiff. Rule and bands as in the working of the
        fit; each place is computed with the whole arrow.
      </p>
      {tolerated.data?.[0] && (
        <p className={w.muted} data-testid="tolerated">
          In a trial on paper ({new Date(tolerated.data[0].startedAt).toLocaleDateString('en-GB')}) these needed no
          move, the widest range first: {tolerated.data[0].ranges.map((r) => r.words).join('; ')}.
        </p>
      )}
    </div>
  );
}
