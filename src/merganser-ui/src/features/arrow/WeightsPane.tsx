import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api } from '../../api/client';
import { useWidth } from '../../parts/useWidth';
import { linePath, scale, ticksOf } from '../../drawing/chart';
import { show, withUnit } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import { ChoiceRow } from '../../parts/ChoiceRow';
import { Note } from '../../parts/Note';
import { SchoolFlights } from './SchoolFlights';
import w from '../../parts/words.module.css';
import s from './WeightsPane.module.css';

const purposes: [string, string][] = [
  ['indoorTarget', 'Indoor target'],
  ['outdoorTarget', 'Outdoor target'],
  ['field', 'Field and 3D'],
  ['huntingMechanical', 'Hunting, mechanical head'],
  ['huntingFixed', 'Hunting, fixed head'],
];

const curves = [
  { key: 'speed', label: 'speed', unit: 'ft/s', decimals: 0, dash: '', at: 0.06, under: -10, anchor: 'start' },
  {
    key: 'kineticEnergy',
    label: 'energy',
    unit: 'ft·lb',
    decimals: 1,
    dash: '8 5',
    at: 0.6,
    under: -10,
    anchor: 'end',
  },
  {
    key: 'momentum',
    label: 'momentum',
    unit: 'slug·ft/s',
    decimals: 3,
    dash: '2 4',
    at: 0.6,
    under: 22,
    anchor: 'start',
  },
] as const;

const HEIGHT = 300;
/** Below this the words stand under the picture. */
const NARROW = 620;

/** Speed, energy and momentum over arrow weight for this bow, and the three schools with their reasons. */
export function WeightsPane({ bowId, grains }: { bowId: string; grains: number | null }) {
  const units = useUnits();
  const [purpose, setPurpose] = useState<string | null>(null);
  const { ref, width } = useWidth<HTMLDivElement>(800);
  const view = useQuery({
    queryKey: ['weights', bowId, purpose, grains],
    queryFn: () =>
      answer(
        api.GET('/api/bows/{id}/weights', {
          params: { path: { id: bowId }, query: { purpose: purpose!, grains: grains ?? undefined } },
        }),
      ),
    placeholderData: keepPreviousData,
    enabled: purpose !== null,
  });
  const data = purpose === null ? undefined : view.data;
  const curve = data?.curve ?? [];
  const low = curve[0]?.grains ?? 250;
  const high = curve.at(-1)?.grains ?? 750;
  const narrow = width < NARROW;
  const x = scale(low, high, 20, width - 20);
  return (
    <div className={s.weights} data-testid="weights">
      <div>
        <h2>What is the arrow for?</h2>
        <ChoiceRow label="Purpose" value={purpose} choices={purposes} onChange={setPurpose} />
      </div>
      <div ref={ref}>
        {data && (
          <svg
            width={width}
            height={HEIGHT + 40}
            role="img"
            aria-label="Speed, kinetic energy and momentum over arrow weight, each on its own scale"
          >
            {data.schools.map((school, i) => (
              <g key={school.name}>
                <rect
                  x={x(Math.max(low, school.from))}
                  y="0"
                  width={Math.max(0, x(Math.min(high, school.to)) - x(Math.max(low, school.from)))}
                  height={HEIGHT}
                  fill="var(--sheet)"
                  stroke="var(--line)"
                />
                <text
                  x={x(Math.max(low, school.from)) + 8}
                  y={narrow ? 20 + 18 * i : 20}
                  fontSize="15"
                  fontWeight="620"
                >
                  {school.name}
                </text>
              </g>
            ))}
            {curves.map((c) => {
              const values = curve.map((p) => p[c.key]);
              const top = Math.max(...values);
              const bottom = Math.min(...values);
              const y = scale(bottom, top > bottom ? top : bottom + 1, HEIGHT - 16, 54);
              return (
                <g key={c.key}>
                  <path
                    d={linePath(curve.map((p) => [x(p.grains), y(p[c.key])]))}
                    fill="none"
                    stroke="var(--ink)"
                    strokeWidth="2.5"
                    strokeDasharray={c.dash}
                  />
                  {!narrow && (
                    <text
                      x={x(curve[Math.round(c.at * (curve.length - 1))]!.grains)}
                      y={y(values[Math.round(c.at * (curve.length - 1))]!) + c.under}
                      fontSize="14"
                      textAnchor={c.anchor}
                    >
                      {c.label}, {withUnit(bottom, c.unit, c.decimals, units)} to{' '}
                      {withUnit(top, c.unit, c.decimals, units)}
                    </text>
                  )}
                  {data.here && (
                    <circle
                      cx={x(data.here.grains)}
                      cy={y(data.here[c.key])}
                      r="6"
                      fill="var(--bench)"
                      stroke="var(--bill)"
                      strokeWidth="3"
                    />
                  )}
                </g>
              );
            })}
            {ticksOf(x, 50).map((tick) => (
              <g key={tick}>
                <line x1={x(tick)} x2={x(tick)} y1={HEIGHT} y2={HEIGHT + 6} stroke="var(--ink)" />
                <text x={x(tick)} y={HEIGHT + 24} fontSize="14" textAnchor="middle">
                  {tick % 100 === 0 ? withUnit(tick, 'gr', 0, units) : ''}
                </text>
              </g>
            ))}
          </svg>
        )}
        {data && narrow && (
          <ul>
            {curves.map((c) => {
              const values = curve.map((p) => p[c.key]);
              return (
                <li key={c.key}>
                  <svg width="44" height="10" aria-hidden="true">
                    <path d="M0 5h44" stroke="var(--ink)" strokeWidth="2.5" strokeDasharray={c.dash} />
                  </svg>{' '}
                  {c.label}, {withUnit(Math.min(...values), c.unit, c.decimals, units)} to{' '}
                  {withUnit(Math.max(...values), c.unit, c.decimals, units)}
                </li>
              );
            })}
          </ul>
        )}
        {data?.here && (
          <p>
            <b>{data.word}.</b> This arrow: {withUnit(data.here.grains, 'gr', 1, units)},{' '}
            {withUnit(data.here.grainsPerPound, 'gr/lb', 2, units)}, {withUnit(data.here.speed, 'ft/s', 0, units)} (
            {withUnit(data.here.low, 'ft/s', 0, units)} to {withUnit(data.here.high, 'ft/s', 0, units)}),{' '}
            {withUnit(data.here.kineticEnergy, 'ft·lb', 1, units)},{' '}
            {withUnit(data.here.momentum, 'slug·ft/s', 3, units)}.
          </p>
        )}
        {purpose === null && <p className={w.muted}>The rules of thumb differ by purpose: pick one first.</p>}
      </div>
      {data && <SchoolFlights bowId={bowId} purpose={purpose!} />}
      {data && (
        <div className={s.schools} data-testid="schools">
          {data.schools.map((school) => (
            <section key={school.name}>
              <h2>
                {school.name}{' '}
                <small className={w.muted}>
                  {show(school.from, 'gr', 0, units).value} to {withUnit(school.to, 'gr', 0, units)}
                </small>
              </h2>
              <p>{school.for}</p>
              <p className={w.muted}>{school.against}</p>
            </section>
          ))}
          <section>
            <h2>Rules of thumb</h2>
            <ul>
              {data.rules.map((rule) => (
                <li key={rule.words}>{rule.words}</li>
              ))}
            </ul>
            <Note word="Caution.">{data.law}</Note>
          </section>
        </div>
      )}
    </div>
  );
}
