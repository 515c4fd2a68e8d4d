import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { shownAtOnce, useActs } from '../api/useActs';
import { metricUnits, tradeUnits, type Units } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { Key } from '../parts/Buttons';
import { ChoiceRow } from '../parts/ChoiceRow';
import { Fault } from '../parts/Note';
import { Popover } from '../parts/Popover';
import { classes } from '../parts/classes';
import { ToolKey } from './ToolKey';
import w from '../parts/words.module.css';
import l from '../parts/layout.module.css';
import s from './UnitsKey.module.css';

type Choices<K extends keyof Units> = readonly (readonly [Units[K], string])[];
type Row<K extends keyof Units> = readonly [K, string, Choices<K>];

const lengths: Row<'length'> = [
  'length',
  'Lengths',
  [
    ['inches', 'in'],
    ['centimetres', 'cm'],
    ['millimetres', 'mm'],
  ],
];
const masses: Row<'mass'> = [
  'mass',
  'Arrow weights',
  [
    ['grains', 'gr'],
    ['grams', 'g'],
  ],
];
const rows = [
  lengths,
  masses,
  [
    'force',
    'Draw weight',
    [
      ['pounds', 'lb'],
      ['newtons', 'N'],
      ['kilograms', 'kg'],
    ],
  ] satisfies Row<'force'>,
  [
    'speed',
    'Speed',
    [
      ['feetPerSecond', 'ft/s'],
      ['metresPerSecond', 'm/s'],
    ],
  ] satisfies Row<'speed'>,
  [
    'energy',
    'Energy',
    [
      ['footPounds', 'ft·lb'],
      ['joules', 'J'],
    ],
  ] satisfies Row<'energy'>,
  [
    'distance',
    'Distances',
    [
      ['yards', 'yd'],
      ['metres', 'm'],
    ],
  ] satisfies Row<'distance'>,
] as const;
const word = <K extends keyof Units>([part, , choices]: Row<K>, units: Units) =>
  choices.find(([value]) => value === units[part])![1];

/** The units that the archer of this bow reads and types in. */
export function UnitsKey({ bowId }: { bowId: string }) {
  const units = useUnits();
  const queries = useQueryClient();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const acts = useActs(`units ${bowId}`);
  const words = `${word(masses, units)} ${word(lengths, units)}`;

  const wear = async (next: Units) => {
    const done = await acts.act(
      `units ${JSON.stringify(next)}`,
      // It needs nothing that is still on its way, and the browser sends it even when the page is left.
      () => answer(api.POST('/api/bows/{id}/units', { params: { path: { id: bowId } }, body: next, keepalive: true })),
      // Only how things are shown: it may be seen before it is kept.
      shownAtOnce<Schemas['BowView']>(['bow', bowId], (now) => ({ ...now, units: next })),
    );
    // Every sentence of the server is said anew, in these units.
    if (done) await queries.invalidateQueries();
  };

  return (
    <>
      <ToolKey
        aria-label={`Units: ${words}. Change them`}
        onClick={(event) => {
          setAnchor(event.currentTarget);
        }}
      >
        {words}
      </ToolKey>
      <Popover anchor={anchor} onClose={() => setAnchor(null)} label="Units" at="belowRight">
        <h2>Units of this archer</h2>
        <div className={classes(l.row, s.row)}>
          <Key onClick={() => void wear(tradeUnits)}>All as the trade</Key>
          <Key onClick={() => void wear(metricUnits)}>All metric</Key>
        </div>
        {rows.map(([part, label, choices]) => (
          <div key={part} className={classes(l.row, s.row)}>
            <span className={classes(w.label, s.label)}>{label}</span>
            <ChoiceRow<string>
              label={label}
              value={units[part] ?? null}
              choices={choices}
              onChange={(value) => void wear({ ...units, [part]: value })}
            />
          </div>
        ))}
        <p className={w.muted}>
          A display choice: all is computed and kept in grains, inches and pounds. Spine numbers stay as they are.
        </p>
        {acts.problem && <Fault>{acts.problem.message}</Fault>}
      </Popover>
    </>
  );
}
