import { memo } from 'react';
import type { Schemas } from '../../api/client';
import { useWidth } from '../../parts/useWidth';
import { arrowPaths, layout, rulerTicks, type ArrowPaths, type Layout, type Tick } from '../../drawing/arrow';
import { rulerOf, show, withUnit } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import { classes } from '../../parts/classes';
import { ArrowParts } from './ArrowParts';
import { Callouts } from './Callouts';
import { measuresOf } from './measures';
import type { PartName } from './parts';
import w from '../../parts/words.module.css';
import s from './ArrowDrawing.module.css';

const NARROW = 960;

interface Props {
  arrow: Schemas['Arrow'];
  reading: Schemas['ArrowReading'];
  chosen: PartName;
  onChoose: (part: PartName) => void;
}

/** The arrow to scale across the screen; each part can be pressed. */
export const ArrowDrawing = memo(function ArrowDrawing({ arrow, reading, chosen, onChoose }: Props) {
  const { ref, width } = useWidth<HTMLDivElement>(1232);
  const units = useUnits();
  const narrow = width < NARROW;
  const y = narrow ? 34 : 142;
  const ruler = narrow ? 92 : 199;
  const measures = measuresOf(arrow);
  const at = layout(width, arrow.cutLength);
  const paths = arrowPaths(measures, at, y);
  const { balancePoint, halfLength, gap, restAtFullDraw, toSpare } = reading.places;
  const inches = (value: number) => withUnit(value, 'in', 2, units);
  const foc = reading.figures.find((f) => f.name === 'frontOfCenter')!.value!;
  const mid = at.x(halfLength);
  const bal = at.x(balancePoint);
  const rest = at.x(restAtFullDraw);
  const sentence = `Arrow to scale: ${inches(arrow.cutLength)} from nock throat to shaft end, balance point at ${inches(balancePoint)}, half length at ${inches(halfLength)}, ${inches(toSpare)} ahead of the rest at full draw.`;
  const scale = rulerOf(units);
  return (
    <div className={s.zone} ref={ref}>
      <svg
        className={s.drawing}
        data-testid="arrow-drawing"
        width={width}
        height={ruler + 38}
        viewBox={`0 0 ${width} ${ruler + 38}`}
        role="img"
        aria-label={sentence}
      >
        <ArrowParts paths={paths} chosen={chosen} onChoose={onChoose} />
        <path
          className={s.reach}
          d={`M${at.x(arrow.cutLength) - 8} ${y - 20}h16v40h-16z`}
          onClick={() => onChoose('length')}
        />
        <line
          x1={at.x(arrow.cutLength)}
          x2={at.x(arrow.cutLength)}
          y1={y + 10}
          y2={ruler}
          stroke="var(--ink)"
          strokeDasharray="2 3"
        />
        <line x1={mid} x2={mid} y1={y - (narrow ? 14 : 24)} y2={ruler} stroke="var(--ink)" strokeDasharray="5 4" />
        <path d={`M${bal} ${y + 8}l-12 22h24z`} fill="var(--bill)" />
        <line x1={bal} x2={bal} y1={y + 28} y2={ruler} stroke="var(--bill)" strokeWidth="2" />
        <path d={`M${mid + 2} ${y + 44}H${bal - 2}`} stroke="var(--ink)" strokeWidth="1.5" />
        <path
          d={`M${rest - 9} ${y + 8}l9 8 9 -8 M${rest} ${y + 16}V${ruler}M${rest} ${y - 8}v-10h-6`}
          fill="none"
          stroke={toSpare < 1 ? 'var(--crest)' : 'var(--ink2)'}
          strokeWidth="2"
        />
        {!narrow && (
          <g fontSize="14">
            <text x={mid - 8} y={y + 49} textAnchor="end">
              half length <tspan fontWeight="640">{inches(halfLength)}</tspan>
            </text>
            <text x={(mid + bal) / 2} y={y + 37} textAnchor="middle" fontSize="15" fontWeight="640">
              {inches(gap)} = {withUnit(foc, '%', 1)}
            </text>
            <text x={bal + 16} y={y + 49}>
              balances at <tspan fontWeight="640">{inches(balancePoint)}</tspan>
            </text>
            <text x={rest - 10} y={y - 9} textAnchor="end">
              rest at full draw, <tspan fontWeight="640">{inches(toSpare)}</tspan> to spare
            </text>
          </g>
        )}
        <Ruler at={at} y={ruler} inches={Math.ceil(arrow.cutLength + 1)} scale={scale} narrow={narrow} />
        {!narrow && <Loupe paths={paths} at={at.x(loupeAt(chosen, arrow))} y={y} width={width} />}
      </svg>
      {narrow && (
        <p className={classes(s.words, w.tabular)}>
          FOC gap <b>{inches(gap)}</b> = {withUnit(foc, '%', 1)}. Balances at{' '}
          <b>{show(balancePoint, 'in', 2, units).value}</b>, half length <b>{inches(halfLength)}</b>. Rest at full draw:{' '}
          <b>{inches(toSpare)}</b> to spare. Ruler in {scale.unit}.
        </p>
      )}
      <Callouts
        arrow={arrow}
        masses={reading.masses}
        endGrains={reading.endGrains}
        x={narrow ? null : at.x}
        y={y}
        chosen={chosen}
        onChoose={onChoose}
      />
    </div>
  );
});

