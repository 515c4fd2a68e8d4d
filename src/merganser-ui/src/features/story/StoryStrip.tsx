import type { Schemas } from '../../api/client';
import { stripFrame } from '../../drawing/story';
import { useSize } from '../../parts/useWidth';
import { shortDay } from '../../units/days';
import { useFigures } from '../../units/UnitsContext';
import s from './Story.module.css';

const HEIGHT = 148;
const CAP = 5;
/** Dates nearer than this are not both written, px. */
const DATED = 56;

interface Props {
  strip: Schemas['TearStrip'];
  then: string | null;
  now: string | null;
}

/** Bare tears over days with their 95 % bars, and how long none was shot. */
export function StoryStrip({ strip, then, now }: Props) {
  const { ref, width } = useSize<HTMLDivElement>(640, HEIGHT);
  const { figure } = useFigures();
  const box = { left: 62, right: width - 36, top: 34, bottom: HEIGHT - 30 };
  const marks = [then, now].filter((at) => at !== null);
  const { x, y, ticks } = stripFrame(strip.tears, marks, box);
  const good = y(strip.tolerance);
  const dated = strip.tears.reduce<string[]>(
    (shown, { at }) => (shown.length > 0 && x(at) - x(shown.at(-1)!) < DATED ? shown : [...shown, at]),
    [],
  );
  return (
    <div className={s.strip} ref={ref}>
      <svg
        width={width}
        height={HEIGHT}
        viewBox={`0 0 ${width} ${HEIGHT}`}
        role="img"
        aria-label={`Bare tears of ${strip.tears.length} sets through paper, with their 95 % bars${strip.gap ? `; ${strip.gap}` : ''}.`}
        data-testid="tear-strip"
      >
        <rect width={width} height={HEIGHT} fill="var(--paper)" />
        <text x={14} y={20} fontSize="14">
          Tear on bare paper, with its 95 % bar; green: good enough
        </text>
        <rect x={box.left} y={good} width={box.right - box.left} height={box.bottom - good} fill="var(--paper-face)" />
        {ticks.map((tick) => (
          <text key={tick} x={box.left - 8} y={y(tick) + 5} fontSize="14" textAnchor="end">
            {figure(tick, 'in', 1)}
          </text>
        ))}
        <path d={`M${box.left} ${box.bottom}H${box.right}`} stroke="var(--paper-ink)" strokeWidth="2" />
        {strip.gapFrom && strip.gapTo && (
          <>
            <path
              d={`M${x(strip.gapFrom) + 10} ${good - 12}H${x(strip.gapTo) - 10}`}
              stroke="var(--paper-ink)"
              strokeWidth="2"
              strokeDasharray="2 6"
            />
            <text x={(x(strip.gapFrom) + x(strip.gapTo)) / 2} y={good - 20} fontSize="14" textAnchor="middle">
              {strip.gap}
            </text>
          </>
        )}
        {strip.tears.map((tear, i) => (
          <g key={`${tear.at}-${i}`}>
            <path
              d={`M${x(tear.at)} ${y(tear.low)}V${y(tear.high)}M${x(tear.at) - CAP} ${y(tear.low)}h${2 * CAP}M${x(tear.at) - CAP} ${y(tear.high)}h${2 * CAP}`}
              stroke="var(--paper-ink)"
              strokeWidth="2"
            />
            <circle cx={x(tear.at)} cy={y(tear.length)} r="5" fill="var(--paper-ink)" />
          </g>
        ))}
        {dated.map((at) => (
          <text key={at} x={x(at)} y={HEIGHT - 10} fontSize="14" textAnchor="middle">
            {shortDay(at)}
          </text>
        ))}
        {then && (
          <path
            d={`M${x(then) - 7} ${box.top - 6}h14l-7 12z`}
            fill="var(--paper)"
            stroke="var(--paper-ink)"
            strokeWidth="2"
          />
        )}
        {now && <path d={`M${x(now) - 7} ${box.top - 6}h14l-7 12z`} fill="var(--paper-bill)" />}
      </svg>
    </div>
  );
}
