import { ButtonBase } from '@mui/material';
import type { Schemas } from '../../api/client';
import { show, withUnit, type Units } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import { classes } from '../../parts/classes';
import type { PartName } from './parts';
import w from '../../parts/words.module.css';
import s from './Callouts.module.css';

interface Props {
  arrow: Schemas['Arrow'];
  masses: Schemas['PlacedMass'][];
  /** What stands at the ends besides, grains. */
  endGrains: number;
  /** Inches to pixels, or null to stand as a list beneath. */
  x: ((inches: number) => number) | null;
  y: number;
  chosen: PartName;
  onChoose: (part: PartName) => void;
}

interface Callout {
  part: PartName;
  label: string;
  name: string;
  value: string;
  unit: string;
  left: number;
  top: number;
  line: number | null;
}

/** The two rows above the arrow: the second below the panel of the chosen part, and above the vanes. */
const [FIRST, SECOND] = [4, 76];

/** Inches: what wraps the shaft is pointed at here, and what stands before it ends here. */
const WRAP = 4.5;

/** Every part with its weight, as a list that Tab walks; on the wide bench each stands above what it names. */
export function Callouts({ arrow, masses, endGrains, x, y, chosen, onChoose }: Props) {
  const units = useUnits();
  const rows = calloutsOf(arrow, masses, endGrains, x ?? ((inches) => inches), units);
  return (
    <>
      {x && (
        <svg className={s.leaders} width="100%" height={y} aria-hidden="true">
          {rows.map(
            (row) =>
              row.line !== null && (
                <line key={row.part} x1={row.line} x2={row.line} y1={row.top + 40} y2={y - 8} stroke="var(--edge)" />
              ),
          )}
        </svg>
      )}
      <ul className={x ? s.placed : s.list} data-testid="callouts" aria-label="Parts of the arrow">
        {rows.map((row) => (
          <li key={row.part} style={x ? { left: row.left, top: row.top, maxWidth: roomOf(row, rows) } : undefined}>
            <ButtonBase
              className={s.callout}
              data-callout={row.part}
              aria-pressed={chosen === row.part}
              onClick={() => onChoose(row.part)}
            >
              <span>
                <span className={classes(w.label, s.label)}>
                  {row.label} {row.name}
                </span>
                <b className={w.tabular}>
                  {row.value} <small>{row.unit}</small>
                </b>
              </span>
            </ButtonBase>
          </li>
        ))}
      </ul>
    </>
  );
}

/** As far as the next one in its row, or the line that another's points with. */
function roomOf(row: Callout, rows: Callout[]): number | undefined {
  const ends = rows
    .filter((other) => other !== row)
    .flatMap((other) => [
      ...(other.top === row.top ? [other.left] : []),
      ...(other.top < row.top && other.line !== null ? [other.line] : []),
    ])
    .filter((end) => end > row.left + 48);
  return ends.length > 0 ? Math.min(...ends) - row.left - 2 : undefined;
}

function calloutsOf(
  arrow: Schemas['Arrow'],
  masses: Schemas['PlacedMass'][],
  endGrains: number,
  x: (inches: number) => number,
  units: Units,
): Callout[] {
  const weight = (name: string) => show(masses.find((m) => m.name === name)?.grains ?? 0, 'gr', 1, units);
  const shaft = `${arrow.shaft.name}, ${withUnit(arrow.shaft.grainsPerInch, 'gr/in', 2, units)}`;
  return [
    {
      part: 'nock',
      label: 'Nock',
      name: arrow.nock.name,
      ...weight('Nock'),
      left: x(0) - 20,
      top: FIRST,
      line: x(0.35),
    },
    {
      part: 'vanes',
      label: 'Vanes',
      name: arrow.vane ? `${arrow.vaneCount} × ${arrow.vane.name}` : 'none',
      ...weight('Vanes'),
      left: x(0.35) + 6,
      top: SECOND,
      line: x(arrow.vaneFront - 0.9),
    },
    {
      part: 'wrap',
      label: 'Wrap',
      name: arrow.wrap?.name ?? 'none',
      ...weight('Wrap'),
      left: x(WRAP) - 8,
      top: FIRST,
      line: x(WRAP),
    },
    {
      part: 'glue',
      label: 'Glue',
      name: 'at the vanes',
      ...weight('Glue'),
      left: x(WRAP) + 6,
      top: SECOND,
      line: null,
    },
    { part: 'shaft', label: 'Shaft', name: shaft, ...weight('Shaft'), left: x(8.4) - 8, top: FIRST, line: x(8.6) },
    {
      part: 'length',
      label: 'Cut length',
      name: '',
      ...show(arrow.cutLength, 'in', 2, units),
      left: x(8.6) + 4,
      top: SECOND,
      line: null,
    },
    {
      part: 'insert',
      label: 'Insert',
      name: arrow.insert?.name ?? 'none',
      ...weight('Insert'),
      left: x(10.9),
      top: SECOND,
      line: null,
    },
    {
      part: 'point',
      label: 'Point',
      name: arrow.point.name,
      ...weight('Point'),
      left: x(15.4),
      top: SECOND,
      line: null,
    },
    {
      part: 'more',
      label: 'More parts',
      name: arrow.endParts ? String(arrow.endParts.length) : '',
      ...show(endGrains, 'gr', 1, units),
      left: x(22.5),
      top: SECOND,
      line: null,
    },
  ];
}
