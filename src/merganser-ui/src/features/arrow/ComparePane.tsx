import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../../api/client';
import { useWidth } from '../../parts/useWidth';
import { arrowPaths, layout, rulerTicks } from '../../drawing/arrow';
import { rulerOf } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import { Scroller, Table, differs } from '../../parts/Table';
import { Tick } from '../../parts/Tick';
import { classes } from '../../parts/classes';
import { ArrowParts } from './ArrowParts';
import { measuresOf } from './measures';
import w from '../../parts/words.module.css';
import l from '../../parts/layout.module.css';
import warned from './warned.module.css';
import s from './ComparePane.module.css';

const figures = [
  'totalWeight',
  'frontOfCenter',
  'grainsPerPound',
  'speed',
  'kineticEnergy',
  'momentum',
  'neededSpine',
  'staticSpine',
  'fit',
  'toSpare',
];
const THICK = 1.6;
const MOST = 4;

interface Props {
  bowId: string;
  arrows: Schemas['ArrowRow'][];
  chosen: string[];
  onChoose: (ids: string[]) => void;
}

/** Two to four arrows: drawing under drawing on one ruler, every figure, and what differs. */
export function ComparePane({ bowId, arrows, chosen, onChoose }: Props) {
  const { ref, width } = useWidth<HTMLDivElement>(1232);
  const compared = useQuery({
    queryKey: ['compare', bowId, chosen],
    queryFn: () =>
      answer(
        api.GET('/api/bows/{id}/compare', { params: { path: { id: bowId }, query: { arrows: chosen.join(',') } } }),
      ),
    enabled: chosen.length >= 2,
  });
  const rows = chosen.length >= 2 ? (compared.data?.arrows ?? []) : [];
  const longest = Math.max(20, ...rows.map((r) => r.arrow.cutLength));
  const at = layout(width, longest);
  const scale = rulerOf(useUnits());
  return (
    <div ref={ref}>
      <fieldset className={classes(l.row, s.choose)}>
        <legend>Lay side by side, two to four</legend>
        {arrows.map((arrow) => {
          const on = chosen.includes(arrow.id);
          return (
            <Tick
              key={arrow.id}
              checked={on}
              disabled={!on && chosen.length >= MOST}
              onChange={() => onChoose(on ? chosen.filter((id) => id !== arrow.id) : [...chosen, arrow.id])}
            >
              {arrow.draft.name}
            </Tick>
          );
        })}
      </fieldset>
      {rows.length > 0 && (
        <>
          <svg
            width={width}
            height={rows.length * 56 + 30}
            role="img"
            aria-label={`${rows.map((r) => r.name).join(', ')} on one ruler, not to scale across`}
          >
            {rows.map((row, i) => (
              <g key={row.id} transform={`translate(0 ${i * 56})`}>
                <text x="0" y="16" fontSize="15" fontWeight="620">
                  {row.name}
                </text>
                <ArrowParts paths={arrowPaths(measuresOf(row.arrow), at, 36, THICK)} chosen={null} />
                <line
                  x1={at.x(row.arrow.cutLength / 2)}
                  x2={at.x(row.arrow.cutLength / 2)}
                  y1="24"
                  y2="48"
                  stroke="var(--ink)"
                  strokeDasharray="3 2"
                />
                <path
                  d={`M${at.x(row.reading.places.balancePoint)} 40l-7 13h14z`}
                  fill={i === 0 ? 'var(--bill)' : 'var(--ink2)'}
                />
              </g>
            ))}
            <line
              x1={at.x(0)}
              x2={at.x(Math.ceil(longest))}
              y1={rows.length * 56 + 6}
              y2={rows.length * 56 + 6}
              stroke="var(--ink)"
            />
            {rulerTicks(at, Math.ceil(longest), scale)
              .filter((tick) => tick.label !== null && (width > 600 || Number(tick.label) % scale.few === 0))
              .map((tick) => (
                <g key={tick.label}>
                  <line
                    x1={tick.x}
                    x2={tick.x}
                    y1={rows.length * 56 + 6}
                    y2={rows.length * 56 + 14}
                    stroke="var(--ink)"
                  />
                  <text x={tick.x} y={rows.length * 56 + 28} fontSize="14" textAnchor="middle">
                    {tick.label === '0' ? `0 ${scale.unit}` : tick.label}
                  </text>
                </g>
              ))}
          </svg>
          <Scroller label="Figures side by side">
            <Table className={s.compared}>
              <thead>
                <tr>
                  <th scope="col">figure</th>
                  {rows.map((row) => (
                    <th key={row.id} scope="col">
                      {row.name}
                      {row.version > 0 && `, version ${row.version}`}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {figures.map((name) => (
                  <tr key={name}>
                    <th scope="row">{rows[0]!.reading.figures.find((f) => f.name === name)!.label}</th>
                    {rows.map((row) => {
                      const figure = row.reading.figures.find((f) => f.name === name)!;
                      return (
                        <td key={row.id}>
                          {figure.text} <small className={w.muted}>{figure.shownUnit}</small> {figure.word}
                          {name === 'speed' && (
                            <small className={w.muted}>
                              {' '}
                              {figure.lowText} to {figure.highText}
                            </small>
                          )}
                        </td>
                      );
                    })}
                  </tr>
                ))}
                {rows[0]!.parts
                  .filter((part) => compared.data!.differs.includes(part.part))
                  .map(({ part, name }) => (
                    <tr key={part} className={differs}>
                      <th scope="row">{name} differs</th>
                      {rows.map((row) => (
                        <td key={row.id}>{row.parts.find((p) => p.part === part)!.words}</td>
                      ))}
                    </tr>
                  ))}
                <tr>
                  <th scope="row">Cautions</th>
                  {rows.map((row) => (
                    <td key={row.id} className={row.reading.cautions.length > 0 ? warned.warned : undefined}>
                      {row.reading.cautions.map((c) => c.text).join(' ') || 'none'}
                    </td>
                  ))}
                </tr>
              </tbody>
            </Table>
          </Scroller>
        </>
      )}
    </div>
  );
}
