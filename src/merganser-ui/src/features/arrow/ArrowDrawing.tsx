import type { Schemas } from '../../api/client';
import { arrowPaths, layout, rulerTicks } from '../../drawing/arrow';
import { number, withUnit } from '../../units/units';
import { measuresOf } from './measures';
import type { PartName } from './parts';

const WIDTH = 1232;
const HEIGHT = 250;
const Y = 152;
const RULER = 214;

interface Props {
  arrow: Schemas['Arrow'];
  reading: Schemas['ArrowReading'];
  chosen: PartName | null;
  onChoose: (part: PartName) => void;
}

/** The arrow to scale across the screen; each part can be pressed. */
export function ArrowDrawing({ arrow, reading, chosen, onChoose }: Props) {
  const measures = measuresOf(arrow);
  const at = layout(WIDTH, arrow.cutLength);
  const paths = arrowPaths(measures, at, Y);
  const { balancePoint, halfLength, gap, restAtFullDraw, toSpare } = reading.places;
  const foc = reading.figures.find((f) => f.name === 'frontOfCenter')!;
  const mid = at.x(halfLength);
  const bal = at.x(balancePoint);
  const rest = at.x(restAtFullDraw);
  const press = (part: PartName) => ({
    onClick: () => onChoose(part),
    className: chosen === part ? 'part chosen' : 'part',
    'data-part': part,
  });
  const sentence = `Arrow to scale: ${withUnit(arrow.cutLength, 'in', 2)} from nock throat to shaft end, balance point at ${withUnit(balancePoint, 'in', 2)}, half length at ${withUnit(halfLength, 'in', 2)}.`;
  return (
    <svg
      className="arrow-drawing"
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={sentence}
      preserveAspectRatio="xMinYMid meet"
    >
      {paths.vaneDown && <path d={paths.vaneDown} {...press('vanes')} fill="var(--sheet)" />}
      <path d={paths.tube} {...press('shaft')} fill="var(--sheet)" />
      {paths.wrap && <path d={paths.wrap} {...press('wrap')} fill="var(--line)" />}
      {paths.vaneUp && <path d={paths.vaneUp} {...press('vanes')} fill="var(--greenwash)" />}
      <path d={paths.nock} {...press('nock')} fill="var(--greenwash)" />
      {paths.insert && <path d={paths.insert} {...press('insert')} fill="var(--line)" strokeDasharray="4 3" />}
      <path d={paths.point} {...press('point')} fill="var(--ink)" />
      <path
        className="reach"
        d={`M${at.x(arrow.cutLength) - 14} ${Y - 20}h28v40h-28z`}
        onClick={() => onChoose('length')}
      />
      <line
        x1={at.x(arrow.cutLength)}
        x2={at.x(arrow.cutLength)}
        y1={Y + 10}
        y2={RULER}
        stroke="var(--ink)"
        strokeDasharray="2 3"
      />

      <line x1={mid} x2={mid} y1={Y - 24} y2={RULER} stroke="var(--ink)" strokeDasharray="5 4" />
      <path d={`M${bal} ${Y + 8}l-12 22h24z`} fill="var(--bill)" />
      <line x1={bal} x2={bal} y1={Y + 28} y2={RULER} stroke="var(--bill)" strokeWidth="2" />
      <path d={`M${mid + 2} ${Y + 44}H${bal - 2}`} stroke="var(--ink)" strokeWidth="1.5" />
      <text x={mid - 8} y={Y + 49} textAnchor="end" fontSize="14" fill="var(--ink2)">
        half length <tspan fontWeight="640">{number(halfLength, 2)}</tspan> in
      </text>
      <text x={(mid + bal) / 2} y={Y + 37} textAnchor="middle" fontSize="15" fontWeight="640">
        {number(gap, 2)} in = {withUnit(foc.value!, '%', 1)}
      </text>
      <text x={bal + 16} y={Y + 49} fontSize="14">
        balances at <tspan fontWeight="640">{number(balancePoint, 2)}</tspan> in
      </text>

      <path
        d={`M${rest - 9} ${Y + 8}l9 8 9 -8 M${rest} ${Y + 16}V${RULER}`}
        fill="none"
        stroke={toSpare < 1 ? 'var(--crest)' : 'var(--ink2)'}
        strokeWidth="2"
      />
      <text x={rest - 8} y={Y + 49} textAnchor="end" fontSize="14">
        rest at full draw, <tspan fontWeight="640">{number(toSpare, 2)}</tspan> in to spare
      </text>

      <line
        x1={at.x(0)}
        x2={at.x(Math.ceil(arrow.cutLength + 1))}
        y1={RULER}
        y2={RULER}
        stroke="var(--ink)"
        strokeWidth="1.5"
      />
      {rulerTicks(at, Math.ceil(arrow.cutLength + 1)).map((tick) => (
        <g key={tick.x}>
          <line
            x1={tick.x}
            x2={tick.x}
            y1={RULER}
            y2={RULER + (tick.size === 'inch' ? 17 : tick.size === 'half' ? 11 : 7)}
            stroke={tick.size === 'inch' ? 'var(--ink)' : 'var(--edge)'}
          />
          {tick.label && (
            <text x={tick.x} y={RULER + 31} textAnchor="middle" fontSize="13">
              {tick.label}
            </text>
          )}
        </g>
      ))}
      <Callouts arrow={arrow} masses={reading.masses} x={at.x} onChoose={onChoose} chosen={chosen} />
    </svg>
  );
}

