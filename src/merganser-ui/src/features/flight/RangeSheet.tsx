import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { flightPaths, rangeFrame, struckPaths } from '../../drawing/range';
import { useSize } from '../../parts/useWidth';
import { useFigures, useYardsInUnit } from '../../units/UnitsContext';
import type { Flight } from './useFlight';
import s from './FlightPage.module.css';

const NARROW = 620;
const CAP = 8;

/** What the signs stand for. */
const Legend = ({ x, y, error }: { x: number; y: number; error: string }) => (
  <g fontSize="14">
    <circle cx={x} cy={y} r="7" fill="none" stroke="var(--paper-green)" strokeWidth="3" />
    <circle cx={x} cy={y + 21} r="7" fill="none" stroke="var(--paper-ink)" strokeWidth="1.25" />
    <path d={`M${x} ${y + 34}v16`} stroke="var(--paper-pred)" strokeWidth="5" />
    {['the circle to keep in', '9 in 10 of your own shots', `range read ${error} wrong, both ways`].map((words, i) => (
      <text key={words} x={x + 16} y={y + 5 + 21 * i}>
        {words}
      </text>
    ))}
  </g>
);

/** The path above, what is hit below, over one ruler: the honest range is where the ring first touches the circle. */
export function RangeSheet({ view, onSet }: { view: Flight; onSet: (yards: number | undefined) => void }) {
  const { ref, width, height } = useSize<HTMLDivElement>(1240, 350);
  const { figure } = useFigures();
  const yard = useYardsInUnit();
  const dragging = useRef(false);
  const { honest, struck, path, notes } = view;
  const narrow = width < NARROW;
  const box = { left: narrow ? 44 : 86, right: width - 30, top: 34, bottom: height - 44 };
  const radius = honest?.radius ?? 4;
  const frameTo = (right: number) => rangeFrame({ ...box, right }, view.to, path, struck, radius);
  // The last ring keeps clear of the edge.
  const frame = frameTo(width - Math.max(30, (struck.at(-1)?.ring ?? 0) * frameTo(box.right).px + 8));
  const { x, sight, line, px, tall, ruler } = frame;
  const cut = struck.length > 0 ? line - radius * px - 24 : ruler - 8;
  const flown = flightPaths(frame, path, cut);
  const hit = struckPaths(frame, struck);
  const stood = honest ? Math.floor(honest.yards / yard + 1e-3) * yard : null;
  const moved = stood === null || Math.abs(view.set - stood) > 0.3;
  const shown = narrow ? struck.filter((_, i) => i % 2 === 1) : struck;
  const put = (yards: number) => onSet(Math.max(5, Math.min(view.to / yard, Math.round(yards / yard))) * yard);
  const drag = (event: PointerEvent<SVGSVGElement>) => {
    const at = event.currentTarget.getBoundingClientRect();
    put(x.invert(((event.clientX - at.left) * width) / at.width));
  };
  const press = (event: KeyboardEvent) => {
    const step = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
    if (step !== undefined) put(view.set + step * yard * (event.shiftKey ? 5 : 1));
    else if (event.key === 'Home') onSet(undefined);
    else return;
    event.preventDefault();
  };
  const bill = x(view.set);
  const ticks = Array.from({ length: Math.floor(view.to / yard / 10 + 1e-6) + 1 }, (_, i) => i * 10);
  return (
    <div className={s.sheet} ref={ref}>
      <svg
        viewBox={`0 0 ${width} ${height}`}
        role="group"
        aria-label={`${honest?.title ?? 'The arrow’s path'}. ${notes.map((n) => n.words).join('. ')}. ${
          honest
            ? `Green: the circle. Thin rings: nine in ten of your shots with the range read wrong. ${honest.hits}`
            : ''
        }`}
        data-testid="range-sheet"
        onPointerDown={(event) => {
          dragging.current = true;
          event.currentTarget.setPointerCapture?.(event.pointerId);
          drag(event);
        }}
        onPointerMove={(event) => dragging.current && drag(event)}
        onPointerUp={() => (dragging.current = false)}
        onPointerCancel={() => (dragging.current = false)}
      >
        <rect width={width} height={height} fill="var(--paper)" />
        <path
          d={`M${x(0)} ${sight}H${honest && !narrow ? width - 290 : width - 30}`}
          stroke="var(--paper-ink)"
          strokeWidth="1.5"
        />
        <circle cx={x(0) - 10} cy={sight} r="5" fill="var(--paper)" stroke="var(--paper-ink)" strokeWidth="2" />
        {!narrow && (
          <text x={x(0) - 22} y={sight + 5} fontSize="14" textAnchor="end">
            eye
          </text>
        )}
        <path d={flown.band} className={s.band} />
        <path d={flown.middle} className={s.path} />
        {notes.map((note, i) => {
          const y = Math.min(cut, sight - note.height * tall);
          const right = x(note.yards) > width - 190;
          // Words ahead of the line stand over the falling path, words behind it under the path.
          const beside = right ? Math.min(y + 4, cut) : Math.max(sight + 18, (sight + y) / 2 + 5);
          return (
            <g key={note.words}>
              <path d={`M${x(note.yards)} ${sight}V${y}`} stroke="var(--paper-ink)" strokeWidth="1" />
              <text
                x={x(note.yards) + (i === 0 ? 0 : right ? -8 : 8)}
                y={i === 0 ? y - 8 : beside}
                fontSize="14"
                fontWeight="600"
                textAnchor={i === 0 ? 'middle' : right ? 'end' : 'start'}
              >
                {note.words}
              </text>
            </g>
          );
        })}
        {(narrow
          ? ['sight set', `for ${figure(view.set, 'yd', 0)}`]
          : [`line of sight, sight set for ${figure(view.set, 'yd', 0)}; height drawn ${frame.times} times`]
        ).map((words, i) => (
          <text key={words} x={box.right} y={20 + 16 * i} fontSize="14" textAnchor="end">
            {words}
          </text>
        ))}
        {honest && !narrow && <Legend x={width - 250} y={44} error={figure(honest.error, 'yd', 0)} />}
        {struck.length > 0 && (
          <>
            <path d={hit.band} fill="var(--predwash)" />
            <path d={`M${box.left - 12} ${line}H${box.right}`} stroke="var(--paper-line)" strokeWidth="1.5" />
            <path d={hit.above} className={s.edge} />
            <path d={hit.below} className={s.edge} />
            <path d={hit.top} fill="none" stroke="var(--paper-ink)" strokeWidth="1.25" />
            <path d={hit.bottom} fill="none" stroke="var(--paper-ink)" strokeWidth="1.25" />
            {shown.map((at) => {
              const [up, down] = [line - at.above * px, line - at.below * px];
              return (
                <g key={at.text} fill="none">
                  <circle cx={x(at.yards)} cy={line} r={radius * px} stroke="var(--paper-green)" strokeWidth="3" />
                  <circle cx={x(at.yards)} cy={up} r={at.ring * px} stroke="var(--paper-ink)" strokeWidth="1.25" />
                  <circle cx={x(at.yards)} cy={down} r={at.ring * px} stroke="var(--paper-ink)" strokeWidth="1.25" />
                  <path d={`M${x(at.yards)} ${up}V${down}`} stroke="var(--paper-pred)" strokeWidth="5" />
                </g>
              );
            })}
          </>
        )}
        {honest && stood !== null && (
          <path
            d={`M${x(honest.yards)} ${sight + 12}V${ruler}`}
            stroke="var(--paper-ink)"
            strokeWidth="1.25"
            strokeDasharray="3 4"
          />
        )}
        <path d={`M${x(0)} ${ruler}H${box.right}`} stroke="var(--paper-ink)" strokeWidth="2" />
        {ticks.map((tick) => (
          <g key={tick}>
            <path d={`M${x(tick * yard)} ${ruler}v8`} stroke="var(--paper-ink)" strokeWidth="1.5" />
            {Math.abs(x(tick * yard) - bill) > 26 && (
              <text x={x(tick * yard)} y={ruler + 26} fontSize="14" textAnchor="middle">
                {tick}
              </text>
            )}
          </g>
        ))}
        {honest && (
          <g>
            <path
              d={`M${x(Math.min(honest.low, view.to))} ${ruler}H${x(Math.min(honest.high, view.to))}M${x(Math.min(honest.low, view.to))} ${ruler - CAP}v${2 * CAP}M${x(Math.min(honest.high, view.to))} ${ruler - CAP}v${2 * CAP}`}
              stroke="var(--paper-ink)"
              strokeWidth="4"
              fill="none"
            />
            {honest.groupAlone < view.to && (
              <circle
                cx={x(honest.groupAlone)}
                cy={ruler}
                r="7"
                fill="var(--paper)"
                stroke="var(--paper-ink)"
                strokeWidth="2.5"
              />
            )}
            {honest.error > 0 && honest.errorAlone < view.to && (
              <rect
                x={x(honest.errorAlone) - 6}
                y={ruler - 6}
                width="12"
                height="12"
                fill="var(--paper)"
                stroke="var(--paper-pred)"
                strokeWidth="2.5"
              />
            )}
            {moved && (
              <path
                d={`M${x(honest.yards)} ${ruler - 2}l-9 -18h18z`}
                fill="var(--paper)"
                stroke="var(--paper-bill)"
                strokeWidth="2"
              />
            )}
          </g>
        )}
        <g
          tabIndex={0}
          role="slider"
          aria-label="Sight set for"
          aria-valuemin={5}
          aria-valuemax={Math.round(view.to / yard)}
          aria-valuenow={Math.round(view.set / yard)}
          aria-valuetext={figure(view.set, 'yd', 0)}
          onKeyDown={press}
          className={s.bill}
        >
          <rect x={bill - 24} y={ruler - 28} width="48" height="60" fill="transparent" />
          <path d={`M${bill} ${ruler - 1}l-11 -21h22z`} fill="var(--paper-bill)" />
          <text x={bill} y={ruler + 28} fontSize="20" fontWeight="680" textAnchor="middle">
            {figure(view.set, 'yd', 0)}
          </text>
        </g>
      </svg>
    </div>
  );
}