interface RulerProps {
  at: Layout;
  y: number;
  inches: number;
  scale: ReturnType<typeof rulerOf>;
  narrow: boolean;
}

const TALL: Record<Tick['size'], number> = { whole: 17, half: 11, part: 7 };

/** The ruler under the arrow: a path for the whole marks and one for what is between them. */
function Ruler({ at, y, inches, scale, narrow }: RulerProps) {
  const ticks = rulerTicks(at, inches, scale);
  const marks = (some: Tick[]) => some.map((tick) => `M${tick.x} ${y}v${TALL[tick.size]}`).join('');
  const whole = ticks.filter((tick) => tick.size === 'whole');
  return (
    <>
      <line x1={at.x(0)} x2={at.x(inches)} y1={y} y2={y} stroke="var(--ink)" strokeWidth="1.5" />
      <path d={marks(whole)} stroke="var(--ink)" />
      {!narrow && <path d={marks(ticks.filter((tick) => tick.size !== 'whole'))} stroke="var(--edge)" />}
      {whole
        .filter((tick) => !narrow || Number(tick.label) % scale.few === 0)
        .map((tick) => (
          <text key={tick.label} x={tick.x} y={y + 31} textAnchor="middle" fontSize="14">
            {tick.label === '0' ? `0 ${scale.unit}` : tick.label}
          </text>
        ))}
    </>
  );
}

function loupeAt(part: PartName, arrow: Schemas['Arrow']): number {
  if (part === 'nock') return 0.2;
  if (part === 'wrap') return arrow.nock.tubeStart + (arrow.wrap?.length ?? 0);
  if (part === 'vanes' || part === 'glue') return arrow.vaneFront - (arrow.vane?.length ?? 0) / 2;
  if (part === 'insert' || part === 'more') return arrow.cutLength - 0.4;
  return part === 'shaft' ? arrow.cutLength - 2 : arrow.cutLength + 0.3;
}

const RADIUS = 62;

/** A line to a place farther away than this would run through what is written above the arrow. */
const NEAR = 240;

/** The chosen part at 2 : 1 in a ring, with a line to where it is if it is near. */
function Loupe({ paths, at, y, width }: { paths: ArrowPaths; at: number; y: number; width: number }) {
  const cx = width - RADIUS - 4;
  const cy = RADIUS + 2;
  return (
    <g aria-hidden="true">
      <clipPath id="loupe">
        <circle cx={cx} cy={cy} r={RADIUS} />
      </clipPath>
      {cx - at < NEAR && (
        <path d={`M${at} ${y - 12}L${cx - RADIUS * 0.7} ${cy + RADIUS * 0.7}`} stroke="var(--bill)" strokeWidth="1.5" />
      )}
      <circle cx={cx} cy={cy} r={RADIUS} fill="var(--sheet)" />
      <g clipPath="url(#loupe)">
        <g transform={`translate(${cx - 2 * at} ${cy - 2 * y}) scale(2)`} strokeWidth="1.2">
          <ArrowParts paths={paths} chosen={null} />
        </g>
        <text x={cx} y={cy + RADIUS - 12} textAnchor="middle" fontSize="14">
          2 : 1
        </text>
      </g>
      <circle cx={cx} cy={cy} r={RADIUS} fill="none" stroke="var(--ink)" strokeWidth="2" />
    </g>
  );
}