function Callouts({
  arrow,
  masses,
  x,
  onChoose,
  chosen,
}: {
  arrow: Schemas['Arrow'];
  masses: Schemas['PlacedMass'][];
  x: (inches: number) => number;
  onChoose: (part: PartName) => void;
  chosen: PartName | null;
}) {
  const grains = (name: string) => masses.find((m) => m.name === name)?.grains ?? 0;
  const rows: {
    part: PartName;
    label: string;
    name: string;
    grains: number;
    from: number;
    at: number;
    y: number;
    end?: boolean;
  }[] = [
    { part: 'nock', label: 'Nock', name: arrow.nock.name, grains: grains('Nock'), from: x(0.35), at: x(0), y: 16 },
    {
      part: 'wrap',
      label: 'Wrap',
      name: arrow.wrap?.name ?? 'none',
      grains: grains('Wrap'),
      from: x(4.2),
      at: x(4.2),
      y: 16,
    },
    {
      part: 'vanes',
      label: 'Vanes',
      name: arrow.vane ? `${arrow.vaneCount} × ${arrow.vane.name}` : 'none',
      grains: grains('Vanes'),
      from: x(arrow.vaneFront - 0.9),
      at: x(4.2) - 10,
      y: 70,
      end: true,
    },
    {
      part: 'shaft',
      label: 'Shaft',
      name: `${arrow.shaft.name}, ${number(arrow.shaft.grainsPerInch, 2)} gr/in, cut ${number(arrow.cutLength, 2)} in`,
      grains: grains('Shaft'),
      from: x(9),
      at: x(9),
      y: 16,
    },
  ];
  return rows.map((row) => (
    <g key={row.part} className={chosen === row.part ? 'callout chosen' : 'callout'} onClick={() => onChoose(row.part)}>
      <line x1={row.from} x2={row.from} y1={row.y + 26} y2={Y - 8} stroke="var(--edge)" />
      <rect x={row.end ? row.at - 146 : row.at - 4} y={row.y - 16} width="150" height="44" fill="transparent" />
      <text x={row.at} y={row.y} fontSize="14" fill="var(--ink2)" textAnchor={row.end ? 'end' : 'start'}>
        {row.label} <tspan fontStretch="88%">{row.name}</tspan>
      </text>
      <text x={row.at} y={row.y + 21} fontSize="18" fontWeight="620" textAnchor={row.end ? 'end' : 'start'}>
        {number(row.grains, 1)}
        <tspan fontSize="14" fontWeight="450">
          {' '}
          gr
        </tspan>
      </text>
    </g>
  ));
}
